// What pages and the offline worker say to each other.

/** What the offline worker's caches are called, before the id of their build. */
export const CACHE_PREFIX = 'cairn-files-';

/** What the offline worker asks a tab; the answer is the tab's build. */
export const WHICH_BUILD = 'which-build';

/** What a tab tells the offline worker once it has loaded. */
export const LOADED = 'loaded';
