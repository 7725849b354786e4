// What pages and the offline worker say to each other, and events of a page.

/** What the offline worker's caches are called, before the id of their build. */
export const CACHE_PREFIX = 'cairn-files-';

/** What the offline worker asks a tab; the answer is the tab's build. */
export const WHICH_BUILD = 'which-build';

/** What a tab asks the offline worker; the answer is the worker's build. */
export const WORKER_BUILD = 'worker-build';

/** What a tab tells the offline worker once it has loaded. */
export const LOADED = 'loaded';

/** An event: this page must not upgrade the database yet, since older tabs use it. */
export const UPGRADE_WAITS = 'cairn-upgrade-waits';
/** An event: the database is newer than this page. */
export const DATABASE_NEWER = 'cairn-database-newer';

/** The name of the tag in each page that says which build it is of. */
export const BUILD_TAG = 'cairn-build';

/** Whether a page, as text, is of a build. */
export const isOfBuild = (html: string, build: string): boolean =>
  html.includes(`<meta name="${BUILD_TAG}" content="${build}"`);
