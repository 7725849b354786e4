import { planePointOf } from '../../place/geodesic';
import type { Position } from '../../readings/position';
import { signedDifference } from '../../units/angle';
import { azimuthOf, lengthOf, sumOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { cutBetween } from './point/cuts';
import type { KnownMark, LineFeature } from './sights';
import { nth } from '../../units/nth';

/** A known place in the direction of something that was sighted. */
export interface Candidate {
  readonly mark: KnownMark;
  /** From true north, and how far it is clockwise of what was read. */
  readonly bearingDegrees: Degrees;
  readonly offDegrees: Degrees;
  readonly metres: Metres;
}

/** Known places within `most` of a direction, those nearest to it first. */
export function inDirection(
  from: Position,
  bearingDegrees: Degrees,
  known: readonly KnownMark[],
  most: Degrees,
): Candidate[] {
  return known
    .flatMap((mark): Candidate[] => {
      const point = planePointOf(from, mark.position);
      const there = azimuthOf(point);
      const offDegrees = signedDifference(bearingDegrees, there);
      const metres = lengthOf(point);
      if (metres < AT_HAND_METRES || metres > OUT_OF_SIGHT_METRES) return [];
      if (Math.abs(offDegrees) > most) return [];
      return [{ mark, bearingDegrees: there, offDegrees, metres }];
    })
    .sort((a, b) => Math.abs(a.offDegrees) - Math.abs(b.offDegrees));
}
const AT_HAND_METRES: Metres = 10;
/** Nothing is distinguished by eye from farther away. Common practice, no source. */
const OUT_OF_SIGHT_METRES: Metres = 100_000;

/** A line feature near a place, and how its nearest stretch runs. */
export interface PathHere {
  readonly line: LineFeature;
  /** How far off it is. */
  readonly metres: Metres;
  /** Which way it runs at its nearest point, in [0, 180) from true north. */
  readonly runsDegrees: Degrees;
  /** The acute angle between that and what was read. */
  readonly offDegrees: Degrees;
}

/** The point of a stretch that is nearest to a place. */
function nearestOn(place: PlanePoint, from: PlanePoint, to: PlanePoint): PlanePoint {
  const along = vectorBetween(from, to);
  const square = lengthOf(along) ** 2;
  if (square === 0) return from;
  const by = vectorBetween(from, place);
  const share = (by.east * along.east + by.north * along.north) / square;
  const held = Math.min(1, Math.max(0, share));
  return sumOf(from, { east: held * along.east, north: held * along.north });
}

/**
 * Which line features near a place run as a bearing along the path underfoot says: those that do
 * within `mostDegrees` first, nearest first.
 */
export function pathsHere(
  at: Position,
  bearingDegrees: Degrees,
  lines: readonly LineFeature[],
  within: { readonly metres: Metres; readonly degrees: Degrees },
): PathHere[] {
  const here = { east: 0, north: 0 };
  const found = lines.flatMap((line): PathHere[] => {
    const points = line.positions.map((position) => planePointOf(at, position));
    const stretches = points.slice(1).map((to, i): PathHere => {
      const from = nth(points, i);
      const runs = azimuthOf(vectorBetween(from, to)) % 180;
      return {
        line,
        metres: lengthOf(nearestOn(here, from, to)),
        runsDegrees: runs,
        offDegrees: cutBetween(runs, bearingDegrees),
      };
    });
    // A line counts where it runs as read, if it does so near by; else by its nearest stretch.
    const near = stretches.filter(({ metres }) => metres <= within.metres);
    const [best] = near.sort((a, b) => rank(a) - rank(b) || a.metres - b.metres);
    return best ? [best] : [];
  });
  function rank({ offDegrees }: PathHere) {
    return offDegrees <= within.degrees ? 0 : offDegrees;
  }
  return found.sort((a, b) => rank(a) - rank(b) || a.metres - b.metres);
}
