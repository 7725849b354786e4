import dayjs from 'dayjs';
import { useRef } from 'react';
import { blankRoute, type Route } from '@/core/model/route';
import type { Position } from '@/core/readings/position';
import { browserDatabase } from '@/store/browser-database';
import { documentActions, edited } from '@/store/documents/document-log';
import { routeLogs } from '@/store/documents/routes';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { ownPaces } from '@/views/shared/data/own-paces';
import { withoutPoint, withPoint, withPointAfter } from '@/views/route/route-changes';

/** What the store refused, thrown so that it is reported like any other failure. */
class StoreRefusal extends Error {
  constructor(readonly fault: StoreFault) {
    super(fault);
  }
}

/** Does a change of the store; resolves to why it was not written, or null. */
export async function written(change: () => Promise<unknown>): Promise<string | null> {
  try {
    await change();
    return null;
  } catch (error) {
    return STORE_MESSAGES[error instanceof StoreRefusal ? error.fault : storeFault(error)];
  }
}

type Point = Route['points'][number];

/** What a route is begun on. */
interface BegunOn {
  readonly id: string;
  readonly name: string;
}

/** Begins a route; a second tap may come before the first one's is chosen. */
function useStarted(picture: BegunOn | null, onStarted: (route: string) => void) {
  const starting = useRef<Promise<string> | null>(null);
  const start = async (): Promise<string> => {
    const id = crypto.randomUUID();
    const blank = blankRoute(id, picture?.name ?? '', dayjs().format('YYYY-MM-DD'));
    const route = { ...blank, paces: await ownPaces(), ...(picture && { picture: picture.id }) };
    await routeLogs.add(browserDatabase(), route, new Date());
    onStarted(id);
    return id;
  };
  return () => {
    starting.current ??= start().finally(() => {
      starting.current = null;
    });
    return starting.current;
  };
}

interface Asked {
  /** The picture that the route lies on; null for none. */
  readonly picture: BegunOn | null;
  readonly route: string | null;
  /** Where its points are now. */
  readonly positions: readonly Position[];
  readonly onStarted: (route: string) => void;
  readonly onFault: (fault: string | null) => void;
}

/** What taps do to the route: each adds a point to it, or begins one; the last step is undone. */
export function useRoutePoints({ picture, route: chosen, positions, onStarted, onFault }: Asked) {
  const startRoute = useStarted(picture, onStarted);
  const changeRoute = (make: (route: Route) => Route) =>
    written(async () => {
      const id = chosen ?? (await startRoute());
      const change = (before: Route) => ({
        ...make(before),
        ...(picture && { picture: picture.id }),
      });
      const outcome = await routeLogs.change(
        browserDatabase(),
        id,
        (state) => edited(state, change),
        new Date(),
      );
      if (outcome.kind === 'unsaved') throw new StoreRefusal(outcome.fault);
    });
  const step = async (kind: 'undo' | 'redo') => {
    const actions = documentActions(routeLogs, browserDatabase, chosen ?? '', () => undefined);
    const outcome = await actions[kind]();
    onFault(outcome.kind === 'unsaved' ? STORE_MESSAGES[outcome.fault] : null);
  };
  return {
    startRoute,
    /** A point without a name is called by its number until a person names it. */
    addPoint: (point: Omit<Point, 'name'> & { readonly name?: string }) =>
      changeRoute((before) =>
        withPointAfter(before, before.points.length - 1, {
          name: `Point ${before.points.length + 1}`,
          ...point,
        }),
      ).then(onFault),
    /** Puts a point where another leg is, after the point of that number. */
    insertPoint: (after: number, point: Omit<Point, 'name'>) =>
      changeRoute((before) =>
        withPointAfter(before, after, { name: `Point ${before.points.length + 1}`, ...point }),
      ).then(onFault),
    /** A point that is put elsewhere is no longer measured from the one before. */
    movePoint: (number: number, place: Omit<Point, 'name'>) =>
      changeRoute((before) => {
        const point = before.points[number];
        if (!point) return before;
        const { paper: _paper, withinMetres: _within, ...rest } = point;
        return withPoint(before, number, { ...rest, ...place });
      }).then(onFault),
    removePoint: (number: number) =>
      changeRoute((before) => withoutPoint(before, number, positions)).then(onFault),
    /** Resolves to why it was not written, or null. */
    namePoint: (number: number, name: string) =>
      changeRoute((before) => {
        const point = before.points[number];
        return point ? withPoint(before, number, { ...point, name }) : before;
      }),
    undoPoint: () => step('undo'),
  };
}
