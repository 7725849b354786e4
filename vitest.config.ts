import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['tests/{core,devices,formats,store,api,published}/**/*.test.ts'],
          testTimeout: 60_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: ['tests/browser/set-up.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
          // One browser and two cores: files that run side by side would only slow each other.
          fileParallelism: false,
        },
      },
    ],
  },
});
