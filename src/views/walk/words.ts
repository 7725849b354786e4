import type { Passed } from '@/core/on-the-way';

/** The words of the walk home. */
export const WORDS = {
  title: 'Walk home',
  back: 'Back to the way home',
  hold: 'Hold the compass level before you. Turn your whole body, not your wrist, until the needle lies in its mark. Pick a mark ahead on that line, walk to it, pick the next.',
  left: (metres: number, paces: number | null, place: string) =>
    `${metres} m to ${place}${paces === null ? '' : `: ${paces} paces`}`,
  passes: 'On the way you should pass',
  nothing: 'Nothing that you logged lies beside this line.',
  walked: (unit: string) => `How many ${unit} did you walk on this bearing?`,
  log: 'Log this stretch',
  count: 'Count it',
  box: 'Box an obstacle',
  detour: 'Another leg by hand',
  there: 'I am there',
  search: 'It is not in sight',
  logged: (line: string) => `Logged: ${line}. The way home is worked out anew.`,
  arrived: (place: string) => `You are at ${place}.`,
  closed: (metres: number, share: string) =>
    `The log closes ${metres} m off, ${share} % of what was walked. A few per cent are usual by compass and pace.`,
  number: 'A number above zero',
  searchTitle: 'Looking for it',
  searchHow:
    'Stop, and look around from where you stand. Mark this place. Then walk the pattern: every leg says how likely you have had it in sight by then. Do not hurry, and do not leave the pattern for a guess.',
  pattern: 'Pattern',
  square: 'Growing square',
  sector: 'Three sectors',
  sight: 'How far you see, in metres',
  covered: (percent: number) => `${percent} % covered`,
  searchNone: 'You stand at home by the log: only its doubt is left to search.',
  stop: 'Back to walking',
  caution:
    'Look before each step: the line ignores cliffs and water. If the light goes or you are unsure, stop, stay put, and make yourself seen and heard.',
} as const;

/** Something logged on the way out, as it is met on the way back. */
export function passedWords({ what, alongMetres, rightMetres }: Passed, pace: number): string {
  const aside = Math.round(Math.abs(rightMetres));
  const side =
    aside < 2 ? 'on your line' : `${aside} m to your ${rightMetres > 0 ? 'right' : 'left'}`;
  const ahead = Number.isNaN(pace)
    ? `${Math.round(alongMetres)} m`
    : `about ${Math.round(alongMetres / pace)} paces`;
  return `${what}, ${side}, in ${ahead}`;
}
