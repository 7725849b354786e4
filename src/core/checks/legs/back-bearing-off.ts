import { type FigureUnits, bearingText } from '../../units/figures';
import type { Leg } from '../../entries/entry';
import { convertedReading } from '../../north/norths';
import { bearingDegrees, type BearingReading } from '../../readings/bearing';
import {
  correctedForAttraction,
  localAttractions,
  type TwoEndedLine,
} from '../../survey/local-attraction';
import { stationName, type Solution, type SolvedLeg } from '../../survey/solution';
import { backBearing, signedDifference } from '../../units/angle';
import type { Degrees } from '../../units/units';
import type { Check, Warning } from '../check';

/** How far a back bearing may be from 180° off. Common practice, no source. */
const TOLERANCE_DEGREES = 5;
/** A reading that would move by less than this is left as it is. */
const LEAST_CORRECTION_DEGREES = 1;

interface Line extends TwoEndedLine {
  readonly leg: SolvedLeg;
}

/** The legs with a bearing from each end, both magnetic, since iron turns the needle. */
function twoEnded({ legs, places }: Solution): Line[] {
  const magnetic = (reading: BearingReading) => {
    const bearing = { degrees: bearingDegrees(reading), north: reading.north };
    return convertedReading(bearing, 'magnetic', places.frame.norths)?.degrees ?? null;
  };
  return Array.from(legs).flatMap((leg) => {
    const { bearing, back } = leg.reading;
    if (!back) return [];
    const [forward, backward] = [magnetic(bearing), magnetic(back)];
    if (forward === null || backward === null) return [];
    return [{ leg, from: leg.from, to: leg.to, forward, back: backward }];
  });
}

/** The leg without the attraction, when its bearing was read in plain magnetic degrees. */
function correctedLeg({ leg, forward }: Line, attraction: Degrees): Leg | null {
  const { bearing } = leg.reading;
  if (Math.abs(attraction) < LEAST_CORRECTION_DEGREES) return null;
  if (bearing.unit !== 'degrees' || bearing.north !== 'magnetic') return null;
  const value = Math.round(correctedForAttraction(forward, attraction)) % 360;
  return { ...leg.reading, bearing: { unit: 'degrees', value, north: 'magnetic' } };
}

/** `back-bearing-off`: forward and back bearing differ from 180° by more than 5°. */
export const backBearingOff: Check = (solution, units) => {
  const lines = twoEnded(solution);
  const attractions = localAttractions(lines, TOLERANCE_DEGREES);
  return lines.flatMap((line) => warningOn(line, attractions, solution, units) ?? []);
};

function warningOn(
  line: Line,
  attractions: ReadonlyMap<number, Degrees>,
  solution: Solution,
  units: FigureUnits,
): Warning | null {
  const expected = backBearing(line.forward);
  const off = signedDifference(expected, line.back);
  if (Math.abs(off) <= TOLERANCE_DEGREES) return null;
  const at = { entry: line.leg.entry };
  const saw =
    `The back bearing is ${bearingText(line.back, units)}; ${bearingText(expected, units)} would ` +
    `match the way out: ${Math.abs(Math.round(off))}° apart.`;
  const disturbed = [line.from, line.to].find(
    (station) => Math.abs(attractions.get(station) ?? 0) > TOLERANCE_DEGREES,
  );
  if (disturbed === undefined) {
    const advice =
      'Iron near (a wire fence, a post, a watch, a phone), or a slip at one end? Step away from ' +
      'it, look back and read again.';
    return { code: 'back-bearing-off', at, message: `${saw} ${advice}` };
  }
  const attraction = attractions.get(disturbed) ?? 0;
  const readHere = disturbed === line.from;
  const message =
    `${saw} The legs around show that the compass read ${Math.abs(Math.round(attraction))}° too ` +
    `${attraction > 0 ? 'much' : 'little'} at ${stationName(solution, disturbed)}: iron there? ` +
    (readHere ? 'This leg was read there.' : 'This leg’s own bearing is good.');
  const correction = readHere ? correctedLeg(line, attraction) : null;
  return { code: 'back-bearing-off', at, message, ...(correction ? { correction } : {}) };
}
