import { IN_ENGLISH } from '../../core/readings/in-english';
import * as z from 'zod/mini';
import type { Position } from '../../core/readings/position';
import { fail, ok, type Result } from '../../core/units/result';
import { boundedParse } from './bounded-parse';
import { fileFault, type FileFault } from '../format';
import { jsonPath, parseJson } from '../json';
import { MOST_POSITIONS, plainName, type Track, type Tracks, type Waypoint } from './tracks';

/** Longitude first, then latitude; anything more (height, time) is ignored. */
const position = z.array(z.number()).check(
  z.minLength(2),
  z.refine(
    ([longitude = NaN, latitude = NaN]) => Math.abs(longitude) <= 180 && Math.abs(latitude) <= 90,
    'a longitude from -180 to 180, then a latitude from -90 to 90',
  ),
);
const SIMPLE = [
  z.looseObject({ type: z.literal('Point'), coordinates: position }),
  z.looseObject({ type: z.literal('MultiPoint'), coordinates: z.array(position) }),
  z.looseObject({ type: z.literal('LineString'), coordinates: z.array(position) }),
  z.looseObject({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(position)) }),
] as const;
const simple = z.discriminatedUnion('type', SIMPLE);

/** A geometry, read up to its first fault: each of its many positions could have one. */
function simpleGeometry(geometry: unknown): z.core.util.SafeParseResult<z.infer<typeof simple>> {
  const type = (geometry as { type?: unknown } | undefined)?.type;
  const schema = SIMPLE.find((each) => each.shape.type._zod.def.values[0] === type);
  return schema ? boundedParse(schema, geometry, 1) : simple.safeParse(geometry, IN_ENGLISH);
}
const properties = z.nullish(z.looseObject({}));
const feature = z.looseObject({ type: z.literal('Feature'), geometry: z.unknown(), properties });
const collection = z.looseObject({
  type: z.literal('FeatureCollection'),
  features: z.array(feature),
});

/** Geometries that an outing can't be made of: they are counted. */
const SKIPPED = new Set(['Polygon', 'MultiPolygon']);
/** Collections within collections are read no deeper. */
const DEEPEST = 8;

export interface GeoJsonTracks extends Tracks {
  /** Areas and other geometries that were left out. */
  readonly skipped: number;
}

const positionOf = ([longitude = NaN, latitude = NaN]: readonly number[]): Position => ({
  longitude,
  latitude,
});

/** A GeoJSON text (RFC 7946): lines and points. Our own way home is left out. */
export function readGeoJson(text: string): Result<GeoJsonTracks, FileFault[]> {
  const data = parseJson(text);
  if (!data.ok) return data;
  const parsed = boundedParse(collection, asCollection(data.value), 1);
  if (!parsed.success) return refuse('', parsed.error);
  const collector = new FeatureCollector();
  for (const [index, { geometry: whole, properties: about }] of parsed.data.features.entries()) {
    for (const { geometry, path } of geometriesOf(whole, `features[${index}].geometry`)) {
      if (geometry === null || collector.skips(geometry)) continue;
      const shape = simpleGeometry(geometry);
      if (!shape.success) return refuse(path, shape.error);
      if (!collector.take(partsOf(shape.data), shape.data.type.endsWith('Point'), about ?? {})) {
        return fail([fileFault(`More than ${MOST_POSITIONS} positions are not read.`, { path })]);
      }
    }
  }
  return ok(collector.tracks());
}

/** The geometries of a geometry: those of a collection (RFC 7946, 3.1.8) one by one. */
function* geometriesOf(
  geometry: unknown,
  path: string,
  depth = 0,
): Generator<{ geometry: unknown; path: string }> {
  const { type, geometries } = (geometry ?? {}) as { type?: unknown; geometries?: unknown };
  if (type !== 'GeometryCollection' || !Array.isArray(geometries) || depth > DEEPEST) {
    yield { geometry, path };
    return;
  }
  for (const [index, each] of geometries.entries()) {
    yield* geometriesOf(each, `${path}.geometries[${index}]`, depth + 1);
  }
}

