// npm test: sets itself up, then lint, format, types, dependency rules, unused code, unit and published
// checks, the build, and the tests in a real browser.
import { build, ensurePackages, run } from './set-up.mjs';

ensurePackages();
const { ensureChromium } = await import('./browser.mjs');
ensureChromium();

const step = (name, action) => {
  const start = performance.now();
  console.log(`\n== ${name}`);
  action();
  console.log(`== ${name}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
};

step('build', build);
step('format', () => run('npx', 'prettier', '--check', '--log-level', 'warn', '.'));
step('lint', () => run('npx', 'eslint', '.', '--max-warnings', '0'));
step('types', () => run('npx', 'tsc', '-p', '.'));
step('dependency rules', () =>
  run('npx', 'depcruise', 'src', '--config', '.dependency-cruiser.cjs', '--output-type', 'err'),
);
step('unused code', () => run('npx', 'knip'));
step('unit and published checks', () => run('npx', 'vitest', 'run', '--project', 'unit'));
step('browser', () => run('npx', 'vitest', 'run', '--project', 'browser'));
