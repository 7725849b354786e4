import { least } from 'd3-array';
import { wayAlong, wayOnEarth, type Way } from '@/core/navigation/ways/way';
import { planePointOf } from '@/core/place/geodesic';
import { homeMeans } from '@/core/survey/home-means';
import { positionOfStation } from '@/core/survey/positions';
import type { Solution } from '@/core/survey/solution';
import { scaled, sumOf, vectorBetween } from '@/core/units/plane';
import { lineHit, markHit } from '@/sketch/hit';
import type { Mark } from '@/sketch/layer';
import type { Pixel, View } from '@/sketch/view';
import type { MapBase, PlacedLayer } from '../base';
import { mapLayer, type MapLayerId } from '../layers';
import type { MapContext } from '../layers/context';

/** Something on the map that can be chosen: a named mark, or a numbered line. */
export interface Thing {
  /** What it is found by again after the map has changed. */
  readonly key: string;
  readonly layer: MapLayerId;
  readonly name: string;
  /** The mark's own key; null for a line. */
  readonly mark: string | null;
  /** The line's number; null for a mark. */
  readonly number: number | null;
  /** Where it is on the base; a line in its middle. */
  readonly at: Pixel;
}

const markKey = (layer: MapLayerId, mark: string) => `${layer}:${mark}`;
const lineKey = (layer: MapLayerId, number: number) => `${layer}#${number}`;

/** The key of a leg of the log. */
export const legKey = (number: number | string) => lineKey('log', Number(number));

/** Marks that are no things of their own: what they stand for is chosen by its line. */
const NO_THINGS: ReadonlySet<Mark['kind']> = new Set(['hundred', 'number', 'end']);

const markThing = (layer: MapLayerId, { key, text, kind, east, north }: Mark): Thing[] =>
  NO_THINGS.has(kind)
    ? []
    : [
        {
          key: markKey(layer, key),
          layer,
          name: text === '' ? mapLayer(layer).label : text,
          mark: key,
          number: null,
          at: { x: east, y: -north },
        },
      ];

function lineThing(
  context: MapContext,
  { id, layer, place }: PlacedLayer,
  number: number,
): Thing | null {
  const line = layer.lines.find((each) => each.number === number);
  const [from, to] = [line?.points[0], line?.points.at(-1)];
  const at = from && to && place(scaled(sumOf(from, to), 0.5));
  if (!at) return null;
  const name = mapLayer(id).lineName?.(context, number) ?? `${mapLayer(id).label} ${number}`;
  return { key: lineKey(id, number), layer: id, name, mark: null, number, at };
}

/** Everything on the map that can be chosen, the highest layer first. */
export const thingsOf = (context: MapContext, placed: readonly PlacedLayer[]): Thing[] =>
  placed.toReversed().flatMap((each) => {
    const numbers = each.layer.lines.flatMap(({ number, kind }) =>
      number === undefined || kind === 'aim' ? [] : [number],
    );
    return [
      ...each.marks.marks.flatMap((mark) => markThing(each.id, mark)),
      ...numbers.flatMap((number) => lineThing(context, each, number) ?? []),
    ];
  });

/** The thing of a key as it is now; null where it has gone. */
export const thingOf = (
  context: MapContext,
  placed: readonly PlacedLayer[],
  key: string,
): Thing | null => {
  const [id, number] = key.split('#');
  const line = placed.find((each) => each.id === id && each.layer.lines.length > 0);
  if (number !== undefined) return line ? lineThing(context, line, Number(number)) : null;
  for (const each of placed) {
    const mark = each.marks.marks.find((one) => markKey(each.id, one.key) === key);
    if (mark) return markThing(each.id, mark)[0] ?? null;
  }
  return null;
};

const MARK_PIXELS = 24;
const LINE_PIXELS = 22;

/** The key of what is at a pixel: a mark before a line, the highest layer first; null for none. */
export function thingAt(placed: readonly PlacedLayer[], view: View, pixel: Pixel): string | null {
  const marks = placed.toReversed().flatMap(({ id, marks: { marks: all } }) => {
    const named = all.filter(({ kind }) => !NO_THINGS.has(kind));
    const hit = markHit(named, view, pixel, MARK_PIXELS);
    return hit ? [{ key: markKey(id, hit.found.key), away: hit.away }] : [];
  });
  const nearest = least(marks, ({ away }) => away);
  if (nearest) return nearest.key;
  const lines = placed.toReversed().flatMap(({ id, layer, place }) => {
    const hit = lineHit([layer], view, pixel, LINE_PIXELS, place);
    return hit ? [{ key: lineKey(id, hit.found), away: hit.away }] : [];
  });
  return least(lines, ({ away }) => away)?.key ?? null;
}

/** The way from where the traveller is to a place of the map; null where there is none. */
export function wayFromYou(solution: Solution, base: MapBase, pixel: Pixel): Way | null {
  const { places, current, end } = solution;
  if (!places.frame.origin) {
    if (base.placeOf(null) === null) return null;
    const vector = vectorBetween(places.at(current), { east: pixel.x, north: -pixel.y });
    return wayAlong(places.frame, vector, homeMeans(end).paceMetres);
  }
  const [you, there] = [positionOfStation(places, current), base.tie?.positionOf(pixel)];
  return you && there ? wayOnEarth(solution, planePointOf(you, there)) : null;
}
