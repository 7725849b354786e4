import { routeId } from '../../entries/kinds/route';
import type { HeaderLine } from './header-line';

/** `follows ROUTE ; NAME`: the route that the outing follows, by its id. */
export const followsLine: HeaderLine = {
  keyword: 'follows',
  once: 'follows',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const route = cursor.rest();
    if (!routeId.safeParse(route).success) cursor.expected('route-id', undefined, column);
    return { follows: { route, ...(note !== undefined && { note }) } };
  },
  write: ({ follows }) => (follows ? { text: follows.route, note: follows.note } : null),
};
