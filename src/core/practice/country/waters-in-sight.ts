import { heightAt } from '../../terrain/height-field';
import { elevationDegrees, rayDistances } from '../../terrain/horizon';
import { polar, sumOf, type PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { isWater, type Country } from './country';

/** The angles above the level at which water is seen: its near shore, and its far one. */
export interface Shores {
  readonly nearDegrees: Degrees;
  readonly farDegrees: Degrees;
}

const tallness = (shores: Shores | null): Degrees =>
  shores ? shores.farDegrees - shores.nearDegrees : -1;

/**
 * The water in sight along an azimuth, band by band (their far ends in metres, rising): what no
 * nearer ground hides. Of two waters in one band the taller is reported.
 */
export function watersAlong(
  country: Country,
  from: PlanePoint,
  eye: Metres,
  azimuth: Degrees,
  bands: readonly Metres[],
): (Shores | null)[] {
  const waters = bands.map((): Shores | null => null);
  let [band, horizon] = [0, -90];
  /** The water that the last look was at, as far as it is in this band. */
  let here = null as Shores | null;
  for (const distance of rayDistances(country.ground.cellMetres, bands.at(-1) ?? 0)) {
    while (distance > bands[band]!) {
      band++;
      here = null;
    }
    const point = sumOf(from, polar(azimuth, distance));
    const height = heightAt(country.ground, point);
    if (Number.isNaN(height)) break;
    const angle = elevationDegrees(eye, height, distance);
    if (angle < horizon) continue;
    horizon = angle;
    if (!isWater(country, point)) {
      here = null;
      continue;
    }
    here = { nearDegrees: here?.nearDegrees ?? angle, farDegrees: angle };
    if (tallness(here) >= tallness(waters[band] ?? null)) waters[band] = here;
  }
  return waters;
}
