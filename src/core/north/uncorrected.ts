import { radians, type Degrees, type Metres } from '../units/units';

/**
 * Metres off at the end of a straight walk whose bearing is wrong by an angle: the chord
 * 2·d·sin(|angle|/2). Angle in degrees, of any sign; distance in metres, from 0.
 */
export const chordMetres = (angle: Degrees, distance: Metres): Metres =>
  2 * distance * Math.abs(Math.sin(radians(angle) / 2));
