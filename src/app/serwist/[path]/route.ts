import { createSerwistRoute } from '@serwist/turbopack';
import { DEMO_LOGS } from '@/views/outings/demo-logs';
import { VIEWS } from '@/views/views';

// Pages have no content hash in their names: the build's id is their revision.
const revision = process.env.NEXT_PUBLIC_BUILD ?? 'development';
const PAGES = [
  ...VIEWS.map(({ path }) => path),
  ...DEMO_LOGS.map(({ file }) => `/demo/${file}`),
  '/manifest.webmanifest',
];

export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute(
  {
    additionalPrecacheEntries: PAGES.map((url) => ({ url, revision })),
    swSrc: 'src/app/service-worker.ts',
    useNativeEsbuild: true,
  },
);
