import { lengthOf, polar, sumOf, azimuthOf, vectorBetween, type PlanePoint } from '../units/plane';
import type { Metres } from '../units/units';
import { heightAt, type HeightField } from './height-field';

/** A point of a profile: how far along the line, and how high. */
export interface ProfilePoint {
  readonly alongMetres: Metres;
  readonly heightMetres: Metres;
}

/** Heights along a straight line, no coarser than half a cell; NaN where they aren't known. */
export function profile(field: HeightField, from: PlanePoint, to: PlanePoint): ProfilePoint[] {
  const line = vectorBetween(from, to);
  const length = lengthOf(line);
  const steps = Math.max(1, Math.ceil(length / (field.cellMetres / 2)));
  return Array.from({ length: steps + 1 }, (_, index) => {
    const alongMetres = (length * index) / steps;
    const point = sumOf(from, polar(azimuthOf(line), alongMetres));
    return { alongMetres, heightMetres: heightAt(field, point) };
  });
}

/** Ground that turns by less than this is uneven: nobody climbs it. Common practice, no source. */
const HYSTERESIS_METRES = 5;

/**
 * Climb and descent of a profile, in metres: what it rises and falls between its highest and lowest
 * points where it turns by 5 m, from its first height to its last. The two differ by what the last
 * is above the first. Heights that aren't known are left out.
 */
export function climbOf(points: readonly ProfilePoint[]): { climb: Metres; descent: Metres } {
  const heights = points.map(({ heightMetres }) => heightMetres).filter((h) => !Number.isNaN(h));
  const [first] = heights;
  const sum = { climb: 0, descent: 0 };
  if (first === undefined) return sum;
  let before = first;
  const reach = (height: Metres) => {
    if (height > before) sum.climb += height - before;
    else sum.descent += before - height;
    before = height;
  };
  let [lowest, highest] = [first, first];
  let isRising: boolean | null = null;
  for (const height of heights) {
    lowest = Math.min(lowest, height);
    highest = Math.max(highest, height);
    if (isRising !== false && highest - height >= HYSTERESIS_METRES) {
      reach(highest);
      isRising = false;
      lowest = height;
    } else if (isRising !== true && height - lowest >= HYSTERESIS_METRES) {
      reach(lowest);
      isRising = true;
      highest = height;
    }
  }
  if (isRising !== null) reach(isRising ? highest : lowest);
  reach(heights.at(-1) ?? first);
  return sum;
}
