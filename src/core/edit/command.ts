import equal from 'fast-deep-equal';
import type { Entry } from '../entries/entry';
import type { Fault, OutingFault } from '../faults/fault';
import type { Outing } from '../model/outing';
import type { EarthModels } from '../north/earth-models';
import { unsolvable } from '../survey/solve';
import { fail, ok, type Result } from '../units/result';
import { apply, insertion, type Operation } from './operations';
import { nth } from '../units/nth';

/** Why a command can't be done: a fault of the command itself, or one of the outing after it. */
export type CommandFault = Fault | OutingFault;

/** What a command gives: the operations to record, or why it can't be done. */
export type Command = (
  outing: Outing,
  models: EarthModels | null,
) => Result<Operation[], CommandFault>;

/** The fault itself, wherever it is. */
export const faultOf = (fault: CommandFault): Fault => ('at' in fault ? fault.fault : fault);

/** The operations, if the outing can still be solved after them. */
export function checked(
  outing: Outing,
  models: EarthModels | null,
  operations: Operation[],
): Result<Operation[], CommandFault> {
  const after = apply(outing, operations);
  if (!after.ok) return after;
  const wrong = unsolvable(after.value, models);
  return wrong ? fail(wrong) : ok(operations);
}

/** The refusal of a change to a line that is no longer what the person saw. */
export const changedElsewhere = fail<Fault>({ code: 'changed-elsewhere' });

/** True while a line is still what the person saw: another tab may have moved it meanwhile. */
export const isUnchanged = (outing: Outing, index: number, seen: Entry) =>
  equal(outing.entries[index], seen);

/**
 * Where a line that the person saw is now: lines before it may have come or gone meanwhile. As it
 * was where it is still there, or where no line or several are like it.
 */
export function indexNow(outing: Outing, index: number, seen: Entry): number {
  if (isUnchanged(outing, index, seen)) return index;
  const alike = [...outing.entries.keys()].filter((each) => isUnchanged(outing, each, seen));
  return alike.length === 1 ? nth(alike, 0) : index;
}

/** Adds lines at the end of the log, all of them or none. */
export const addEntries =
  (entries: Entry[]): Command =>
  (outing, models) =>
    checked(outing, models, [insertion(outing.entries.length, entries)]);

/** Adds a line at the end of the log. */
export const addEntry = (entry: Entry): Command => addEntries([entry]);
