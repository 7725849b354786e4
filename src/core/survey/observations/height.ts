import type { PlanePoint } from '../../units/plane';
import type { Metres } from '../../units/units';
import type { ObservationKind } from './observation';

/** The height of the ground at a point, and how it changes per metre east and north. */
interface GroundHeight {
  readonly metres: Metres;
  readonly gradient: PlanePoint;
}

/** The height that an altimeter read at the place asked for. */
interface HeightReadAt {
  readonly kind: 'height';
  readonly metres: Metres;
  readonly sigmaMetres: Metres;
  /** Null off the heights that are known. */
  readonly ground: (point: PlanePoint) => GroundHeight | null;
}

/** w = h - h(P), in metres; g is the gradient of the ground. Off the heights it tells nothing. */
export const heightObservation: ObservationKind<HeightReadAt> = {
  equations({ metres, sigmaMetres, ground }, place) {
    const here = ground(place);
    if (!here) return [];
    return [{ w: metres - here.metres, g: here.gradient, own: sigmaMetres ** 2 }];
  },
  count: 1,
  locus: () => null,
};
