import equal from 'fast-deep-equal';
import type { EarthModels } from '../earth-models';
import type { Fault, OutingFault } from '../faults';
import type { Entry, Outing } from '../logbook';
import { fail, ok, type Result } from '../result';
import { solve } from '../solve';
import { applied, insertion, type Operation } from './operations';

/** What a command gives: the operations to write down, or why it can't be done. */
export type Command = (
  outing: Outing,
  models: EarthModels | null,
) => Result<Operation[], Fault | OutingFault>;

const hasPlace = (fault: Fault | OutingFault): fault is OutingFault => 'at' in fault;
/** The fault itself, wherever it stands. */
export const faultOf = (fault: Fault | OutingFault): Fault =>
  hasPlace(fault) ? fault.fault : fault;

/** Checks that the page can still be worked out afterwards. */
export function checked(
  outing: Outing,
  models: EarthModels | null,
  operations: Operation[],
): Result<Operation[], Fault | OutingFault> {
  const after = applied(outing, operations);
  if (!after.ok) return after;
  const solved = solve(after.value, models);
  return solved.ok ? ok(operations) : solved;
}

/** The refusal of a change to a line that is no longer what the person saw. */
export const elsewhere = fail<Fault>({ code: 'changed-elsewhere' });
/** True while a line is still what the person saw: another tab may have moved it in the meantime. */
export const stands = (outing: Outing, index: number, seen: Entry) =>
  equal(outing.entries[index], seen);

/** Adds lines at the end of the page, all of them or none. */
export const addEntries =
  (entries: Entry[]): Command =>
  (outing, models) =>
    checked(outing, models, [insertion(outing.entries.length, entries)]);

/** Adds a line at the end of the page. */
export const addEntry = (entry: Entry): Command => addEntries([entry]);
