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

/** Rises smaller than this are the unevenness of the ground. */
const HYSTERESIS_METRES = 5;

/**
 * Climb and descent of a profile, in metres: rises and falls are summed once the ground has turned
 * by 5 m, so that noise isn't climbed. Heights that aren't known are left out.
 */
export function climbOf(points: readonly ProfilePoint[]): { climb: Metres; descent: Metres } {
  const heights = points.map(({ heightMetres }) => heightMetres).filter((h) => !Number.isNaN(h));
  const sum = { climb: 0, descent: 0 };
  let [base = 0] = heights;
  let top = base;
  let isRising: boolean | null = null;
  const end = () => {
    if (top > base) sum.climb += top - base;
    else sum.descent += base - top;
  };
  for (const height of heights) {
    const isFurther: boolean = isRising === null ? true : isRising ? height > top : height < top;
    if (isRising === null) {
      if (Math.abs(height - base) < HYSTERESIS_METRES) continue;
      isRising = height > base;
      top = height;
    } else if (isFurther) top = height;
    else if (Math.abs(height - top) >= HYSTERESIS_METRES) {
      end();
      base = top;
      top = height;
      isRising = !isRising;
    }
  }
  end();
  return sum;
}
