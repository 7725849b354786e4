import { ORIGIN, vectorBetween, type PlanePoint } from '../../units/plane';
import { markFor, readAt, type ObservationKind, type OfMark } from './observation';

/** The place asked for is the mark, or one stood there: so a log's start is one. */
interface AtMark extends OfMark {
  readonly kind: 'at';
}

const AXES: readonly PlanePoint[] = [
  { ...ORIGIN, east: 1 },
  { ...ORIGIN, north: 1 },
];

/** w = K - P - o along each axis, in metres. */
export const atObservation: ObservationKind<AtMark> = {
  equations({ mark, from }, place) {
    const toward = vectorBetween(readAt(place, from), mark);
    return AXES.map((g) => {
      const w = g.east * toward.east + g.north * toward.north;
      return { w, g, own: 0, mark, from };
    });
  },
  count: 2,
  locus: (each) => ({ is: 'point', at: markFor(each) }),
};
