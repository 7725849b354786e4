/// <reference lib="webworker" />
import type { PrecacheEntry, SerwistGlobalConfig } from 'serwist';
import { Serwist } from 'serwist';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

/**
 * A worker script answered from the cache loses the fragment of its URL, in which the bundler passes the
 * worker its configuration; a response without a URL of its own keeps the one that was asked for.
 */
const keepWorkerUrl = {
  handlerWillRespond: ({ request, response }: { request: Request; response: Response }) =>
    Promise.resolve(
      request.destination === 'worker'
        ? new Response(response.body, { status: response.status, headers: response.headers })
        : response,
    ),
};

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    // One page serves every outing: its id is in the query, and so is the bearing to hold.
    ignoreURLParametersMatching: [/^(id|hold)$/],
    plugins: [keepWorkerUrl],
  },
  // A new version waits until the person takes it: a page never changes under their hands.
  skipWaiting: false,
  clientsClaim: true,
  navigationPreload: false,
});

serwist.addEventListeners();
