import { azimuthOf, lengthOf, polar, sumOf, vectorBetween, type PlanePoint } from '../units/plane';
import { degrees, type Degrees, type Metres } from '../units/units';
import { heightAt, type HeightField } from './height-field';

/** Mean radius of the earth (IUGG), and the share of its curve that refraction takes back. */
const EARTH_METRES = 6_371_008.8;
const REFRACTION = 0.13;

/** How far the earth's curve, less refraction, lowers what is so far away, in metres. */
export const dipMetres = (distance: Metres): Metres =>
  ((1 - REFRACTION) * distance * distance) / (2 * EARTH_METRES);

/** The angle above the level at which something that high is seen from a height. */
export const elevationDegrees = (eye: Metres, height: Metres, distance: Metres): Degrees =>
  degrees(Math.atan2(height - dipMetres(distance) - eye, distance));

/** Nearer than this the ground is underfoot. */
const NEAREST_METRES = 12;

/**
 * Distances at which a ray is looked at: half a cell, finer near by, where a metre turns the angle
 * most, and a little more far off.
 */
export function rayDistances(cell: Metres, furthest: Metres): Metres[] {
  const distances: Metres[] = [];
  for (
    let at = NEAREST_METRES;
    at <= furthest;
    at += Math.max(Math.min(cell / 2, at / 25), at / 150)
  ) {
    distances.push(at);
  }
  return distances;
}

/** The ground that is seen highest in a band of distances. */
export interface Ridge {
  /** Above the level; -90 where the band has no ground. */
  readonly degrees: Degrees;
  readonly metres: Metres;
}
const NO_RIDGE: Ridge = { degrees: -90, metres: 0 };

/**
 * The highest angle of the ground along an azimuth, band by band: `bands` are the far ends of the
 * bands in metres, rising. Seen from `eye` metres of height.
 */
export function ridgesAlong(
  field: HeightField,
  from: PlanePoint,
  eye: Metres,
  azimuth: Degrees,
  bands: readonly Metres[],
): Ridge[] {
  const ridges = bands.map(() => NO_RIDGE);
  const step = polar(azimuth, 1);
  let band = 0;
  for (const distance of rayDistances(field.cellMetres, bands.at(-1) ?? 0)) {
    while (distance > bands[band]!) band++;
    const height = heightAt(field, {
      east: from.east + distance * step.east,
      north: from.north + distance * step.north,
    });
    if (Number.isNaN(height)) break;
    const degrees = elevationDegrees(eye, height, distance);
    if (degrees > ridges[band]!.degrees) ridges[band] = { degrees, metres: distance };
  }
  return ridges;
}

/** The angle of the horizon along an azimuth. */
export const horizonDegrees = (
  field: HeightField,
  from: PlanePoint,
  eye: Metres,
  azimuth: Degrees,
  furthest: Metres,
): Degrees => (ridgesAlong(field, from, eye, azimuth, [furthest])[0] ?? NO_RIDGE).degrees;

/** True where nothing of the ground stands between an eye and a point of a height. */
export function isVisible(
  field: HeightField,
  from: PlanePoint,
  eye: Metres,
  to: PlanePoint,
  height: Metres,
): boolean {
  const line = vectorBetween(from, to);
  const [length, azimuth] = [lengthOf(line), azimuthOf(line)];
  const wanted = elevationDegrees(eye, height, length);
  return rayDistances(field.cellMetres, length - field.cellMetres).every((distance) => {
    const ground = heightAt(field, sumOf(from, polar(azimuth, distance)));
    return !(elevationDegrees(eye, ground, distance) > wanted);
  });
}
