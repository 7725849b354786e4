import Flatbush from 'flatbush';
import type { EntryOf, Leg } from '../../core/entries/entry';
import { LARGEST_READING } from '../../core/readings/shape';
import { lengthOf, offsetFromLine, vectorBetween, type PlanePoint } from '../../core/units/plane';
import type { Metres } from '../../core/units/units';
import { MOST_DISTANCES, type Work } from './thinned';
import type { Waypoint } from './tracks';
import { nth } from '../../core/units/nth';

/** A leg as it was made, with its ends. */
export interface MadeLeg {
  readonly leg: Leg;
  readonly from: PlanePoint;
  readonly to: PlanePoint;
}

/** Features by leg, and the names of those that no leg passes. */
export interface Passed {
  readonly features: ReadonlyMap<number, EntryOf<'at'>[]>;
  readonly leftOut: readonly string[];
}

export const toCentimetre = (metres: number) => Math.round(metres * 100) / 100;

/** Waypoints as features beside the legs that pass nearest; null where that is too much work. */
export function featuresBeside(
  legs: readonly MadeLeg[],
  waypoints: readonly Waypoint[],
  toPoint: (waypoint: Waypoint) => PlanePoint,
  work: Work,
): Passed | null {
  const features = new Map<number, EntryOf<'at'>[]>();
  const leftOut: string[] = [];
  const nearestLeg = legFinder(legs, work);
  for (const waypoint of waypoints) {
    const best = nearestLeg(toPoint(waypoint));
    if (work.distances > MOST_DISTANCES) return null;
    if (!best || Math.max(best.along, Math.abs(best.right)) > LARGEST_READING) {
      leftOut.push(waypoint.name);
      continue;
    }
    const feature: EntryOf<'at'> = {
      kind: 'at',
      metres: toCentimetre(best.along),
      side: best.right < 0 ? 'left' : 'right',
      sideMetres: toCentimetre(Math.abs(best.right)),
      what: waypoint.name,
    };
    const onLeg = features.get(best.index);
    if (onLeg) onLeg.push(feature);
    else features.set(best.index, [feature]);
  }
  return { features, leftOut };
}

/** A leg beside a point: how far along it, to the right of it, and away from it the point is. */
interface Beside {
  readonly index: number;
  readonly along: Metres;
  readonly right: Metres;
  readonly away: Metres;
}

/** How many boxes the first search takes; each further one takes eight times as many. */
const FIRST_BOXES = 16;

/** A finder of the leg that passes nearest to a point not behind its beginning; null for none. */
function legFinder(legs: readonly MadeLeg[], work: Work): (point: PlanePoint) => Beside | null {
  if (legs.length === 0) return () => null;
  const boxes = new Flatbush(legs.length);
  for (const { from, to } of legs) {
    boxes.add(
      Math.min(from.east, to.east),
      Math.min(from.north, to.north),
      Math.max(from.east, to.east),
      Math.max(from.north, to.north),
    );
  }
  boxes.finish();
  return (point) => {
    for (let count = FIRST_BOXES; ; count *= 8) {
      const near = boxes.neighbors(point.east, point.north, count);
      work.distances += near.length;
      let best: Beside | null = null;
      for (const index of near) {
        const beside = besideLeg(nth(legs, index), index, point);
        if (beside.along >= 0 && isNearer(beside, best)) best = beside;
      }
      // A leg that was not looked at is no nearer than the box of the last one that was.
      const last = near.at(-1);
      const done = near.length === legs.length || work.distances > MOST_DISTANCES;
      if (done || (best && last !== undefined && best.away < boxDistance(nth(legs, last), point))) {
        return best;
      }
    }
  };
}

/** Of legs that are equally near, the first. */
const isNearer = (one: Beside, other: Beside | null) =>
  !other || one.away < other.away || (one.away === other.away && one.index < other.index);

function besideLeg({ from, to }: MadeLeg, index: number, point: PlanePoint): Beside {
  const { along, right } = offsetFromLine(point, from, to);
  const beyond = along - lengthOf(vectorBetween(from, to));
  return { index, along, right, away: Math.hypot(Math.max(0, -along, beyond), right) };
}

/** How far a point is from the box round a leg. */
function boxDistance({ from, to }: MadeLeg, { east, north }: PlanePoint): Metres {
  const dx = Math.max(Math.min(from.east, to.east) - east, 0, east - Math.max(from.east, to.east));
  const dy = Math.max(
    Math.min(from.north, to.north) - north,
    0,
    north - Math.max(from.north, to.north),
  );
  return Math.hypot(dx, dy);
}
