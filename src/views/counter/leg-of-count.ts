import type { Entry } from '@/core/entries/entry';
import type { Fault } from '@/core/faults/fault';
import { contextAtEnd } from '@/core/log-text/interpret';
import { readLine } from '@/core/log-text/read-line';
import { writeGround } from '@/core/readings/ground';
import { paceOn } from '@/core/survey/log-state';
import type { Solution } from '@/core/survey/solution';
import { fail, ok, type Result } from '@/core/units/result';
import { plainDecimal, type Metres } from '@/core/units/units';
import type { Count } from '@/store/count';

/** What is counted: paces (every second step) or single steps. */
export type Counting = 'paces' | 'steps';

const tenths = (metres: Metres) => Math.round(metres * 10) / 10;

/** Metres of a count so far, along the ground; null where paces were counted and none is known. */
export function metresOf(
  solution: Solution,
  count: Pick<Count, 'paces' | 'metres'>,
  ground: string | undefined,
): Metres | null {
  if (count.paces === 0) return count.metres;
  const { paceLength } = paceOn(solution.end, ground);
  return Number.isNaN(paceLength) ? null : count.metres + count.paces * paceLength;
}

/** A count's distance as a line of the log has it: as counted where possible, else in metres. */
function distanceOf(solution: Solution, count: Count, counting: Counting): string {
  if (count.metres === 0) {
    return counting === 'steps'
      ? `${plainDecimal(count.paces * 2)}s`
      : `${plainDecimal(count.paces)}p`;
  }
  const metres = metresOf(solution, count, count.ground);
  return metres === null ? '' : `${plainDecimal(tenths(metres))}m`;
}

/** What a person adds to a count to make a leg of it. */
export interface LegTexts {
  readonly bearing: string;
  readonly station: string;
  readonly note: string;
}

/** The line of the log that a count makes. */
export function lineOf(
  solution: Solution,
  count: Count,
  counting: Counting,
  { bearing, station, note }: LegTexts,
): string {
  const part = (sign: string, text: string) => (text.trim() === '' ? '' : `${sign} ${text.trim()}`);
  return [
    bearing.trim(),
    distanceOf(solution, count, counting),
    count.ground === undefined ? '' : writeGround(count.ground),
    part('>', station),
    part(';', note),
  ]
    .filter(Boolean)
    .join(' ');
}

/** The entries that a count makes: the leg, and its features; or why they can't be read. */
export function entriesOf(solution: Solution, count: Count, line: string): Result<Entry[], Fault> {
  const read = readLine(line, contextAtEnd(solution));
  if (!read.ok) return fail(read.fault.fault);
  if (!('entry' in read.value) || read.value.entry.kind !== 'leg') {
    return fail({ code: 'unexpected', found: '', expected: 'bearing' });
  }
  const features = count.seen.map((feature): Entry => {
    const { what, side, sideMetres = 0 } = feature;
    const metres = metresOf(solution, feature, count.ground) ?? 0;
    return { kind: 'at', metres: tenths(metres), ...(side ? { side, sideMetres } : {}), what };
  });
  return ok([read.value.entry, ...features]);
}
