'use client';
import { figureUnits } from '@/ui/units/shown';
import dayjs from 'dayjs';
import { useCallback, useMemo, useState } from 'react';
import { checkRoute } from '@/core/checks/route';
import type { RouteWarning } from '@/core/checks/route/route-check';
import type { Route } from '@/core/model/route';
import { isLine } from '@/core/model/known-place';
import { fieldAt, type EarthModels } from '@/core/north/earth-models';
import { clockAt } from '@/core/navigation/place-clock';
import { sunsetMinutes } from '@/core/navigation/route/clock';
import { planOf, type Plan } from '@/core/navigation/route/plan';
import type { RouteFault } from '@/core/navigation/route/points';
import type { Result } from '@/core/units/result';
import { documentActions, type DocumentActions } from '@/store/documents/document-log';
import { routeLogs, type RouteState } from '@/store/documents/routes';
import { knownPlaces } from '@/store/known/known-places';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';
import { useEarthModels } from '@/views/shared/data/use-earth-models';
import type { Unopened } from '@/views/shared/page/document-page';

/** A route that is open: its document, and all that follows from it. */
export interface OpenRoute {
  readonly state: RouteState;
  readonly route: Route;
  /** The plan, or the first point that it stops at. */
  readonly plan: Result<Plan, RouteFault>;
  readonly warnings: readonly RouteWarning[];
  readonly sunset: number | null;
  readonly actions: DocumentActions<Route>;
  /** Why the last change was not written; null where it was. */
  readonly fault: StoreFault | null;
}

export type RouteOpening = Unopened | { readonly status: 'ready'; readonly open: OpenRoute };

const offsetNow = () => -new Date().getTimezoneOffset();

/** What is known of a plan beside itself: when the sun sets, and what can't be crossed. */
function useChecked(plan: Result<Plan, RouteFault> | null, models: EarthModels | null) {
  const known = useLive(useCallback(() => knownPlaces(browserDatabase()), []));
  return useMemo(() => {
    const [first] = plan?.ok ? plan.value.positions : [];
    const { offsetMinutes } = clockAt(first, offsetNow());
    const sunset = plan?.ok ? sunsetMinutes(plan.value, offsetMinutes) : null;
    const places = known && 'value' in known ? known.value : [];
    const barriers = places.filter((place) => isLine(place) && place.isBarrier);
    const crossings = places
      .filter((place) => !isLine(place) && place.isCrossing)
      .map(({ name, positions: [position] }) => ({ name, position: position! }));
    const day = plan?.ok ? (plan.value.route.date?.day ?? dayjs().format('YYYY-MM-DD')) : undefined;
    const field = fieldAt(models, first, day);
    const around = { sunsetMinutes: sunset, barriers, crossings, field };
    return { sunset, warnings: plan?.ok ? checkRoute(plan.value, around, figureUnits()) : [] };
  }, [plan, known, models]);
}

/** The route of an id, live across tabs. */
export function useRoute(id: string): RouteOpening {
  const stored = useLive(useCallback(() => routeLogs.stored(browserDatabase(), id), [id]));
  const models = useEarthModels('grid');
  const [fault, setFault] = useState<StoreFault | null>(null);
  const actions = useMemo(() => documentActions(routeLogs, browserDatabase, id, setFault), [id]);
  const route = stored && 'value' in stored ? (stored.value.state?.document ?? null) : null;
  const plan = useMemo(() => (route && models ? planOf(route, models) : null), [route, models]);
  const { sunset, warnings } = useChecked(plan, models);
  if (!stored) return { status: 'loading' };
  if ('error' in stored) return { status: 'failed', fault: storeFault(stored.error) };
  const { state, damage } = stored.value;
  if (damage) return { status: 'damaged' };
  if (!state || !route) return { status: 'missing' };
  if (state.discarded) return { status: 'discarded', recover: actions.recover };
  if (!plan) return { status: 'loading' };
  return { status: 'ready', open: { state, route, plan, warnings, sunset, actions, fault } };
}
