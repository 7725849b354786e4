import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Runs a program in the foreground; a failure ends the script. */
export const run = (program, ...args) =>
  execFileSync(program, args, { stdio: 'inherit', env, shell: process.platform === 'win32' });

const STAMP = 'node_modules/.cairn-lock';

/** Installs the packages of the lock file, unless they are installed already. */
export function ensurePackages() {
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  run('npm', 'ci', '--no-audit', '--no-fund');
  mkdirSync('node_modules', { recursive: true });
  writeFileSync(STAMP, lock);
}

export function build() {
  run('npm', 'run', 'build');
}
