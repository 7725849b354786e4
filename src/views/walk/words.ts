import { plural } from '@/core/entries/describe';
import type { PassedFeature } from '@/core/navigation/ways/passed-features';
import type { Metres } from '@/core/units/units';

const paces = (count: number) => plural(Math.round(count), 'pace', 'paces');

/** The words of the walk home. */
export const WORDS = {
  follow: 'Bearing to follow',
  how:
    'Hold the compass level in front of you. Turn your whole body, not your wrist, until the ' +
    'needle lies in its mark. Choose a mark ahead on that line, walk to it, choose the next.',
  left: (metres: string, count: number | null, place: string) =>
    `${metres} to ${place}${count === null ? '' : `: ${paces(count)}`}`,
  passes: 'On the way you should pass',
  nothing: 'Nothing in the log lies beside this line.',
  walked: (unit: string) => `How many ${unit} did you walk on this bearing?`,
  number: 'Type a number above zero.',
  log: 'Log this stretch',
  count: 'Count paces',
  box: 'Box an obstacle',
  otherLeg: 'Log another leg',
  there: 'I am there',
  search: 'I can’t see it',
  logged: (line: string) => `Logged: ${line}. The way home is updated.`,
  arrived: (place: string) => `You are at ${place}.`,
  closed: (metres: Metres, share: string) =>
    `Misclosure ${metres} m, ${share} % of the distance walked. A few per cent are usual by ` +
    'compass and pace.',
  searchTitle: 'Search',
  searchHow:
    'Stop, and look around from where you are. Mark this place. Then walk the pattern: each leg ' +
    'says how likely you have had it in sight by then. Do not hurry, and do not leave the ' +
    'pattern for a guess.',
  pattern: 'Pattern',
  square: 'Expanding square',
  sector: 'Sector search',
  sight: 'How far you can see, in metres',
  searchLeg: (bearing: string, metres: Metres, count: number | null) =>
    `${bearing}, ${Math.round(metres)} m${count === null ? '' : `: ${paces(count)}`}`,
  covered: (percent: number) => `${percent} % covered`,
  stop: 'Back to the walk',
  caution:
    'Look before each step: the line ignores cliffs and water. If the light goes or you are ' +
    'unsure, stop, stay put, and make yourself seen and heard.',
} as const;

/** Nearer than this to the line is on it. */
const ON_LINE_METRES = 2;

/** A feature logged on the way out, as it is passed on the way back. */
export function passedWords(
  { what, alongMetres, rightMetres }: PassedFeature,
  paceMetres: Metres | null,
): string {
  const aside = Math.round(Math.abs(rightMetres));
  const side =
    aside < ON_LINE_METRES
      ? 'on your line'
      : `${aside} m to your ${rightMetres > 0 ? 'right' : 'left'}`;
  const ahead =
    paceMetres === null
      ? `${Math.round(alongMetres)} m`
      : `about ${paces(alongMetres / paceMetres)}`;
  return `${what}, ${side}, in ${ahead}`;
}
