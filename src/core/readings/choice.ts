import type { Expected } from '../faults/fault';
import type { Cursor } from './cursor';

/** One of a few words to the end of the line, in any letter case. */
export function readChoice<Choice extends string>(
  cursor: Cursor,
  choices: readonly Choice[],
  expected: Expected,
): Choice {
  const column = cursor.position;
  const word = cursor.take(/[a-z][a-z-]*/iy)?.[0].toLowerCase();
  const choice = choices.find((candidate) => candidate === word);
  if (!choice) return cursor.expected(expected, undefined, column);
  cursor.finish();
  return choice;
}
