import { isLegLine } from '@/core/log-text/is-leg-line';
import { readLine } from '@/core/log-text/read-line';
import { groundText } from '@/core/log-text/write-log';
import type { Entry } from '@/core/logbook';
import type { Fault } from '@/core/faults';
import { paceOn } from '@/core/leg-row';
import { fail, ok, type Result } from '@/core/result';
import type { Solution } from '@/core/solve';
import { plainDecimal } from '@/core/units';
import type { Count } from '@/store/count';

/** Which of the two schools is counted: paces (the same foot) or single steps. */
export type Counting = 'paces' | 'steps';

const tenths = (metres: number) => Math.round(metres * 10) / 10;

/** Metres of a count so far, along the ground; NaN where paces were counted and no pace is known. */
export function metresOf(
  solution: Solution,
  count: Pick<Count, 'paces' | 'metres'>,
  ground?: string,
) {
  const { paceLength } = paceOn(solution.end, ground);
  return count.metres + (count.paces === 0 ? 0 : count.paces * paceLength);
}

/** A count's distance as it is written in the log: as it was counted where it can be, else in metres. */
function distanceOf(solution: Solution, count: Count, counting: Counting): string {
  if (count.metres === 0) {
    return counting === 'steps'
      ? `${plainDecimal(count.paces * 2)}s`
      : `${plainDecimal(count.paces)}p`;
  }
  return `${plainDecimal(tenths(metresOf(solution, count, count.ground)))}m`;
}

interface LegWords {
  readonly bearing: string;
  readonly station: string;
  readonly note: string;
}

/** The line of the log that a count comes to. */
export function lineOf(
  solution: Solution,
  count: Count,
  counting: Counting,
  { bearing, station, note }: LegWords,
): string {
  const ground = count.ground === undefined ? '' : groundText(count.ground);
  const to = station.trim() === '' ? '' : ` > ${station.trim()}`;
  const noted = note.trim() === '' ? '' : ` ; ${note.trim()}`;
  return `${bearing.trim()} ${distanceOf(solution, count, counting)}${ground}${to}${noted}`;
}

/** The entries that a count comes to: the leg, and what was seen on it at its metre; or why it can't be read. */
export function entriesOf(solution: Solution, count: Count, line: string): Result<Entry[], Fault> {
  const leg = readLine(line, solution.end.read);
  if (!leg.ok) return fail(leg.fault.fault);
  if (!isLegLine(leg.value)) return fail({ code: 'unexpected', found: '', expected: 'bearing' });
  const seen = count.seen.map((each): Entry => {
    const metres = tenths(metresOf(solution, each, count.ground));
    const side = each.side ? { side: each.side, sideMetres: each.sideMetres ?? 0 } : {};
    return { kind: 'at', metres: Number.isNaN(metres) ? 0 : metres, ...side, what: each.what };
  });
  return ok([leg.value.entry, ...seen]);
}