/** Sorts features into lines, points, and our own legs, which are joined into a line an outing. */
class FeatureCollector {
  private readonly lines: Track[] = [];
  private readonly legs = new Map<string, { name: string; positions: Position[] }>();
  private readonly points: Waypoint[] = [];
  private skipped = 0;
  private count = 0;

  /** Counts a geometry that an outing can't be made of; false for the others. */
  skips(geometry: unknown): boolean {
    const type = (geometry as { type?: unknown } | undefined)?.type;
    const skipped = typeof type === 'string' && SKIPPED.has(type);
    if (skipped) this.skipped++;
    return skipped;
  }

  /** Takes the parts of a geometry; false when there are too many positions by now. */
  take(parts: Position[][], arePoints: boolean, about: Readonly<Record<string, unknown>>): boolean {
    this.count += parts.reduce((sum, part) => sum + part.length, 0);
    if (this.count > MOST_POSITIONS) return false;
    const name = plainName(String(about.name ?? about.title ?? ''));
    if (arePoints) {
      for (const position of parts.flat()) {
        this.points.push({ name: name || `Point ${this.points.length + 1}`, position });
      }
    } else if (about.kind === 'leg') {
      this.takeLeg(about, joinedParts(parts)[0] ?? []);
    } else if (about.kind !== 'way-home') {
      for (const positions of joinedParts(parts)) {
        if (positions.length > 0) this.lines.push({ name, positions });
      }
    }
    return true;
  }

  /** Legs of one outing make a line; the id tells two outings of one name apart. */
  private takeLeg(about: Readonly<Record<string, unknown>>, [from, ...rest]: Position[]): void {
    const name = String(about.outing ?? '');
    const key = String(about.outingId ?? name);
    const leg = this.legs.get(key) ?? { name, positions: [] };
    const walked = leg.positions;
    if (from && !samePosition(walked.at(-1), from)) walked.push(from);
    const to = rest.at(-1);
    if (to) walked.push(to);
    this.legs.set(key, leg);
  }

  tracks(): GeoJsonTracks {
    const own = [...this.legs.values()].map(({ name, positions }) => ({
      name: plainName(name),
      positions,
    }));
    const { points, skipped } = this;
    return { lines: [...own, ...this.lines], points, day: null, skipped };
  }
}

/** Parts of a line that was cut at the date line (RFC 7946, 3.1.9), as one again. */
function joinedParts(parts: readonly Position[][]): Position[][] {
  const joined: Position[][] = [];
  for (const part of parts) {
    const [end, begin] = [joined.at(-1)?.at(-1), part[0]];
    const wasCut =
      end &&
      begin &&
      isOnDateLine(end) &&
      end.latitude === begin.latitude &&
      end.longitude === -begin.longitude;
    if (wasCut) joined.at(-1)?.splice(-1, 1, ...part.slice(1));
    else joined.push([...part]);
  }
  return joined;
}

const isOnDateLine = ({ longitude }: Position) => Math.abs(longitude) === 180;

const samePosition = (a: Position | undefined, b: Position) =>
  a?.latitude === b.latitude && a.longitude === b.longitude;

/** A lone feature or geometry counts as a collection of one. */
function asCollection(data: unknown): unknown {
  const type = (data as { type?: unknown } | null)?.type;
  if (type === 'FeatureCollection' || typeof type !== 'string') return data;
  if (type === 'Feature') return { type: 'FeatureCollection', features: [data] };
  const lone = { type: 'Feature', geometry: data, properties: null };
  return { type: 'FeatureCollection', features: [lone] };
}

function partsOf(shape: z.infer<typeof simple>): Position[][] {
  switch (shape.type) {
    case 'Point':
      return [[positionOf(shape.coordinates)]];
    case 'MultiPoint':
    case 'LineString':
      return [shape.coordinates.map(positionOf)];
    case 'MultiLineString':
      return shape.coordinates.map((part) => part.map(positionOf));
  }
}

function refuse(path: string, error: z.core.$ZodError): Result<never, FileFault[]> {
  const [issue] = error.issues;
  const inside = jsonPath(issue?.path ?? []);
  const where = [path, inside].filter(Boolean).join(inside.startsWith('[') ? '' : '.');
  return fail([fileFault(`${issue?.message}.`, { path: where })]);
}
