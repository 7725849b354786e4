// npm test: sets itself up, then the build, format, lint, types, dependency rules, unused code,
// unit and published checks, and the tests in a real browser.
import '../server/node-version.mjs';
import { execFile } from 'node:child_process';
import { ensurePackages, run } from './set-up.mjs';

const DEPENDENCY_RULES = ['--config', '.dependency-cruiser.cjs', '--output-type', 'err'];

ensurePackages();
const { ensureChromium } = await import('./browser.mjs');
ensureChromium();

const step = (name, action) => {
  const start = performance.now();
  console.log(`\n== ${name}`);
  action();
  console.log(`== ${name}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
};

const started = performance.now();

/** Runs a program beside others; it prints as a whole. Tells whether it ended well. */
const beside = (name, program, ...args) =>
  new Promise((resolve) => {
    const shell = process.platform === 'win32';
    execFile(program, args, { maxBuffer: 1e8, shell }, (error, stdout, stderr) => {
      const seconds = ((performance.now() - started) / 1000).toFixed(1);
      console.log(`\n== ${name}: ${error ? 'failed' : 'good'} after ${seconds} s`);
      if (error) console.log(stdout, stderr);
      resolve(!error);
    });
  });

// Only the types need what the build makes; the others use the core that it leaves free.
const checks = await Promise.all([
  beside('build', 'npm', 'run', 'build').then(
    (isBuilt) => isBuilt && beside('types', 'npx', 'tsc', '-p', '.'),
  ),
  beside('lint', 'npx', 'eslint', '.', '--max-warnings', '0'),
  beside('format', 'npx', 'prettier', '--check', '--log-level', 'warn', '.'),
  beside('dependency rules', 'npx', 'depcruise', 'src', ...DEPENDENCY_RULES),
  beside('unused code', 'npx', 'knip'),
]);
if (checks.includes(false)) throw new Error('a check failed: see above');

step('unit and published checks', () => run('npx', 'vitest', 'run', '--project', 'unit'));
// By themselves: they compare times, or replace what a browser has.
step('store and growth', () => run('npx', 'vitest', 'run', '--project', 'store'));
step('browser', () => run('npx', 'vitest', 'run', '--project', 'browser'));
