import { group } from 'd3-array';
import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs';
import type { Attempt, Stage } from './attempt';

/** Without chance in it: the same attempts lead to the same day, on every device. */
const SCHEDULER = fsrs({ enable_fuzz: false });

/** So many right answers in a row lead from being helped to being tested. */
const RIGHT_TO_TEST = 2;

/** Where someone stands with an exercise. */
export interface Standing {
  readonly tries: number;
  readonly right: number;
  /** What the next go is: the first shows, the next help, then one is tested. */
  readonly stage: Stage;
  /** When it should be repeated; null before the first go that counts. */
  readonly due: Date | null;
}

export const NOT_BEGUN: Standing = { tries: 0, right: 0, stage: 'show', due: null };

/** How well it went: wrong, with help, by oneself. */
function gradeOf({ isRight, stage }: Attempt): Grade {
  if (!isRight) return Rating.Again;
  return stage === 'test' ? Rating.Good : Rating.Hard;
}

function stageAfter(attempts: readonly Attempt[]): Stage {
  const counted = attempts.filter(({ stage }) => stage !== 'show');
  if (attempts.length === 0) return 'show';
  const last = counted.slice(-RIGHT_TO_TEST);
  const isSure = last.length === RIGHT_TO_TEST && last.every(({ isRight }) => isRight);
  if (isSure) return 'test';
  // Once tested, one slip leads back to being helped.
  return counted.at(-1)?.stage === 'test' && counted.at(-1)?.isRight ? 'test' : 'help';
}

/** The standing after attempts at one exercise, in their order. Being shown it is no attempt. */
export function standingAfter(attempts: readonly Attempt[]): Standing {
  let card: Card | null = null;
  for (const attempt of attempts) {
    if (attempt.stage === 'show') continue;
    const at = new Date(attempt.at);
    card = SCHEDULER.next(card ?? createEmptyCard(at), at, gradeOf(attempt)).card;
  }
  const counted = attempts.filter(({ stage }) => stage !== 'show');
  return {
    tries: counted.length,
    right: counted.filter(({ isRight }) => isRight).length,
    stage: stageAfter(attempts),
    due: card?.due ?? null,
  };
}

/** The attempts at each exercise, in the order of time. */
export function byExercise(attempts: readonly Attempt[]): ReadonlyMap<string, readonly Attempt[]> {
  const sorted = [...attempts].sort((one, other) => one.at.localeCompare(other.at));
  return group(sorted, ({ exercise }) => exercise);
}

/** The exercises that are due at a moment, the longest overdue first. */
export function dueAt(standings: ReadonlyMap<string, Standing>, now: Date): string[] {
  return [...standings]
    .filter(([, { due }]) => due !== null && due <= now)
    .sort(([, one], [, other]) => Number(one.due) - Number(other.due))
    .map(([exercise]) => exercise);
}
