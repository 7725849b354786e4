import { azimuthOf, lengthOf, polar, type PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';

/** Something of iron, or a telephone, near the compass: where from it, and how strong. */
export interface Magnet {
  readonly name: string;
  /** Azimuth and distance from the compass. */
  readonly azimuthDegrees: Degrees;
  readonly metres: Metres;
  /** Its field at one decimetre, against the earth's level field. */
  readonly atDecimetre: number;
  /** Azimuth along which its own north end points. */
  readonly axisDegrees: Degrees;
}

/** Things that people carry. How strong each is: common practice, no source. */
export const THINGS = [
  { name: 'phone', atDecimetre: 1.4 },
  { name: 'knife', atDecimetre: 0.5 },
  { name: 'headlamp', atDecimetre: 0.9 },
  { name: 'car', atDecimetre: 6000 },
] as const;

const DECIMETRE = 0.1;
/** Nearer than this nothing is: it would lie on the compass. */
const NEAREST_METRES = 0.03;

/** The level field of a dipole, falling with the cube of distance: 3 (m·r) r - m. */
function dipole({ azimuthDegrees, metres, atDecimetre, axisDegrees }: Magnet): PlanePoint {
  const strength = atDecimetre * (DECIMETRE / Math.max(NEAREST_METRES, metres)) ** 3;
  const r = polar(azimuthDegrees, 1);
  const m = polar(axisDegrees, 1);
  const along = m.east * r.east + m.north * r.north;
  // Along its axis a dipole's field is twice what it is beside it: `atDecimetre` is beside it.
  return {
    east: strength * (3 * along * r.east - m.east),
    north: strength * (3 * along * r.north - m.north),
  };
}

/** The field at the compass: the earth's, which points to magnetic north, and that of magnets. */
export function fieldOf(magneticNorth: Degrees, magnets: readonly Magnet[]) {
  let { east, north } = polar(magneticNorth, 1);
  for (const magnet of magnets) {
    const more = dipole(magnet);
    east += more.east;
    north += more.north;
  }
  return { degrees: azimuthOf({ east, north }), strength: lengthOf({ east, north }) };
}
