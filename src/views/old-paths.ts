/** Paths of released versions and where they are now: links and bookmarks keep working. */
export const OLD_PATHS: Readonly<Record<string, string>> = {
  '/way': '/way-home',
  '/count': '/counter',
  '/norths': '/declination',
  '/paces': '/pacing',
  '/paper': '/print',
};
