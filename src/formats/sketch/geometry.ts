import { radians, type Metres } from '../../core/units';
import { besideLeg } from '../../core/beside-leg';
import type { Ellipse } from '../../core/error-model';
import { landmarks } from '../../core/landmarks';
import type { Thing } from '../../core/logbook';
import { stationName, type Solution } from '../../core/solve';

/** A view of the plane: screen = k·metres + offset, y downward. */
export interface View {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}
export interface Size {
  readonly width: number;
  readonly height: number;
}
export interface Spot {
  readonly x: number;
  readonly y: number;
}

export const onScreen = (view: View, east: Metres, north: Metres): Spot => ({
  x: view.k * east + view.x,
  y: -view.k * north + view.y,
});

/** Room at the edges in pixels for labels, arrows and the scale bar: less of it on a narrow sheet. */
const edges = ({ width }: Size) => ({
  left: Math.min(70, width * 0.13),
  right: Math.min(110, width * 0.2),
  top: 64,
  bottom: 84,
});
/** A sketch of one short leg is not blown up beyond this: pixels a metre. */
const NEAREST_FIT = 4;

/** The view that shows all points, and the ghost if there is one. */
export function fitted(
  solution: Solution,
  size: Size,
  ghost: { east: Metres; north: Metres } | null,
): View {
  const { east, north, legs } = solution.traverse;
  let [west, right, south, top] = [0, 0, 0, 0];
  const take = (e: Metres, n: Metres) => {
    west = Math.min(west, e);
    right = Math.max(right, e);
    south = Math.min(south, n);
    top = Math.max(top, n);
  };
  for (let k = 1; k <= legs; k++) take(east[k]!, north[k]!);
  if (ghost) take(ghost.east, ghost.north);
  const edge = edges(size);
  const roomX = Math.max(80, size.width - edge.left - edge.right);
  const roomY = Math.max(80, size.height - edge.top - edge.bottom);
  const k = Math.min(
    NEAREST_FIT,
    roomX / Math.max(1, right - west),
    roomY / Math.max(1, top - south),
  );
  return {
    k,
    x: edge.left + roomX / 2 - (k * (west + right)) / 2,
    y: edge.top + roomY / 2 + (k * (south + top)) / 2,
  };
}

/**
 * The legs as two paths in metres, y downward: those on the way from the start to where one stands, and side trips. The
 * view is applied to them as a transform.
 */
export function legsPaths(solution: Solution): { way: string; sideTrips: string } {
  const { east, north, from, legs } = solution.traverse;
  const onWay = new Uint8Array(legs + 1);
  for (let point = solution.current; point > 0; point = from[point]!) onWay[point] = 1;
  const parts: [string[], string[]] = [[], []];
  const last = [-1, -1];
  for (let k = 1; k <= legs; k++) {
    const origin = from[k]!;
    // A leg that closes a loop is no side trip: it was walked from the way.
    const trip = onWay[k] === 1 || solution.stationOfLeg[k] === solution.current ? 0 : 1;
    if (last[trip] !== origin) {
      parts[trip].push(`M${east[origin]!.toFixed(2)} ${(-north[origin]!).toFixed(2)}`);
    }
    parts[trip].push(`L${east[k]!.toFixed(2)} ${(-north[k]!).toFixed(2)}`);
    last[trip] = k;
  }
  return { way: parts[0].join(''), sideTrips: parts[1].join('') };
}

/** Every station as a dot of no length: a round cap of constant width makes it a pebble at any zoom. */
export function pebblesPath(solution: Solution): string {
  const { east, north, legs } = solution.traverse;
  const parts: string[] = [];
  for (let k = 1; k <= legs; k++) {
    if (solution.stationOfLeg[k] === k) {
      parts.push(`M${east[k]!.toFixed(2)} ${(-north[k]!).toFixed(2)}h0`);
    }
  }
  return parts.join('');
}

/** Something to be named on the sketch, in metres. */
export interface Mark {
  readonly key: string;
  readonly text: string;
  readonly east: Metres;
  readonly north: Metres;
  readonly kind: 'start' | 'station' | 'seen' | 'you';
  /** What it is, for its mark; for things seen. */
  readonly thing?: Thing;
  /** Its doubt, for landmarks whose place is worked out. */
  readonly doubt?: Ellipse;
}

