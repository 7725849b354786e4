import { signedDifference } from '../../units/angle';
import { lengthOf, vectorBetween, type PlanePoint } from '../../units/plane';
import { degrees, radians, type Radians } from '../../units/units';
import {
  markFor,
  MIN_METRES,
  readAt,
  type ObservationKind,
  type OfMark,
  type SharedEffect,
} from './observation';

/** A direction from the plane's north, from the place asked for to a mark or the other way. */
export interface BearingReadAt extends OfMark {
  readonly kind: 'bearing';
  readonly bearing: Radians;
  /** True where it was read at the mark. */
  readonly back: boolean;
  readonly variance: number;
  readonly shared: readonly SharedEffect[];
}

/** The direction that would be read, in radians. */
export function predictedBearing(place: PlanePoint, mark: PlanePoint, back: boolean): number {
  const { east, north } = vectorBetween(place, mark);
  return back ? Math.atan2(-east, -north) : Math.atan2(east, north);
}

const turned = (read: number, predicted: number) =>
  radians(signedDifference(degrees(predicted), degrees(read)));

/** The line of a bearing, and which way along it the mark is. */
export function sightLine(each: BearingReadAt) {
  const { bearing, back } = each;
  const sign = back ? -1 : 1;
  const toward = { east: sign * Math.sin(bearing), north: sign * Math.cos(bearing) };
  return { is: 'line', at: markFor(each), toward } as const;
}

/** w = b - atan2(K - P - o), in radians; g = (-Δn, Δe)/d². */
export const bearingObservation: ObservationKind<BearingReadAt> = {
  equations({ mark, from, bearing, back, variance: own, shared }, place) {
    const toward = vectorBetween(readAt(place, from), mark);
    const square = Math.max(MIN_METRES, lengthOf(toward)) ** 2;
    const g = { east: -toward.north / square, north: toward.east / square };
    const w = turned(bearing, predictedBearing(readAt(place, from), mark, back));
    const compassHere = from === null && !back ? 1 : 0;
    return [{ w, g, own, shared, mark, from, compassHere }];
  },
  count: 1,
  locus: sightLine,
};
