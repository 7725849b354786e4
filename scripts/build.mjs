// npm run build: the app, under an id of its own that its pages and its offline worker share.
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';

const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NEXT_PUBLIC_BUILD: randomUUID() };
execFileSync('npx', ['next', 'build'], {
  stdio: 'inherit',
  env,
  shell: process.platform === 'win32',
});
await import('./build/csp-hashes.mjs');
await import('./build/pack-static.mjs');
const { bundleEndpoints } = await import('./build/endpoints.mjs');
await bundleEndpoints();
