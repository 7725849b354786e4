import { lengthOf, vectorBetween } from '../../units/plane';
import type { Metres } from '../../units/units';
import {
  markFor,
  MIN_METRES,
  readAt,
  type ObservationKind,
  type OfMark,
  type SharedEffect,
} from './observation';

/** A length, paced or otherwise, between the place asked for and a mark. */
interface LengthReadAt extends OfMark {
  readonly kind: 'length';
  readonly metres: Metres;
  /** Of the length over its square. */
  readonly variance: number;
  readonly shared: readonly SharedEffect[];
}

/** w = d - |K - P - o|, in metres; g points away from the mark. */
export const lengthObservation: ObservationKind<LengthReadAt> = {
  equations({ mark, from, metres: read, variance, shared }, place) {
    const toward = vectorBetween(readAt(place, from), mark);
    const metres = Math.max(MIN_METRES, lengthOf(toward));
    const g = { east: -toward.east / metres, north: -toward.north / metres };
    const inMetres = shared.map(({ error, share }) => ({ error, share: share * metres }));
    const own = variance * metres ** 2;
    return [{ w: read - metres, g, own, shared: inMetres, mark, from }];
  },
  count: 1,
  locus: (each) => ({ is: 'circle', at: markFor(each), metres: each.metres }),
};
