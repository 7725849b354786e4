import { z } from 'zod';
import type { Position } from '../core/logbook';
import { fail, ok, type Result } from '../core/result';
import { fileFault, type FileFault } from './format';
import { MOST_POSITIONS, plainName, type Track, type Tracks, type Waypoint } from './tracks';

/** Longitude first, then latitude; what follows (height, time) is passed over. */
const position = z
  .array(z.number())
  .min(2)
  .refine(
    ([longitude, latitude]) => Math.abs(longitude!) <= 180 && Math.abs(latitude!) <= 90,
    'a longitude from -180 to 180, then a latitude from -90 to 90',
  );
const simple = z.discriminatedUnion('type', [
  z.looseObject({ type: z.literal('Point'), coordinates: position }),
  z.looseObject({ type: z.literal('MultiPoint'), coordinates: z.array(position) }),
  z.looseObject({ type: z.literal('LineString'), coordinates: z.array(position) }),
  z.looseObject({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(position)) }),
]);
const properties = z.looseObject({}).nullish();
const feature = z.looseObject({ type: z.literal('Feature'), geometry: z.unknown(), properties });
const collection = z.looseObject({
  type: z.literal('FeatureCollection'),
  features: z.array(feature),
});

/** Geometries that an outing can't be made of; they are counted, and said. */
const PASSED_OVER = new Set(['Polygon', 'MultiPolygon', 'GeometryCollection']);

export interface GeoJsonTracks extends Tracks {
  /** Areas and other geometries that were passed over. */
  readonly passedOver: number;
}

const placeOf = ([longitude, latitude]: readonly number[]): Position => ({
  longitude: longitude!,
  latitude: latitude!,
});

/** A GeoJSON text (RFC 7946): lines and points. Our own legs are joined into one line an outing; our way home is left out. */
export function readGeoJson(text: string): Result<GeoJsonTracks, FileFault[]> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return fail([fileFault('This is not JSON: the file may be cut off or damaged.')]);
  }
  const parsed = collection.safeParse(asCollection(data));
  if (!parsed.success) return refuse('', parsed.error);
  const lines: Track[] = [];
  const legs = new Map<string, Position[]>();
  const points: Waypoint[] = [];
  let [passedOver, count] = [0, 0];
  for (const [index, { geometry, properties: about }] of parsed.data.features.entries()) {
    const path = `features[${index}].geometry`;
    if (geometry === null) continue;
    const type = (geometry as { type?: unknown } | undefined)?.type;
    if (typeof type === 'string' && PASSED_OVER.has(type)) {
      passedOver++;
      continue;
    }
    const shape = simple.safeParse(geometry);
    if (!shape.success) return refuse(path, shape.error);
    const name = plainName(String(about?.name ?? about?.title ?? ''));
    const found = partsOf(shape.data);
    count += found.reduce((sum, part) => sum + part.length, 0);
    if (count > MOST_POSITIONS) {
      return fail([fileFault(`More than ${MOST_POSITIONS} positions are not read.`, { path })]);
    }
    if (shape.data.type.endsWith('Point')) {
      for (const place of found.flat()) {
        points.push({ name: name || `Point ${points.length + 1}`, position: place });
      }
    } else if (about?.kind === 'leg') {
      const outing = String(about.outing ?? '');
      const walked = legs.get(outing) ?? [];
      const [from, to] = [found[0]![0], found[0]!.at(-1)];
      if (from && !samePlace(walked.at(-1), from)) walked.push(from);
      if (to) walked.push(to);
      legs.set(outing, walked);
    } else if (about?.kind !== 'way-home') {
      for (const positions of found) if (positions.length > 0) lines.push({ name, positions });
    }
  }
  const own = [...legs].map(([name, positions]) => ({ name: plainName(name), positions }));
  return ok({ lines: [...own, ...lines], points, day: null, passedOver });
}

const samePlace = (a: Position | undefined, b: Position) =>
  a?.latitude === b.latitude && a.longitude === b.longitude;

/** A lone feature or geometry is taken as a collection of one. */
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
      return [[placeOf(shape.coordinates)]];
    case 'MultiPoint':
    case 'LineString':
      return [shape.coordinates.map(placeOf)];
    case 'MultiLineString':
      return shape.coordinates.map((part) => part.map(placeOf));
  }
}

function refuse(path: string, error: z.ZodError): Result<never, FileFault[]> {
  const issue = error.issues[0]!;
  const inside = issue.path.map((key) =>
    typeof key === 'number' ? `[${key}]` : `.${String(key)}`,
  );
  const where = (path + inside.join('')).replace(/^\./, '');
  return fail([fileFault(`${where || 'The file'}: ${issue.message}.`, { path: where })]);
}
