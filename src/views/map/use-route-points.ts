import dayjs from 'dayjs';
import { useRef } from 'react';
import type { MapPicture } from '@/core/model/map-picture';
import { blankRoute, type Route } from '@/core/model/route';
import { browserDatabase } from '@/store/browser-database';
import { documentActions, edited } from '@/store/documents/document-log';
import { routeLogs } from '@/store/documents/routes';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { ownPaces } from '@/views/shared/data/own-paces';

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

/** Begins a route on the picture; a second tap may come before the first one's is chosen. */
function useStarted(picture: MapPicture, onStarted: (route: string) => void) {
  const starting = useRef<Promise<string> | null>(null);
  const start = async (): Promise<string> => {
    const id = crypto.randomUUID();
    const blank = blankRoute(id, picture.name, dayjs().format('YYYY-MM-DD'));
    const route = { ...blank, paces: await ownPaces(), picture: picture.id };
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

/** What taps do to the route: each adds a point to it, or begins one; the last step is undone. */
export function useRoutePoints(
  picture: MapPicture,
  chosen: string | null,
  onStarted: (route: string) => void,
  onFault: (fault: string | null) => void,
) {
  const startRoute = useStarted(picture, onStarted);
  const changePoints = (make: (points: readonly Point[]) => Point[]) =>
    written(async () => {
      const id = chosen ?? (await startRoute());
      const change = (before: Route) => ({
        ...before,
        picture: picture.id,
        points: make(before.points),
      });
      const outcome = await routeLogs.change(
        browserDatabase(),
        id,
        (state) => edited(state, change),
        new Date(),
      );
      if (outcome.kind === 'unsaved') throw new StoreRefusal(outcome.fault);
    });
  return {
    startRoute,
    /** A point is called by its number until a person names it. */
    addPoint: (point: Omit<Point, 'name'>) =>
      changePoints((before) => [...before, { name: `Point ${before.length + 1}`, ...point }]).then(
        onFault,
      ),
    nameLast: (name: string) =>
      changePoints((before) =>
        before.map((point, index) => (index === before.length - 1 ? { ...point, name } : point)),
      ),
    undoPoint: async () => {
      const outcome = await documentActions(
        routeLogs,
        browserDatabase,
        chosen ?? '',
        () => undefined,
      ).undo();
      onFault(outcome.kind === 'unsaved' ? STORE_MESSAGES[outcome.fault] : null);
    },
  };
}
