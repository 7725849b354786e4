/// <reference lib="webworker" />
import type { PrecacheEntry, SerwistGlobalConfig } from 'serwist';
import { Serwist } from 'serwist';
import { CACHE_PREFIX, isOfBuild, LOADED, WHICH_BUILD, WORKER_BUILD } from '../ui/version/protocol';
import { OLD_PATHS } from '../views/old-paths';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

/**
 * A worker script answered from the cache loses the fragment of its URL, in which the bundler
 * passes the worker its configuration; a response without a URL of its own keeps the requested one.
 */
const withWorkerUrl = (request: Request, response: Response) =>
  request.destination === 'worker'
    ? new Response(response.body, { status: response.status, headers: response.headers })
    : response;
const keepWorkerUrl = {
  handlerWillRespond: ({ request, response }: { request: Request; response: Response }) =>
    Promise.resolve(withWorkerUrl(request, response)),
};

const entries = self.__SW_MANIFEST ?? [];
/** The build's id, which is the revision of its start page. */
const build = entries.flatMap((entry) =>
  typeof entry === 'object' && entry.url === '/' ? (entry.revision ?? []) : [],
)[0];
/** Each build has a cache of its own: the files of the one before stay while a tab runs it. */
const cacheName = `${CACHE_PREFIX}${build ?? ''}`;

/**
 * Nothing is copied that is of another build: a page that an old server, or a cache on the way,
 * still gives out would stay in this build's files for good. Then the worker is not installed, and
 * the browser tries again later.
 */
const onlyThisBuild = {
  cacheWillUpdate: async ({ response }: { response: Response }) => {
    if (response.status !== 200) return null;
    const isPage = response.headers.get('content-type')?.startsWith('text/html') ?? false;
    if (!isPage || build === undefined) return response;
    return isOfBuild(await response.clone().text(), build) ? response : null;
  },
};

const serwist = new Serwist({
  precacheEntries: entries,
  precacheOptions: {
    cacheName,
    // One page serves every outing: what it is about is in the query, whatever its name.
    ignoreURLParametersMatching: [/^/],
    urlManipulation: ({ url }) => {
      const path = OLD_PATHS[url.pathname];
      return path === undefined ? [] : [new URL(path, url)];
    },
    plugins: [keepWorkerUrl, onlyThisBuild],
  },
  runtimeCaching: [
    {
      // Not among this build's files: a tab of another build asks for one of its own.
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: async ({ request }) => {
        const kept = await caches.match(request, { ignoreSearch: true });
        return kept ? withWorkerUrl(request, kept) : fetch(request);
      },
    },
  ],
  // A new version waits until the person takes it: a page never changes while it is used.
  skipWaiting: false,
  clientsClaim: true,
  navigationPreload: false,
});

serwist.addEventListeners();

/** Caches of builds: by their own name, or by the library's in older versions. */
const IS_OURS = new RegExp(`^${CACHE_PREFIX}|-precache-`);

/** How long a tab has to say which build it runs; one that is asleep or older says nothing. */
const ANSWER_MS = 3000;

/** True when a tab says that it runs this build. */
const runsThisBuild = (client: WindowClient) =>
  new Promise<boolean>((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = ({ data }: MessageEvent<unknown>) => resolve(data === build);
    setTimeout(() => resolve(false), ANSWER_MS);
    client.postMessage({ kind: WHICH_BUILD }, [port2]);
  });

/** Drops the files of other builds once every open tab runs this one. */
async function dropOldFiles(): Promise<void> {
  const tabs = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
  const current = await Promise.all(tabs.map(runsThisBuild));
  if (!current.every(Boolean)) return;
  const names = await caches.keys();
  const old = names.filter((name) => name !== cacheName && IS_OURS.test(name));
  await Promise.all(old.map((name) => caches.delete(name)));
}

// A tab says that it has loaded; before this worker is in charge, another one's files are current.
self.addEventListener('message', (event: ExtendableMessageEvent) => {
  const kind = (event.data as { kind?: unknown } | null)?.kind;
  if (kind === WORKER_BUILD) event.ports[0]?.postMessage(build);
  if (kind === LOADED && self.registration.active?.scriptURL === self.location.href) {
    event.waitUntil(dropOldFiles());
  }
});
