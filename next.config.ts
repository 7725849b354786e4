import type { NextConfig } from 'next';
import { PHASE_PRODUCTION_BUILD } from 'next/constants';
import { withSerwist } from '@serwist/turbopack';
import { shake } from './scripts/build/shake';
import { OLD_PATHS } from './src/views/old-paths';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Fewer and larger files: each costs a request, and packs better. All of them together grow by a
  // sixth, which is copied for offline use once the page is there.
  experimental: { turbopackChunking: { minChunkSize: 100_000 } },
  // It starts threads from its own files, which a bundler would not bring along.
  serverExternalPackages: ['piscina'],
  // `npm test` checks all types by itself, tests and scripts as well: once is enough.
  typescript: { ignoreBuildErrors: true },
  redirects: () =>
    Promise.resolve(
      Object.entries(OLD_PATHS).map(([source, destination]) => ({
        source,
        destination,
        permanent: true,
      })),
    ),
};

/** What is smaller for the browser than what the packages name themselves. */
const aliases = () => ({ ...shake(), dexie: './node_modules/dexie/dist/modern/dexie.mjs' });

const configOf = (phase: string) =>
  withSerwist(
    phase === PHASE_PRODUCTION_BUILD
      ? { ...config, turbopack: { resolveAlias: aliases() } }
      : config,
  );
export default configOf;
