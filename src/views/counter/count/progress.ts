import type { Solution } from '@/core/survey/solution';
import type { Metres } from '@/core/units/units';
import { BOX_SIDES, openBox, type Count, type Tally } from '@/store/count';
import type { Signal } from './feedback';
import { metresOf } from './leg-of-count';

/** A place that is counted to. */
export interface Goal {
  /** What it is; null for the next mark. */
  readonly name: string | null;
  /** Metres to it from where its count began, and how many of them are left: below 0 beyond it. */
  readonly metres: Metres;
  readonly leftMetres: Metres;
}

/** From this share of a distance on one looks out. */
const NEARLY = 0.9;
const HUNDRED_METRES = 100;

/** The goals of a count: its target, the next mark, and the way back of a box. */
export function goalsOf(solution: Solution, count: Count, metres: Metres | null): Goal[] {
  const goals: Goal[] = [];
  if (count.target && metres !== null) {
    const { name, metres: whole } = count.target;
    goals.push({ name, metres: whole, leftMetres: whole - metres });
  }
  const ahead = count.mark?.aheadMetres;
  const since = sinceMark(solution, count);
  if (ahead !== undefined && since !== null) {
    goals.push({ name: null, metres: ahead, leftMetres: ahead - since });
  }
  return goals;
}

/** Metres since the last mark; null where there was none, or no pace is known. */
export function sinceMark(solution: Solution, { mark, paces, metres, ground }: Count) {
  if (!mark) return null;
  const tally = { paces: paces - mark.paces, metres: metres - mark.metres };
  return metresOf(solution, tally, ground);
}

/** What is still to count back to the line, on the last side of a box; null on the others. */
export function boxLeft(count: Count): Tally | null {
  const box = openBox(count);
  if (box?.walking !== 'back') return null;
  return { paces: box.out.paces - box.back.paces, metres: box.out.metres - box.back.metres };
}

/** How far a count has come, by all that may be reported of. */
export interface Progress {
  readonly total: number;
  readonly hundreds: number;
  /** For each goal: 0 on the way, 1 nearly there, 2 there. */
  readonly stages: readonly number[];
}

export function progressOf(solution: Solution, count: Count, metres: Metres | null): Progress {
  const stages = goalsOf(solution, count, metres).map(({ metres: whole, leftMetres }) => {
    if (leftMetres <= 0) return 2;
    return whole - leftMetres >= NEARLY * whole ? 1 : 0;
  });
  const left = boxLeft(count);
  stages.push(left && left.paces <= 0 && left.metres <= 0 ? 2 : 0);
  const boxed = count.boxes.flatMap((box) => BOX_SIDES.map((side) => box[side]));
  const total = [count, ...boxed].reduce((sum, tally) => sum + tally.paces + tally.metres, 0);
  return { total, hundreds: Math.floor((metres ?? 0) / HUNDRED_METRES), stages };
}

/** What is reported when a count has come from one point to another; null for nothing. */
export function signalBetween(before: Progress, now: Progress): Signal | null {
  const reached = now.stages.map((stage, index) =>
    stage > (before.stages[index] ?? 0) ? stage : 0,
  );
  const most = Math.max(0, ...reached);
  if (most === 2) return 'there';
  if (most === 1) return 'nearly';
  if (now.total <= before.total) return null;
  return now.hundreds > before.hundreds ? 'hundred' : 'tap';
}
