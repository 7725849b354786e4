/**
 * Every view: menu, command palette, offline pages, screenshots and access tests read this list. A
 * new one is a folder with its component, a line here, and a line in view.tsx; Home now has a page
 * of its own instead.
 */
export const VIEWS = [
  { id: 'outings', path: '/', title: 'Outings', menu: null },
  { id: 'outing', path: '/outing', title: 'Outing', menu: null },
  { id: 'home-now', path: '/home-now', title: 'Home now', menu: 'one screen, now' },
  { id: 'way-home', path: '/way-home', title: 'Way home', menu: 'compare the ways' },
  { id: 'walk', path: '/walk', title: 'Walk home', menu: 'guided' },
  { id: 'fix', path: '/fix', title: 'Fix', menu: 'where am I on the map' },
  { id: 'counter', path: '/counter', title: 'Pace counter', menu: 'tap as you walk' },
  { id: 'declination', path: '/declination', title: 'Declination', menu: 'magnetic, true, grid' },
  { id: 'uncertainty', path: '/uncertainty', title: 'Uncertainty', menu: 'your own errors' },
  { id: 'pacing', path: '/pacing', title: 'Pace calibration', menu: 'ground by ground' },
  { id: 'print', path: '/print', title: 'Print', menu: 'log and sketch on paper' },
  { id: 'pegs', path: '/pegs', title: 'Pegs and string', menu: 'when the screen dies' },
  { id: 'files', path: '/files', title: 'Files', menu: 'export, import, backup' },
  { id: 'guide', path: '/guide', title: 'Guide', menu: 'checks and method' },
  { id: 'step-off', path: '/step-off', title: 'Step off', menu: null },
  { id: 'area', path: '/area', title: 'Area', menu: null },
  { id: 'route', path: '/route', title: 'Route', menu: null },
  { id: 'map', path: '/map', title: 'Map', menu: null },
  { id: 'practice', path: '/practice', title: 'Practice', menu: null },
] as const;

export type View = (typeof VIEWS)[number];
export type ViewId = View['id'];

/** The views of an outing's menu, each with a word on what it is for. */
export const MENU_VIEWS = VIEWS.filter(
  (view): view is Extract<View, { menu: string }> => view.menu !== null,
);

const PATHS: ReadonlyMap<ViewId, string> = new Map(VIEWS.map(({ id, path }) => [id, path]));

/** The address of a view, of an outing if it is about one. */
export function viewUrl(
  view: ViewId,
  outingId?: string,
  more: Record<string, string> = {},
): string {
  const query = new URLSearchParams(outingId === undefined ? more : { id: outingId, ...more });
  return `${PATHS.get(view) ?? '/'}${query.size > 0 ? `?${query}` : ''}`;
}

export const viewTitle = (id: ViewId): string => VIEWS.find((view) => view.id === id)?.title ?? '';
