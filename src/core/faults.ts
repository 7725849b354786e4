import type { Wind } from './angle';

/** What a reader looked for. The sentence for each is in fault-words.ts. */
export type Expected =
  | 'line'
  | 'header'
  | 'bearing'
  | 'distance'
  | 'distance-unit'
  | 'speed'
  | 'leg-part'
  | 'line-end'
  | 'back-bearing'
  | 'slope'
  | 'ground'
  | 'spread'
  | 'time'
  | 'date'
  | 'station-name'
  | 'start-name'
  | 'outing-name'
  | 'position'
  | 'declination'
  | 'angle'
  | 'margin-date'
  | 'margin-change'
  | 'convergence'
  | 'projection'
  | 'correction'
  | 'place'
  | 'north'
  | 'pace'
  | 'aim'
  | 'metres'
  | 'side'
  | 'what-seen'
  | 'wind'
  | 'code'
  | 'struck'
  | 'box'
  | 'note';

/** Quantities with a range. */
export type Ranged =
  | 'bearing'
  | 'mils'
  | 'gon'
  | 'quadrant'
  | 'distance'
  | 'speed'
  | 'slope'
  | 'latitude'
  | 'longitude'
  | 'declination'
  | 'minutes-of-arc'
  | 'pace'
  | 'metres'
  | 'month'
  | 'rise'
  | 'spread'
  | 'easting'
  | 'northing'
  | 'zone'
  | 'seconds-of-arc'
  | 'year';

/** Lines that stand once in a log. */
export type OnceOnly =
  'outing' | 'date' | 'start' | 'declination' | 'correction' | 'convergence' | 'show' | 'header';

/** Everything that can be wrong with what was written, as data. fault-words.ts makes the sentence. */
export type Fault =
  | { code: 'unexpected'; found: string; expected: Expected; nearest?: string[] }
  | { code: 'out-of-range'; what: Ranged; found: string; least: number; most: number }
  | { code: 'word-contradicts-number'; degrees: number; word: Wind; readings: string[] }
  | { code: 'twice'; what: OnceOnly; firstLine: number }
  | { code: 'part-twice'; part: string; found: string }
  | { code: 'too-long'; what: 'name' | 'note'; most: number; found: string }
  | { code: 'no-declination'; north: 'true' | 'grid' }
  | { code: 'no-pace'; unit: 'paces' | 'steps' }
  | { code: 'no-leg-yet' }
  | { code: 'unknown-station'; name: string; nearest?: string }
  | { code: 'name-taken'; name: string }
  | { code: 'number-taken'; name: string }
  | { code: 'station-in-use'; name: string; legs: number[] }
  | { code: 'bad-name'; name: string }
  | { code: 'model-needs'; what: 'position' | 'date' }
  | { code: 'model-out-of-window'; model: string; from: string; until: string }
  | { code: 'model-not-loaded' }
  | { code: 'convergence-unknown' }
  | { code: 'bad-projection'; definition: string }
  | { code: 'wrong-band'; band: string; latitude: number; nearest: string[] }
  | { code: 'no-grid-there' }
  | { code: 'changed-elsewhere' }
  | { code: 'too-large'; most: number; unit: 'bytes' | 'lines' }
  | { code: 'schema'; message: string };

/** The part of an entry or header that a fault is about. */
export type Field = 'bearing' | 'distance' | 'back' | 'to' | 'station' | 'whole';

/** A fault in an outing: where it is. */
export interface OutingFault {
  readonly fault: Fault;
  readonly at:
    | { readonly entry: number; readonly field: Field }
    | { readonly header: 'declination' | 'convergence' };
}
