// What answers requests, as one file for the threads of the server (src/app/api/answering/pool.ts).
import { context } from 'esbuild';

const ENDPOINTS = '.next/endpoints.mjs';

const OPTIONS = {
  entryPoints: ['src/app/api/answering/worker.ts'],
  outfile: ENDPOINTS,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  alias: { '@': './src' },
  logLevel: 'warning',
  // Packages in the older module format ask for each other by this.
  banner: {
    js:
      "import { createRequire } from 'node:module';" +
      'const require = createRequire(import.meta.url);',
  },
};

/** Bundles it once; with `watch` again whenever a file of it changes, until the process ends. */
export async function bundleEndpoints({ watch = false } = {}) {
  const bundler = await context(OPTIONS);
  await bundler.rebuild();
  if (watch) await bundler.watch();
  else await bundler.dispose();
}
