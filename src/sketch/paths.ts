import type { PlanePoint } from '@/core/units/plane';
import type { Scene, SceneLeg } from './scene';
import { onScreen, type Pixel, type View } from './view';

/** A point in the plane as an SVG path has it: metres, y downward, to the centimetre. */
const point = ({ east, north }: PlanePoint) => `${east.toFixed(2)} ${(-north).toFixed(2)}`;

const legsOf = ({ outings }: Scene) => outings.flatMap(({ legs }) => legs);

/** Legs as one path, joined where a leg goes on from the one before it. */
function joined(legs: readonly SceneLeg[]): string {
  const parts: string[] = [];
  let last: PlanePoint | null = null;
  for (const { from, to } of legs) {
    if (last?.east !== from.east || last.north !== from.north) parts.push(`M${point(from)}`);
    parts.push(`L${point(to)}`);
    last = to;
  }
  return parts.join('');
}

/**
 * The legs as two paths in metres, y downward: those on the way from the start to the traveller,
 * and side trips. The view is applied to them as a transform.
 */
export const legPaths = (scene: Scene): { way: string; sideTrips: string } => ({
  way: joined(legsOf(scene).filter(({ onWay }) => onWay)),
  sideTrips: joined(legsOf(scene).filter(({ onWay }) => !onWay)),
});

/** Every station as a dot of no length: a round cap of constant width shows it at any zoom. */
export const stationsPath = ({ outings }: Scene): string =>
  outings.flatMap(({ stations }) => stations.map((station) => `M${point(station)}h0`)).join('');

/** The lines of sight as one path in metres, y downward. */
export const sightingsPath = ({ outings }: Scene): string =>
  outings
    .flatMap(({ sightings }) => sightings.map(({ from, to }) => `M${point(from)}L${point(to)}`))
    .join('');

/** The number of the leg nearest to a pixel, within reach of a finger; 0 when none is. */
export function legNear(scene: Scene, view: View, pixel: Pixel, reach: number): number {
  let best = 0;
  let least = reach;
  for (const { number, from, to } of legsOf(scene)) {
    const distance = distanceToSegment(pixel, onScreen(view, from), onScreen(view, to));
    if (distance < least) {
      least = distance;
      best = number;
    }
  }
  return best;
}

/** Pixels from a point to a segment. */
export function distanceToSegment(pixel: Pixel, a: Pixel, b: Pixel): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : ((pixel.x - a.x) * dx + (pixel.y - a.y) * dy) / length;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(a.x + t * dx - pixel.x, a.y + t * dy - pixel.y);
}
