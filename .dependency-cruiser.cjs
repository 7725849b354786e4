/** Arrows point one way: app → views → (ui, store, devices, workers) → formats → core. */
const layer = (name) => `^src/${name}/`;
const forbid = (from, to, comment) => ({
  name: `${from.replace(/\W/g, '')}-not-to-${to.replace(/\W/g, '-')}`,
  comment,
  severity: 'error',
  from: { path: layer(from) },
  to: { path: layer(to) },
});
const middle = '(ui|store|devices|workers)';

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    forbid('core', '(formats|ui|store|devices|workers|views|app)', 'the core knows nobody'),
    forbid('formats', '(ui|store|devices|workers|views|app)', 'formats know the core'),
    forbid(middle, '(views|app)', 'shared parts know no view'),
    forbid('views', 'app', 'views know no route'),
    {
      name: 'core-is-pure',
      comment: 'no interface, no browser, no database in the core or the formats',
      severity: 'error',
      from: { path: '^src/(core|formats)/' },
      to: { path: 'node_modules/(react|react-dom|next|antd|dexie|comlink|d3-)' },
    },
    {
      name: 'no-tests-in-the-app',
      severity: 'error',
      from: { path: '^src/' },
      to: { path: '^tests/' },
    },
    {
      name: 'only-declared-packages',
      severity: 'error',
      from: { path: '^src/' },
      to: {
        dependencyTypes: ['npm-no-pkg', 'npm-unknown', 'npm-dev'],
        pathNot: 'node_modules/esbuild',
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
    },
  },
};
