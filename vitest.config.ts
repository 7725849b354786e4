import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** It measures how work grows: nothing else may have warmed up what it runs. */
const TIMED = 'tests/formats/growth.test.ts';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['tests/{core,sketch,formats,views,api,published,style}/**/*.test.ts'],
          exclude: [TIMED],
          testTimeout: 300_000,
          // Pure functions share nothing: loading them once for all files halves the time.
          isolate: false,
          // By itself the runner would leave one of two cores idle.
          maxWorkers: 2,
        },
      },
      {
        extends: true,
        test: {
          name: 'store',
          // These replace globals of the browser (the database, the sensors), or compare times.
          include: ['tests/{devices,store}/**/*.test.ts', TIMED],
          testTimeout: 300_000,
          maxWorkers: 1,
        },
      },
      {
        extends: true,
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: ['tests/support/browser/set-up.ts'],
          testTimeout: 300_000,
          hookTimeout: 300_000,
          // A file waits more than it computes: two share two cores well, more would not.
          maxWorkers: 2,
        },
      },
    ],
  },
});
