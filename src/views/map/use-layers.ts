'use client';
import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import { useCallback, useMemo } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import type { Outing } from '@/core/model/outing';
import { fixHere, type FixDraft } from '@/core/navigation/fix/fix-here';
import { followRoute } from '@/core/navigation/route/follow';
import { planOf, type Plan } from '@/core/navigation/route/plan';
import type { EarthModels } from '@/core/north/earth-models';
import type { Position } from '@/core/readings/position';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { polar } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { NO_LAYER, type Layer } from '@/sketch/layer';
import { areaLayers } from '@/sketch/layers/area';
import { fixLayer } from '@/sketch/layers/fix';
import { homeLayer } from '@/sketch/layers/home';
import { knownLayer } from '@/sketch/layers/known';
import { hundredsLayer, planLayer } from '@/sketch/layers/plan';
import { walkedLayer } from '@/sketch/layers/walked';
import { figureUnits, lengthText } from '@/ui/units/shown';
import type { Count } from '@/store/count';
import { areaLogs } from '@/store/documents/areas';
import { routeLogs } from '@/store/documents/routes';
import { knownPlaces } from '@/store/known/known-places';
import { listedOutings } from '@/store/snapshots/listed';
import { useLive } from '@/ui/use-live';
import { metresOf } from '@/views/counter/count/leg-of-count';
import { useKeptDraft } from '@/views/fix/use-draft';
import { surveyOfArea } from '@/views/area/survey-of-area';
import { useCount } from '@/views/shared/data/use-count';
import { browserDatabase } from '@/store/browser-database';
import { useEarthModels } from '@/views/shared/data/use-earth-models';

/** A layer of the earth: in metres about a position, true north up. */
export interface EarthLayer {
  readonly origin: Position;
  readonly layer: Layer;
}

/** What can be laid over a picture on this device. */
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

/** What was chosen to lie over the picture. */
export interface Chosen {
  readonly route: string | null;
  readonly outing: string | null;
  readonly area: string | null;
  readonly known: boolean;
}

const solved = (outing: Outing, models: EarthModels) => {
  const found = solve(outing, models, { tools: surveyTools });
  return found.ok && found.value.places.frame.origin ? found.value : null;
};

/** The log, the way home with its ellipse, and the fix with its lines. */
function outingLayers(
  solution: Solution,
  known: readonly KnownPlace[],
  draft: FixDraft,
): EarthLayer[] {
  const { origin } = solution.places.frame;
  if (!origin) return [];
  const layers = [homeLayer(solution), walkedLayer(solution, figureUnits())];
  const { found } = fixHere(solution, draft, known);
  return [
    ...(found ? [{ origin: found.position, layer: fixLayer(found, false) }] : []),
    ...layers.map((layer) => ({ origin, layer })),
  ];
}

/** Where one is on the leg to the next point by the count; nothing before anything is counted. */
function countLayers(solution: Solution, plan: Plan, count: Count): EarthLayer[] {
  const { here, way, next } = followRoute(solution, plan);
  const metres = metresOf(solution, count, count.ground);
  if (!here || !way || !next || metres === null || metres <= 0) return [];
  const text = `${lengthText(metres)} to ${visibleText(next.to)}`;
  const at = polar(way.bearing.true ?? 0, metres);
  const marks = [{ key: 'count', kind: 'count' as const, text, ...at }];
  return [{ origin: here, layer: { ...NO_LAYER, marks } }];
}

function routeLayers(plan: Plan): EarthLayer[] {
  const [origin] = plan.positions;
  return origin
    ? [hundredsLayer(plan), planLayer(plan, null)].map((layer) => ({ origin, layer }))
    : [];
}

function areaLayersOf(there: Drawable, id: string, models: EarthModels): EarthLayer[] {
  const area = there.areas.find((each) => each.id === id);
  const survey = area && surveyOfArea(area, there.outings, models);
  const origin = survey?.places.frame.origin;
  return origin ? areaLayers(survey, new Set()).map((layer) => ({ origin, layer })) : [];
}

function knownLayers(known: readonly KnownPlace[]): EarthLayer[] {
  const origin = known[0]?.positions[0];
  return origin ? [{ origin, layer: knownLayer(known, origin) }] : [];
}

/** What can lie over the picture, and what does. */
export function useLayers(chosen: Chosen) {
  const live = useLive(useCallback(() => loadDrawable(), []));
  const there = live && 'value' in live ? live.value : null;
  const models = useEarthModels('grid');
  const route = there?.routes.find(({ id }) => id === chosen.route) ?? null;
  const plan = useMemo(() => {
    const found = route && models ? planOf(route, models) : null;
    return found?.ok ? found.value : null;
  }, [route, models]);
  const outing = there?.outings.find(({ id }) => id === chosen.outing) ?? null;
  const solution = useMemo(
    () => (outing && models ? solved(outing, models) : null),
    [outing, models],
  );
  const counted = useCount(chosen.outing ?? '');
  const count = counted.state.status === 'ready' ? counted.state.count : null;
  const draft = useKeptDraft(chosen.outing ?? '');
  const layers = useMemo(() => {
    if (!there || !models) return [];
    return [
      ...(chosen.known ? knownLayers(there.known) : []),
      ...(chosen.area === null ? [] : areaLayersOf(there, chosen.area, models)),
      ...(solution ? outingLayers(solution, there.known, draft) : []),
      ...(plan ? routeLayers(plan) : []),
      ...(plan && solution && count ? countLayers(solution, plan, count) : []),
    ];
  }, [there, models, chosen, solution, plan, count, draft]);
  return { there, layers, plan, route, solution, models };
}
export type LayersState = ReturnType<typeof useLayers>;