/** Labels that a sketch bears; a longer log names its stations on the leaf. */
const MOST_MARKS = 120;

/** What is named on the sketch: the start, the traveller, named stations, and what was seen along legs. */
export function marksOf(solution: Solution): Mark[] {
  const { outing, traverse, stationOfLeg, current } = solution;
  const { east, north } = traverse;
  const at = (point: number) => ({ east: east[point]!, north: north[point]! });
  const marks: Mark[] = [{ key: 'start', kind: 'start', text: outing.start.name, ...at(0) }];
  if (current !== 0) {
    const name = stationName(solution, current);
    marks.push({ key: 'you', kind: 'you', text: `You, at ${name}`, ...at(current) });
  }
  let leg = 0;
  outing.entries.forEach((entry, index) => {
    if (marks.length >= MOST_MARKS) return;
    if (entry.kind === 'leg') {
      leg++;
      if (entry.to && stationOfLeg[leg] === leg && leg !== current) {
        marks.push({ key: `s${index}`, kind: 'station', text: entry.to, ...at(leg) });
      }
    } else if (entry.kind === 'at') {
      marks.push({
        key: `a${index}`,
        kind: 'seen',
        text: entry.what,
        thing: entry.thing,
        ...besideLeg(solution, leg, entry),
      });
    }
  });
  for (const { name, thing, rays, place } of landmarks(solution)) {
    if (!place || marks.length >= MOST_MARKS) continue;
    const text = `${name} ±${Math.round(place.doubt.semiMajorMetres)} m`;
    marks.push({ key: `l${rays[0]!.entry}`, kind: 'seen', text, thing, ...place });
  }
  return marks;
}

/** How far a ray is drawn when nothing tells where its landmark stands: a share of the walk's reach, in metres. */
const RAY_SHARE = 0.25;
const LEAST_RAY_METRES = 30;

/** The rays of sightings as one path in metres, y downward; a ray whose landmark is placed ends there. */
export function raysPath(solution: Solution): string {
  const { east, north, legs } = solution.traverse;
  let reach = 0;
  for (let k = 1; k <= legs; k++) reach = Math.max(reach, Math.hypot(east[k]!, north[k]!));
  const open = Math.max(LEAST_RAY_METRES, RAY_SHARE * reach);
  return landmarks(solution)
    .flatMap(({ rays, place }) =>
      rays.map(({ station, bearingDegrees }) => {
        const b = radians(bearingDegrees);
        const [x, y] = [east[station]!, north[station]!];
        const endX = place ? place.east : x + open * Math.sin(b);
        const endY = place ? place.north : y + open * Math.cos(b);
        return `M${x.toFixed(2)} ${(-y).toFixed(2)}L${endX.toFixed(2)} ${(-endY).toFixed(2)}`;
      }),
    )
    .join('');
}

/** The leg nearest to a spot on the screen, within reach of a finger; 0 when none is. */
export function legNear(solution: Solution, view: View, spot: Spot, reach: number): number {
  const { east, north, from, legs } = solution.traverse;
  let best = 0;
  let least = reach;
  for (let k = 1; k <= legs; k++) {
    const a = onScreen(view, east[from[k]!]!, north[from[k]!]!);
    const b = onScreen(view, east[k]!, north[k]!);
    const distance = toSegment(spot, a, b);
    if (distance < least) {
      least = distance;
      best = k;
    }
  }
  return best;
}

/** Pixels from a spot to a segment. */
function toSegment(spot: Spot, a: Spot, b: Spot): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : ((spot.x - a.x) * dx + (spot.y - a.y) * dy) / length;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(a.x + t * dx - spot.x, a.y + t * dy - spot.y);
}

/** The largest round length whose bar is at most this many pixels. */
export function barMetres(k: number, mostPixels: number): Metres {
  const most = mostPixels / k;
  const power = 10 ** Math.floor(Math.log10(most));
  const step = [5, 2, 1].find((candidate) => candidate * power <= most) ?? 1;
  return step * power;
}
