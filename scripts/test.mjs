// npm test: sets itself up, then the build, format, lint, types, dependency rules, unused code,
// unit and published checks, and the tests in a real browser.
import { execFile } from 'node:child_process';
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

/** Runs programs side by side; each prints as a whole, and one that fails ends the script. */
async function allOf(programs) {
  const start = performance.now();
  const failed = [];
  const ended = Object.entries(programs).map(
    ([name, args]) =>
      new Promise((resolve) => {
        const shell = process.platform === 'win32';
        execFile('npx', args, { maxBuffer: 1e8, shell }, (error, stdout, stderr) => {
          const seconds = ((performance.now() - start) / 1000).toFixed(1);
          console.log(`\n== ${name}: ${error ? 'failed' : 'good'} after ${seconds} s`);
          if (error) {
            failed.push(name);
            console.log(stdout, stderr);
          }
          resolve();
        });
      }),
  );
  await Promise.all(ended);
  if (failed.length > 0) throw new Error(`failed: ${failed.join(', ')}`);
}

step('build', build);
// None of these needs another: they run side by side.
await allOf({
  format: ['prettier', '--check', '--log-level', 'warn', '.'],
  lint: ['eslint', '.', '--max-warnings', '0'],
  types: ['tsc', '-p', '.'],
  'dependency rules': [
    'depcruise',
    'src',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
  ],
  'unused code': ['knip'],
});
step('unit and published checks', () =>
  run('npx', 'vitest', 'run', '--project', 'unit', '--project', 'store'),
);
step('browser', () => run('npx', 'vitest', 'run', '--project', 'browser'));
