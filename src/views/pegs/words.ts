import { signedDifference } from '@/core/units/angle';
import { lengthOf, polar, vectorBetween } from '@/core/units/plane';
import { bearingText, distanceText, isInPaces, lengthText } from '@/ui/units/shown';
import type { Degrees, Metres } from '@/core/units/units';

/** A direction and a distance. */
interface Stretch {
  readonly degrees: Degrees;
  readonly metres: Metres;
}

/** The words of pegs and string. */
export const WORDS = {
  how:
    'First copy the table below on paper: bearing and length of every leg, one below the other. ' +
    'Lay it out on the ground with the same compass, with no iron near: no knife, no nails, no ' +
    'wire fence, no iron pegs. Set a peg for the first station. From each peg set the bearing, ' +
    'measure the units from centre to centre, set the next peg. The string from the last peg to ' +
    'the first is the way back.',
  ends: { from: 'First peg', to: 'Last peg' },
  unit: 'Unit',
  units: ['hand span', 'hand', 'centimetre', 'inch', 'notebook edge', 'half a notebook', 'boot'],
  space: 'Room on the ground, in units',
  scale: (unit: string, metres: Metres) => `One ${unit || 'unit'} is ${lengthText(metres)}`,
  spaceUnused: 'Not used: the scale is your own',
  ownScale: (unit: string) => `${isInPaces() ? 'Paces' : 'Metres'} for one ${unit || 'unit'}`,
  ownScaleHelp: 'An inch for 25 m, half a notebook for 100 m; empty: what fits the room',
  parts: 'Read to',
  partNames: { 4: 'quarters', 10: 'tenths' },
  columns: ['from', 'set', 'length', 'units', 'to'],
  drawing: 'The layout from above',
  answer: (string: Stretch, units: number, home: Stretch) =>
    `By these pegs, rounded as they are, the string gives ${bearingText(string.degrees)} and ` +
    `${units.toFixed(1)} units: ${distanceText(string.metres)}. Straight from the log it is ` +
    `${bearingText(home.degrees)} and ${distanceText(home.metres)}.`,
  own: 'What did your layout give?',
  ownBearing: 'Bearing of the string',
  ownUnits: 'Length of the string, in units',
} as const;

/** How far off a layout was: in angle, in length, and where one would have ended. */
export function ownWords(own: Stretch, home: Stretch): string {
  const turn = signedDifference(home.degrees, own.degrees);
  const ends = polar(own.degrees, own.metres);
  const off = lengthOf(vectorBetween(polar(home.degrees, home.metres), ends));
  const angle = `${Math.abs(Math.round(turn))}° too far ${turn < 0 ? 'left' : 'right'}`;
  const length = own.metres - home.metres;
  return (
    `${angle}, ${lengthText(Math.abs(length))} too ${length < 0 ? 'short' : 'long'}: ` +
    `you would have ended ${lengthText(off)} from home.`
  );
}
