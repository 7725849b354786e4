import type { CompassPoint } from '../units/angle';

/** What a reader looked for; messages.ts has the words. */
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
  | 'walks'
  | 'compass-name'
  | 'home'
  | 'sigma'
  | 'time'
  | 'date'
  | 'station-name'
  | 'start-name'
  | 'outing-name'
  | 'person-name'
  | 'method'
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
  | 'compass-point'
  | 'code'
  | 'struck'
  | 'box'
  | 'halt'
  | 'height'
  | 'remark'
  | 'note'
  | 'route-line'
  | 'route-id'
  | 'route-header'
  | 'point'
  | 'timing'
  | 'aim-side'
  | 'paper-length'
  | 'scale';

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
  | 'walks'
  | 'sigma'
  | 'halt'
  | 'height'
  | 'height-feet'
  | 'easting'
  | 'northing'
  | 'zone'
  | 'seconds-of-arc'
  | 'year'
  | 'paper-length'
  | 'scale';

/** Lines that may be in a log once. */
export type OnceOnly =
  | 'outing'
  | 'by'
  | 'date'
  | 'start'
  | 'declination'
  | 'correction'
  | 'convergence'
  | 'show'
  | 'adjust'
  | 'errors'
  | 'follows'
  | 'header';

/**
 * Everything that can be wrong with what was written, as data. messages.ts makes the sentence.
 */
export type Fault =
  | { code: 'unexpected'; found: string; expected: Expected; nearest?: string[] }
  | { code: 'out-of-range'; what: Ranged; found: string; least: number; most: number }
  | { code: 'word-contradicts-number'; degrees: number; word: CompassPoint; readings: string[] }
  | { code: 'gon-or-grid'; readings: string[] }
  | { code: 'day-or-month'; readings: string[] }
  | { code: 'twice'; what: OnceOnly; firstLine: number }
  | { code: 'line-twice'; keyword: string; firstLine: number }
  | { code: 'part-twice'; part: string; found: string }
  | { code: 'too-long'; what: 'name' | 'note'; most: number; found: string }
  | { code: 'no-declination'; north: 'true' | 'grid' }
  | { code: 'no-pace'; unit: 'paces' | 'steps' }
  | { code: 'metres-beside-paces' }
  | { code: 'zone-missing'; found: string }
  | { code: 'no-leg-yet' }
  | { code: 'unknown-station'; name: string; among: readonly string[] }
  | { code: 'name-taken'; name: string }
  | { code: 'number-taken'; name: string }
  | { code: 'station-in-use'; name: string; legs: number[] }
  | { code: 'joins-another-leg'; line: string }
  | { code: 'bad-name'; name: string }
  | { code: 'invisible-name' }
  | { code: 'model-needs'; what: 'position' | 'date' }
  | { code: 'model-out-of-window'; model: string; from: string; until: string }
  | { code: 'model-not-loaded' }
  | { code: 'convergence-unknown' }
  | { code: 'bad-projection'; definition: string }
  | { code: 'wrong-band'; band: string; latitude: number; nearest: string[] }
  | { code: 'no-grid-there' }
  | { code: 'outside-grid'; grid: string; found: string }
  | { code: 'changed-elsewhere' }
  | { code: 'too-large'; most: number; unit: 'bytes' | 'lines' }
  | { code: 'schema'; message: string };

export type FaultOf<Code extends Fault['code']> = Extract<Fault, { code: Code }>;

/** The part of an entry or header that a fault is about. */
export type Field = 'bearing' | 'distance' | 'back' | 'to' | 'station' | 'whole';

/** A fault in an outing: where it is. */
export interface OutingFault {
  readonly fault: Fault;
  readonly at:
    | { readonly entry: number; readonly field: Field }
    | { readonly header: 'declination' | 'convergence' | 'adjust' };
}
