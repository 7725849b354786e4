'use client';
import { useCallback, useMemo } from 'react';
import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import type { Area } from '@/core/model/area';
import type { KnownPlace } from '@/core/model/known-place';
import type { Outing } from '@/core/model/outing';
import type { Route } from '@/core/model/route';
import { fixHere } from '@/core/navigation/fix/fix-here';
import { followRoute, routeFollowed } from '@/core/navigation/route/follow';
import { planOf, type Plan } from '@/core/navigation/route/plan';
import type { RouteLeg } from '@/core/navigation/route/leg';
import type { EarthModels } from '@/core/north/earth-models';
import type { OutingNorths } from '@/core/north/outing-norths';
import { planePointOf } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import type { EarthFix } from '@/core/survey/fix/on-earth';
import type { Survey } from '@/core/survey/party/survey';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { lengthOf } from '@/core/units/plane';
import type { Layer } from '@/sketch/layer';
import type { Count } from '@/store/count';
import { areaLogs } from '@/store/documents/areas';
import { routeLogs } from '@/store/documents/routes';
import { knownPlaces } from '@/store/known/known-places';
import { listedOutings } from '@/store/snapshots/listed';
import { useLive } from '@/ui/use-live';
import { useKeptDraft } from '@/views/fix/use-draft';
import { surveyOfArea } from '@/views/area/survey-of-area';
import { useCount } from '@/views/shared/data/use-count';
import { browserDatabase } from '@/store/browser-database';
import { useEarthModels } from '@/views/shared/data/use-earth-models';
import type { MapChoices } from '../map-choices';

/** A layer in metres about a position, true north up; or, at null, in the plane of the outing. */
export interface EarthLayer {
  readonly origin: Position | null;
  readonly layer: Layer;
}

/** What can be laid on the map on this device. */
async function loadDrawable() {
  const database = browserDatabase();
  const [{ outings }, routes, areas, known] = await Promise.all([
    listedOutings(database),
    routeLogs.all(database),
    areaLogs.all(database),
    knownPlaces(database),
  ]);
  return {
    outings: outings.map(({ state }) => state.document),
    routes: routes.map(({ document }) => document),
    areas: areas.map(({ document }) => document),
    known,
  };
}
type Drawable = Awaited<ReturnType<typeof loadDrawable>>;

/** Another outing that is shown. */
interface OtherOuting {
  readonly outing: Outing;
  readonly solution: Solution;
}

/** All that the layers of the map are made of. */
export interface MapContext {
  readonly there: Drawable;
  /** The outing in hand. */
  readonly solution: Solution | null;
  readonly route: Route | null;
  readonly plan: Plan | null;
  readonly area: Area | null;
  readonly survey: Survey | null;
  readonly others: readonly OtherOuting[];
  readonly fixed: EarthFix | null;
  readonly count: Count | null;
}

/** Routes that begin farther off than this are of another day. */
const NEAR_METRES = 20_000;

/** The route that is shown until one is chosen: what the log follows, else the nearest of some. */
function routeAtFirst({ routes }: Drawable, solution: Solution | null): string | null {
  const followed = solution && routeFollowed(solution)?.route;
  if (followed) return followed;
  const origin = solution?.places.frame.origin;
  const near = routes.find(({ points: [first] }) => {
    const at = first?.position;
    return origin && at && lengthOf(planePointOf(origin, at)) < NEAR_METRES;
  });
  return near?.id ?? null;
}

const solved = (outing: Outing, models: EarthModels) => {
  const found = solve(outing, models, { tools: surveyTools });
  return found.ok ? found.value : null;
};

/** The area that is shown until one is chosen: one that the outing belongs to. */
const areaAtFirst = ({ areas }: Drawable, solution: Solution | null) =>
  areas.find(({ outings }) => solution !== null && outings.includes(solution.outing.id))?.id ??
  null;

/** Everything that the map can show of what was chosen; null while it is loaded. */
export function useMapContext(
  solution: Solution | null,
  { route: chosenRoute, area: chosenArea, outings }: MapChoices,
): MapContext | null {
  const live = useLive(useCallback(() => loadDrawable(), []));
  const there = live && 'value' in live ? live.value : null;
  const models = useEarthModels('grid');
  const routeId = chosenRoute ?? (there && routeAtFirst(there, solution));
  const route = there?.routes.find(({ id }) => id === routeId) ?? null;
  const plan = useMemo(() => {
    const found = route && models ? planOf(route, models) : null;
    return found?.ok ? found.value : null;
  }, [route, models]);
  const areaId = chosenArea ?? (there && areaAtFirst(there, solution));
  const area = there?.areas.find(({ id }) => id === areaId) ?? null;
  const survey = useMemo(
    () => (area && there && models ? surveyOfArea(area, there.outings, models) : null),
    [area, there, models],
  );
  const own = solution?.outing.id ?? '';
  const others = useMemo(() => {
    if (!there || !models) return [];
    return there.outings
      .filter(({ id }) => outings.includes(id) && id !== own)
      .flatMap((outing) => {
        const found = solved(outing, models);
        return found ? [{ outing, solution: found }] : [];
      });
  }, [there, models, outings, own]);
  const counted = useCount(own);
  const count = counted.state.status === 'ready' ? counted.state.count : null;
  const draft = useKeptDraft(own);
  const known: readonly KnownPlace[] | null = there?.known ?? null;
  const fixed = useMemo(
    () => (solution && known ? fixHere(solution, draft, known).found : null),
    [solution, known, draft],
  );
  return useMemo(
    () => there && { there, solution, route, plan, area, survey, others, fixed, count },
    [there, solution, route, plan, area, survey, others, fixed, count],
  );
}

/** The angles between the norths there: of the outing, or of the route; null where neither is. */
export const northsOf = ({ solution, plan }: MapContext): OutingNorths | null =>
  solution?.places.frame.norths ?? plan?.norths ?? null;

/** The leg that is walked next; without an outing, the one that was planned last. */
export const legAhead = ({ plan, solution }: MapContext): RouteLeg | null =>
  plan && ((solution && followRoute(solution, plan).next) ?? plan.legs.at(-1) ?? null);
