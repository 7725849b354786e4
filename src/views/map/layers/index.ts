import { followRoute } from '@/core/navigation/route/follow';
import type { Solution } from '@/core/survey/solution';
import { polar } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { NO_LAYER, type Layer, type LayerLine, type Mark } from '@/sketch/layer';
import { areaLayers, sureLayer } from '@/sketch/layers/area';
import { fixLayer } from '@/sketch/layers/fix';
import { homeLayer } from '@/sketch/layers/home';
import { knownLayer } from '@/sketch/layers/known';
import { hundredsLayer, planLayer } from '@/sketch/layers/plan';
import { walkedLayer } from '@/sketch/layers/walked';
import { figureUnits, lengthText } from '@/ui/units/shown';
import { metresOf } from '@/views/counter/count/leg-of-count';
import { outingInList } from '@/views/shared/words/outing-about';
import type { EarthLayer, MapContext } from './context';

/** A layer of the map: what it is called, how its key is drawn, and what it draws. */
interface MapLayerOf {
  readonly label: string;
  /** The line or the mark of its key. */
  readonly key: LayerLine['kind'] | Mark['kind'] | 'ellipse';
  /** What it draws of what there is; nothing where there is nothing of it. */
  of(context: MapContext): readonly EarthLayer[];
  /** What a line of it is called, by its number. */
  lineName?(context: MapContext, number: number): string;
}

/** Nothing without an outing; else layers in its own plane, which has a position or none. */
const ofOuting =
  (make: (solution: Solution) => readonly Layer[]) =>
  ({ solution }: MapContext): EarthLayer[] =>
    solution
      ? make(solution).map((layer) => ({ origin: solution.places.frame.origin, layer }))
      : [];

/** The names that a log gives to its places. */
const namesOf = ({ outing, legs }: Solution): string[] =>
  [outing.start.name, ...Array.from(legs, ({ reading }) => reading.to ?? '')].map(visibleText);

/** Another log as it was walked: dashed, with its name at its end. */
function otherLayer({ outing, solution }: MapContext['others'][number]): EarthLayer[] {
  const { origin } = solution.places.frame;
  if (!origin) return [];
  const { lines, dots } = walkedLayer(solution, figureUnits());
  const text = outingInList(outing, outing.id).split(' · ')[0] ?? '';
  const end = {
    key: outing.id,
    kind: 'station' as const,
    text,
    ...solution.places.at(solution.current),
  };
  const legs = lines
    .filter(({ kind }) => kind !== 'sight')
    .map(({ points }): LayerLine => ({ kind: 'logged', points }));
  return [{ origin, layer: { ...NO_LAYER, lines: legs, dots, marks: [end] } }];
}

/** Where one is on the leg to the next point by the count; nothing before anything is counted. */
function countLayer({ solution, plan, count }: MapContext): EarthLayer[] {
  if (!solution || !plan || !count) return [];
  const { here, way, next } = followRoute(solution, plan);
  const metres = metresOf(solution, count, count.ground);
  if (!here || !way || !next || metres === null || metres <= 0) return [];
  const text = `${lengthText(metres)} to ${visibleText(next.to)}`;
  const at = polar(way.bearing.true ?? 0, metres);
  const marks = [{ key: 'count', kind: 'count' as const, text, ...at }];
  return [{ origin: here, layer: { ...NO_LAYER, marks } }];
}

/**
 * The layers of the map, from the lowest to the highest. A new one is a line here. The ground, the
 * grid and the picture of a map lie below them.
 */
const MAP_LAYERS = {
  known: {
    label: 'Known places, lines',
    key: 'known',
    of({ there: { known } }) {
      const origin = known[0]?.positions[0];
      return origin ? [{ origin, layer: knownLayer(known, origin) }] : [];
    },
  },
  outings: {
    label: 'Other outings',
    key: 'logged',
    of: ({ others }) => others.flatMap(otherLayer),
  },
  area: {
    label: 'Area',
    key: 'leg',
    of({ survey, solution }) {
      const origin = survey?.places.frame.origin;
      if (!survey || !origin) return [];
      const own = survey.party.members.findIndex(
        (member) => member.solution.outing.id === solution?.outing.id,
      );
      // The outing in hand is a layer of its own, as it is walked, with its names.
      const named = new Set(solution && own >= 0 ? namesOf(solution) : []);
      const hidden = new Set(own >= 0 ? [own] : []);
      return [sureLayer(survey, hidden), ...areaLayers(survey, hidden)].map((layer) => ({
        origin,
        layer: { ...layer, marks: layer.marks.filter(({ text }) => !named.has(text)) },
      }));
    },
  },
  route: {
    label: 'Route',
    key: 'route',
    of({ plan }) {
      const [origin] = plan?.positions ?? [];
      if (!plan || !origin) return [];
      return [hundredsLayer(plan), planLayer(plan, null)].map((layer) => ({ origin, layer }));
    },
    lineName: ({ plan }, number) =>
      `Route leg ${number} to ${visibleText(plan?.legs[number - 1]?.to ?? '')}`,
  },
  log: {
    label: 'Log',
    key: 'leg',
    of: ofOuting((solution) => [walkedLayer(solution, figureUnits())]),
    lineName({ solution }, number) {
      const to = solution?.legs.leg(number).reading.to;
      return to === undefined ? `Leg ${number}` : `Leg ${number} to ${visibleText(to)}`;
    },
  },
  fix: {
    label: 'Fix',
    key: 'sight',
    of: ({ fixed }) => (fixed ? [{ origin: fixed.position, layer: fixLayer(fixed, false) }] : []),
  },
  home: {
    label: 'Way home',
    key: 'home',
    of: ofOuting((solution) => [homeLayer(solution)]),
  },
  count: {
    label: 'Where the count is',
    key: 'count',
    of: countLayer,
  },
} satisfies Record<string, MapLayerOf>;

export type MapLayerId = keyof typeof MAP_LAYERS;
export const MAP_LAYER_IDS = Object.keys(MAP_LAYERS) as MapLayerId[];
export const mapLayer = (id: MapLayerId): MapLayerOf => MAP_LAYERS[id];

/** What is switched apart from the layers: how sure each place is. */
export const SURE = 'sure';

/** A layer of the map with what it is of. */
export interface ShownLayer extends EarthLayer {
  readonly id: MapLayerId;
}

/** The layers that are shown, the lowest first. */
export function shownLayers(context: MapContext, off: readonly string[]): ShownLayer[] {
  const isSure = !off.includes(SURE);
  return MAP_LAYER_IDS.filter((id) => !off.includes(id)).flatMap((id) =>
    mapLayer(id)
      .of(context)
      .map(({ origin, layer }) => ({
        id,
        origin,
        layer: isSure ? layer : { ...layer, ellipses: [] },
      })),
  );
}
