import { createSerwistRoute } from '@serwist/turbopack';
import { DEMO_FILES } from '@/views/outings/demo-logs';
import { BUILD } from '@/ui/version/build';
import { VIEWS } from '@/views/views';

// Pages have no content hash in their names: the build's id is their revision.
const revision = BUILD;
/** What the build makes and pages ask for, the fonts as well. */
const FILES = ['.next/static/**/*.{js,css,html,ico,png,jpg,svg,webp,json,woff2}', 'public/**/*'];
const PAGES = [
  ...VIEWS.map(({ path }) => path),
  ...DEMO_FILES.map((file) => `/demo/${file}`),
  '/manifest.webmanifest',
];

export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute(
  {
    globPatterns: FILES,
    additionalPrecacheEntries: PAGES.map((url) => ({ url, revision })),
    swSrc: 'src/app/service-worker.ts',
    useNativeEsbuild: true,
  },
);
