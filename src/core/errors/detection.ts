import type { Covariance } from './covariance';
import { normalBelow } from './normal';
import { ORIGIN, type PlanePoint } from '../units/plane';
import type { Metres } from '../units/units';

/**
 * Chance that a normal position error lies within a circle: that home comes within sight.
 *
 * | symbol | meaning                              | unit   |
 * | C      | covariance of the position error     | m²     |
 * | m      | its mean against the circle's centre | metres |
 * | r      | radius: the range of sight           | metres |
 *
 * In the principal axes (σ1 ≥ σ2) it is ∫ φ(x) [Φ((h - m2)/σ2) - Φ((-h - m2)/σ2)] dx with
 * h = √(r² - x²), over the part of [-r, r] within nine σ1 of m1, by Simpson's rule in t with
 * x = r·sin t, which is smooth at the rim. Error below 1e-4 (tests/core/errors/detection.test.ts).
 */
const INTERVALS = 800;
const REACH = 9;
/** Below this share of the radius a spread counts as none: the error is on a line, or certain. */
const NO_SPREAD = 1e-6;

export function detectionChance(
  { xx, xy, yy }: Covariance,
  radius: Metres,
  mean: PlanePoint = ORIGIN,
): number {
  if (!(radius > 0)) return 0;
  const half = Math.hypot((xx - yy) / 2, xy);
  const middle = (xx + yy) / 2;
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  const [cosine, sine] = [Math.cos(turn), Math.sin(turn)];
  const m1 = mean.east * cosine + mean.north * sine;
  const m2 = mean.north * cosine - mean.east * sine;
  const s1 = Math.sqrt(Math.max(0, middle + half));
  const s2 = Math.sqrt(Math.max(0, middle - half));
  const inside = (h: number) => {
    if (s2 <= NO_SPREAD * radius) return Math.abs(m2) <= h ? 1 : 0;
    return normalBelow((h - m2) / s2) - normalBelow((-h - m2) / s2);
  };
  if (s1 <= NO_SPREAD * radius) return Math.hypot(m1, m2) <= radius ? 1 : 0;
  const from = Math.asin(Math.max(-1, Math.min(1, (m1 - REACH * s1) / radius)));
  const to = Math.asin(Math.max(-1, Math.min(1, (m1 + REACH * s1) / radius)));
  if (to <= from) return 0;
  const step = (to - from) / INTERVALS;
  let sum = 0;
  for (let i = 0; i <= INTERVALS; i++) {
    const t = from + i * step;
    const x = radius * Math.sin(t);
    const h = radius * Math.cos(t);
    const z = (x - m1) / s1;
    const weight = i === 0 || i === INTERVALS ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * Math.exp((-z * z) / 2) * inside(Math.max(0, h)) * h;
  }
  const total = (sum * step) / 3 / (s1 * Math.sqrt(2 * Math.PI));
  return Math.min(1, Math.max(0, total));
}
