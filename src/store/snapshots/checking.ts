import type { ChangeRecord } from '../change';
import { replay, type OutingState, type Replayed } from '../replay';
import { saySame } from './snapshot';

/** So many changes are replayed before the page may do something else. */
const SLICE = 200;

const breath = () => new Promise<void>((resolve) => setTimeout(resolve));

/** What comparing a snapshot with its change log gives. */
export interface Checked extends Replayed {
  /** False where the log does not come to what the snapshot holds. */
  readonly isTrue: boolean;
}

/**
 * Replays a whole change log a slice at a time, and compares it with a snapshot of it. Where the
 * end is what is shown the outing stays the same object, so that nothing is computed again.
 */
export async function checkAgainst(
  snapshot: OutingState,
  shown: OutingState,
  records: readonly ChangeRecord[],
): Promise<Checked> {
  const upTo = snapshot.number + 1;
  const before = await replayInSlices(null, records.slice(0, upTo));
  if (before.damage) {
    const rest = records.slice(upTo);
    const damage = { ...before.damage, records: [...before.damage.records, ...rest] };
    return { state: before.state, damage, isTrue: false };
  }
  const isTrue = before.state !== null && saySame(before.state, snapshot);
  const { state, damage } = await replayInSlices(before.state, records.slice(upTo));
  const isShown = state !== null && saySame(state, shown);
  return { state: isShown ? { ...state, document: shown.document } : state, damage, isTrue };
}

async function replayInSlices(
  from: OutingState | null,
  records: readonly ChangeRecord[],
): Promise<Replayed> {
  let state = from;
  for (let at = 0; at < records.length; at += SLICE) {
    const { state: after, damage } = replay(state, records.slice(at, at + SLICE));
    if (damage) {
      const rest = records.slice(at + SLICE);
      return { state: after, damage: { ...damage, records: [...damage.records, ...rest] } };
    }
    state = after;
    await breath();
  }
  return { state, damage: null };
}
