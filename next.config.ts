import type { NextConfig } from 'next';
import { withSerwist } from '@serwist/turbopack';
import { OLD_PATHS } from './src/views/old-paths';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
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

export default withSerwist(config);
