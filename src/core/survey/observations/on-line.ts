import { lengthOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import type { ObservationKind } from './observation';

/** The place asked for is on a straight line: a stretch of a path or a river. */
interface OnLine {
  readonly kind: 'on-line';
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  readonly sigmaMetres: Metres;
}

/** w is how far the place is beside the line, in metres. */
export const onLineObservation: ObservationKind<OnLine> = {
  equations({ from, to, sigmaMetres }, place) {
    const along = vectorBetween(from, to);
    const length = lengthOf(along);
    const g = { east: along.north / length, north: -along.east / length };
    const off = vectorBetween(from, place);
    return [{ w: -(g.east * off.east + g.north * off.north), g, own: sigmaMetres ** 2 }];
  },
  count: 1,
  locus({ from, to }) {
    const along = vectorBetween(from, to);
    const length = lengthOf(along);
    const toward = { east: along.east / length, north: along.north / length };
    return { is: 'line', at: from, toward };
  },
};
