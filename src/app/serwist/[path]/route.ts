import { createSerwistRoute } from '@serwist/turbopack';
import { randomUUID } from 'node:crypto';

// Pages carry no content hash in their names: each build gives them a revision of its own.
const revision = randomUUID();
const PAGES = [
  '/',
  '/outing',
  '/norths',
  '/paces',
  '/count',
  '/step-off',
  '/way',
  '/walk',
  '/paper',
  '/pegs',
  '/guide',
  '/files',
  '/demo/rain-gauges.log.txt',
  '/manifest.webmanifest',
];

export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute(
  {
    additionalPrecacheEntries: PAGES.map((url) => ({ url, revision })),
    swSrc: 'src/app/service-worker.ts',
    useNativeEsbuild: true,
  },
);
