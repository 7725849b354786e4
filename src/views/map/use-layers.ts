'use client';
import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import { useCallback, useMemo } from 'react';
import type { Ellipse } from '@/core/errors/ellipse';
import type { KnownPlace } from '@/core/model/known-place';
import type { Outing } from '@/core/model/outing';
import { fixHere, type FixDraft } from '@/core/navigation/fix/fix-here';
import { placeOnMap, positionErrorEllipse } from '@/core/navigation/position-error';
import { followRoute } from '@/core/navigation/route/follow';
import { planOf, type Plan } from '@/core/navigation/route/plan';
import type { EarthModels } from '@/core/north/earth-models';
import type { Position } from '@/core/readings/position';
import { positionAt } from '@/core/place/geodesic';
import { positionOfStation } from '@/core/survey/positions';
import { solve } from '@/core/survey/solve';
import { stationName, type Solution } from '@/core/survey/solution';
import { polar } from '@/core/units/plane';
import { lengthText } from '@/ui/units/shown';
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

/** A line that lies over the picture. */
interface LayerLine {
  readonly kind: 'leg' | 'route' | 'home' | 'known' | 'barrier';
  readonly positions: readonly Position[];
}
export interface LayerMark {
  readonly kind: 'station' | 'route' | 'known' | 'here' | 'fix' | 'hundred' | 'count';
  readonly name: string;
  readonly position: Position;
}
export interface LayerEllipse {
  readonly at: Position;
  readonly ellipse: Ellipse;
}

/** All that lies over the picture, by its places on the earth. */
export interface Layers {
  readonly lines: readonly LayerLine[];
  readonly marks: readonly LayerMark[];
  readonly ellipses: readonly LayerEllipse[];
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
    outings: outings.map(({ state }) => state.outing),
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

/** The log, the way home with its ellipse, and where a fix puts one. */
function outingLayers(solution: Solution, known: readonly KnownPlace[], draft: FixDraft): Layers {
  const { places, current } = solution;
  const at = (station: number) => positionOfStation(places, station);
  const lines: LayerLine[] = [];
  for (const { from, to } of solution.legs) {
    const [start, end] = [at(from), at(to)];
    if (start && end) lines.push({ kind: 'leg', positions: [start, end] });
  }
  const [here, home] = [at(current), at(0)];
  if (here && home && current !== 0) lines.push({ kind: 'home', positions: [here, home] });
  const marks = places.stations().flatMap((station): LayerMark[] => {
    const position = at(station);
    const kind = station === current ? 'here' : 'station';
    return position ? [{ kind, name: stationName(solution, station), position }] : [];
  });
  const ellipses: LayerEllipse[] = [];
  if (here && home && current !== 0) {
    ellipses.push({ at: here, ellipse: placeOnMap(solution, current) });
    ellipses.push({ at: home, ellipse: positionErrorEllipse(solution, current, 0) });
  }
  const fix = fixHere(solution, draft, known).found;
  if (fix) {
    marks.push({ kind: 'fix', name: 'fix', position: fix.position });
    ellipses.push({ at: fix.position, ellipse: fix.fix.ellipse });
  }
  return { lines, marks, ellipses };
}

/** A thumb on the map: where one is after each hundred metres of a leg. */
const HUNDRED = 100;

const hundreds = ({ positions, legs }: Plan): LayerMark[] =>
  legs.flatMap(({ number, metres, bearing }) => {
    const from = positions[number - 1]!;
    const count = Math.max(0, Math.ceil(metres / HUNDRED) - 1);
    return Array.from({ length: count }, (_, index) => ({
      kind: 'hundred' as const,
      name: '',
      position: positionAt(from, polar(bearing.true ?? 0, HUNDRED * (index + 1))),
    }));
  });

/** Where one is on the leg to the next point by the count; nothing before anything is counted. */
function countLayer(solution: Solution, plan: Plan, count: Count): Layers {
  const { here, way, next } = followRoute(solution, plan);
  const metres = metresOf(solution, count, count.ground);
  if (!here || !way || !next || metres === null || metres <= 0) return NOTHING;
  const position = positionAt(here, polar(way.bearing.true ?? 0, metres));
  const name = `${lengthText(metres)} to ${next.to}`;
  return { lines: [], marks: [{ kind: 'count', name, position }], ellipses: [] };
}

function routeLayers(plan: Plan): Layers {
  const { route, positions, legs } = plan;
  return {
    lines: [{ kind: 'route', positions }],
    marks: [
      ...hundreds(plan),
      ...route.points.map(({ name }, index) => ({
        kind: 'route' as const,
        name,
        position: positions[index]!,
      })),
    ],
    ellipses: legs.map(({ number, ellipse }) => ({ at: positions[number]!, ellipse })),
  };
}

function areaLayers(there: Drawable, id: string, models: EarthModels): Layers {
  const area = there.areas.find((each) => each.id === id);
  if (!area) return NOTHING;
  const survey = surveyOfArea(area, there.outings, models);
  if (!survey) return NOTHING;
  const { places, party } = survey;
  const at = (node: number) => positionOfStation(places, node);
  const lines = party.network.lines.flatMap(({ from, to }): LayerLine[] => {
    const [start, end] = [at(from), at(to)];
    return start && end ? [{ kind: 'leg', positions: [start, end] }] : [];
  });
  const marks = places.stations().flatMap((node): LayerMark[] => {
    const position = at(node);
    const name = party.nodes.all[node]?.name ?? '';
    return position ? [{ kind: 'station', name, position }] : [];
  });
  return { lines, marks, ellipses: [] };
}

function knownLayers(known: readonly KnownPlace[]): Layers {
  const lines = known.filter(({ positions }) => positions.length > 1);
  return {
    lines: lines.map(({ positions, isBarrier }) => ({
      kind: isBarrier ? 'barrier' : 'known',
      positions,
    })),
    marks: known.map(({ name, positions }) => ({ kind: 'known', name, position: positions[0]! })),
    ellipses: [],
  };
}

const NOTHING: Layers = { lines: [], marks: [], ellipses: [] };

const joinedLayers = (layers: readonly Layers[]): Layers => ({
  lines: layers.flatMap((each) => each.lines),
  marks: layers.flatMap((each) => each.marks),
  ellipses: layers.flatMap((each) => each.ellipses),
});

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
    if (!there || !models) return NOTHING;
    return joinedLayers([
      chosen.known ? knownLayers(there.known) : NOTHING,
      chosen.area === null ? NOTHING : areaLayers(there, chosen.area, models),
      solution ? outingLayers(solution, there.known, draft) : NOTHING,
      plan ? routeLayers(plan) : NOTHING,
      plan && solution && count ? countLayer(solution, plan, count) : NOTHING,
    ]);
  }, [there, models, chosen, solution, plan, count, draft]);
  return { there, layers, plan, route, solution, models };
}
export type LayersState = ReturnType<typeof useLayers>;
