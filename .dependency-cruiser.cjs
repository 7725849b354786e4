/**
 * Arrows point one way: app → views → (ui, store, devices, workers) → (formats, sketch) → core.
 * Inside the core, a folder may import those in the lines above its own, and its own.
 */
const LAYERS = [
  ['core'],
  ['formats', 'sketch'],
  ['ui', 'store', 'devices', 'workers'],
  ['views'],
  ['app'],
];
const CORE = [
  ['units'],
  ['faults'],
  ['readings'],
  ['entries'],
  ['model'],
  ['place', 'pacing', 'terrain'],
  ['north', 'errors'],
  ['survey'],
  ['navigation', 'checks'],
  ['learning'],
  ['log-text'],
  ['edit'],
  ['practice'],
];

/** A rule for each row but the last: its folders may not import those of the rows below. */
const oneWay = (rows, root) =>
  rows.slice(0, -1).map((row, index) => ({
    name: `${row.join('-')}-imports-nothing-below-it`,
    comment: `${root}: ${rows.map((each) => each.join(', ')).join(' ← ')}`,
    severity: 'error',
    from: { path: `^${root}/(${row.join('|')})/` },
    to: {
      path: `^${root}/(${rows
        .slice(index + 1)
        .flat()
        .join('|')})/`,
    },
  }));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    ...oneWay(LAYERS, 'src'),
    ...oneWay(CORE, 'src/core'),
    {
      name: 'core-is-pure',
      comment: 'no interface, no browser and no database in the core, the formats and the sketch',
      severity: 'error',
      from: { path: '^src/(core|formats|sketch)/' },
      to: { path: 'node_modules/(react|react-dom|next|antd|dexie|comlink|d3-(selection|zoom))' },
    },
    {
      name: 'places-are-asked',
      comment: 'the columns of the traverse are read only where they are solved and previewed',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/core/(survey/|navigation/preview)' },
      to: { path: '^src/core/survey/dead-reckoning/' },
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
