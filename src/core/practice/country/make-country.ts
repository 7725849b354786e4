import { createNoise2D } from 'simplex-noise';
import { contoursAt } from '../../terrain/contours';
import { heightAt, type HeightField } from '../../terrain/height-field';
import {
  boundsOf,
  lengthOf,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../../units/plane';
import { smoothed } from '../../terrain/smoothed';
import type { Metres } from '../../units/units';
import { chanceOf, chosen, stepped, whole } from '../chance';
import { NOW, WOOD, type Country, type GroundLine, type Lake, type Margin } from './country';
import { drained, streamsOf } from './drainage';
import { Names } from './names';
import { easiestWay } from './path-finding';
import { wanderer } from './wandering';

const CELL_METRES = 25;
const POSTS = 161;
/** Each finer kind of hill: how wide it is, and how high against the widest. */
const HILLS = [
  [1700, 1],
  [800, 0.42],
  [380, 0.17],
  [170, 0.06],
] as const;
const LOWEST_METRES = 320;
const RANGE_METRES = 260;
/** Share of the country that is under water. */
const WATER_SHARE = 0.08;
const STREAM_POSTS = 420;
const LAKE_LEAST_METRES = 320;

/** A field from noise: the sum of hills of several widths, brought to 0 to 1. */
function noiseField(
  next: () => number,
  hills: readonly (readonly [number, number])[],
): HeightField {
  const noises = hills.map(() => createNoise2D(next));
  const metres = new Float32Array(POSTS * POSTS);
  let [low, high] = [Infinity, -Infinity];
  for (let post = 0; post < metres.length; post++) {
    const [x, y] = [CELL_METRES * (post % POSTS), CELL_METRES * Math.floor(post / POSTS)];
    let sum = 0;
    for (const [index, [width, share]] of hills.entries()) {
      sum += share * noises[index]!(x / width, y / width);
    }
    metres[post] = sum;
    low = Math.min(low, sum);
    high = Math.max(high, sum);
  }
  return {
    west: 0,
    south: 0,
    cellMetres: CELL_METRES,
    columns: POSTS,
    rows: POSTS,
    metres: metres.map((value) => (value - low) / (high - low)),
  };
}

const mapped = (field: HeightField, by: (value: number) => number): HeightField => ({
  ...field,
  metres: field.metres.map(by),
});

function lakesOf(bed: HeightField, level: Metres, names: Names): Lake[] {
  const upsideDown = mapped(bed, (height) => -height);
  const [below] = contoursAt(upsideDown, [-level]);
  return (below?.rings ?? [])
    .map((ring) => ({ ring, bounds: boundsOf(ring) }))
    .filter(({ bounds }) => bounds.east - bounds.west > 60 && bounds.north - bounds.south > 60)
    .map(({ ring, bounds: { west, east, south, north } }) => ({
      name: Math.max(east - west, north - south) < LAKE_LEAST_METRES ? null : names.of('lake'),
      rings: [ring],
      middle: { east: (west + east) / 2, north: (south + north) / 2 },
    }));
}

/** Posts that are higher than all within a distance, the highest first. */
function summitsOf(field: HeightField, names: Names) {
  const reach = Math.round(350 / CELL_METRES);
  const { columns, rows, metres } = field;
  const isTop = (x: number, y: number) => {
    for (let dy = -reach; dy <= reach; dy++) {
      for (let dx = -reach; dx <= reach; dx++) {
        if (metres[(y + dy) * columns + x + dx]! > metres[y * columns + x]!) return false;
      }
    }
    return true;
  };
  const tops = [];
  for (let y = reach; y < rows - reach; y++) {
    for (let x = reach; x < columns - reach; x++) {
      if (isTop(x, y)) tops.push({ x, y, heightMetres: metres[y * columns + x]! });
    }
  }
  return tops
    .sort((a, b) => b.heightMetres - a.heightMetres)
    .slice(0, 6)
    .map(({ x, y, heightMetres }) => ({
      name: names.of('summit')!,
      point: { east: field.west + x * CELL_METRES, north: field.south + y * CELL_METRES },
      heightMetres,
    }));
}

/** Places on dry ground, far from each other and from the edge. */
function sites(
  count: number,
  apart: Metres,
  isDry: (point: PlanePoint) => boolean,
  next: () => number,
) {
  const found: PlanePoint[] = [];
  const far = (CELL_METRES * (POSTS - 1)) as Metres;
  for (let tries = 0; tries < 4000 && found.length < count; tries++) {
    const point = {
      east: stepped(400, far - 400, 25, next),
      north: stepped(400, far - 400, 25, next),
    };
    const isFar = found.every((other) => lengthOf(vectorBetween(other, point)) > apart);
    if (isFar && isDry(point)) found.push(point);
  }
  return found;
}

function wallsOf(isOpen: (point: PlanePoint) => boolean, next: () => number): GroundLine[] {
  return sites(4, 600, isOpen, next).flatMap((from) => {
    const azimuth = whole(0, 359, next);
    const line = [from];
    for (let along = 25; along <= 700; along += 25) {
      const point = sumOf(from, polar(azimuth + 12 * Math.sin(along / 120), along));
      if (!isOpen(point)) break;
      line.push(point);
    }
    return line.length > 8 ? [line] : [];
  });
}

function marginOf(next: () => number): Margin {
  const side = next() < 0.5 ? -1 : 1;
  return {
    declinationEast: side * stepped(6, 22, 0.5, next),
    year: whole(NOW - 14, NOW - 4, next),
    annualChangeEast: chosen([-1, 1], next) * (stepped(4, 12, 1, next) / 60),
    convergenceEast: stepped(-1.5, 1.5, 0.5, next),
  };
}

const joinedTo = (points: readonly PlanePoint[]) =>
  points.slice(1).map((point, index) => [points[index]!, point] as const);

/** The country of a seed: the same seed makes the same country, on every machine. */
export function makeCountry(seed: number): Country {
  const chance = (purpose: string) => chanceOf(seed, purpose);
  const names = new Names(chance('names'));
  const raw = mapped(
    noiseField(chance('heights'), HILLS),
    (share) => LOWEST_METRES + RANGE_METRES * share,
  );
  const sorted = Float32Array.from(raw.metres).sort();
  const waterMetres = Math.round(sorted[Math.floor(WATER_SHARE * sorted.length)]!);
  const drainage = drained(raw, waterMetres);
  const bed = drainage.field;
  const ground = mapped(bed, (height) => Math.max(height, waterMetres));
  const density = noiseField(chance('woods'), [
    [900, 1],
    [260, 0.5],
  ]);
  const isDry = (point: PlanePoint) => heightAt(bed, point) >= waterMetres + 2;
  const isOpen = (point: PlanePoint) => isDry(point) && heightAt(density, point) < WOOD;
  // Before the lakes, of which there may be more than there are names.
  const buildings = sites(4, 900, isOpen, chance('buildings')).map((point) => ({
    name: names.of('building')!,
    point,
  }));
  const summits = summitsOf(ground, names);
  const margin = marginOf(chance('margin'));
  const far = (POSTS - 1) * CELL_METRES;
  const isOnMap = ({ east, north }: PlanePoint) =>
    Math.min(east, north, far - east, far - north) >= 0;
  const streamwise = wanderer(chance('streams'), isOnMap);
  const pathwise = wanderer(chance('paths'), (point) => isOnMap(point) && isDry(point));
  return {
    seed,
    bounds: { west: 0, south: 0, east: far, north: far },
    ground,
    bed,
    waterMetres,
    lakes: lakesOf(bed, waterMetres, names),
    streams: streamsOf(drainage, STREAM_POSTS).map((line) => smoothed(streamwise(line), 2)),
    paths: joinedTo(buildings.map(({ point }) => point)).flatMap(([from, to]) => {
      const way = easiestWay(ground, from, to, isDry);
      return way ? [smoothed([from, ...pathwise(way.slice(1, -1)), to], 2)] : [];
    }),
    walls: wallsOf(isOpen, chance('walls')),
    density,
    woods: contoursAt(density, [WOOD])[0]?.rings ?? [],
    summits,
    buildings,
    margin,
    norths: {
      declinationEast: margin.declinationEast + (NOW - margin.year) * margin.annualChangeEast,
      convergenceEast: margin.convergenceEast,
    },
  };
}
