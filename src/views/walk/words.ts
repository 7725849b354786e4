import { plural } from '@/core/entries/describe';
import { lengthText } from '@/ui/units/shown';
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
  toLine: (metres: string, count: number | null) =>
    `${metres} to the line${count === null ? '' : `: ${paces(count)}`}. Go on until you meet it.`,
  turn: (side: string) => `At the line turn ${side}`,
  atMost: (metres: string) => `Not there after ${metres}? You have gone too far: search.`,
  alongHow:
    'Follow the path, shore or fence with your feet and eyes on it. Look ahead and to both sides.',
  atLine: 'I am at the line',
  lineFailed: 'Can’t aim off from here: the angle is too small or home is too close. Go straight.',
  notDone: (metres: string, place: string) =>
    `By the log it is still ${metres} to ${place}: walk and log that first, then search.`,
  markThere: (place: string, mark: string) => `At ${place} you will see: ${mark}.`,
  passes: 'On the way you should pass',
  nothing: 'Nothing in the log lies beside this line.',
  walked: (unit: string) => `How many ${unit} did you walk on this bearing, if you counted?`,
  number: 'Type a number above zero.',
  log: 'Log this stretch',
  count: 'Count paces',
  box: 'Box an obstacle',
  otherLeg: 'Log another leg',
  there: 'I am there',
  search: 'I can’t see it',
  asksCount: (unit: string) =>
    `How many ${unit} did you walk? Type the count above, then press “I can’t see it” again: the ` +
    'search begins where the count ends.',
  notCounted: (planned: number, unit: string) => `I did not count: assume ${planned} ${unit}`,
  assumed: 'assumed as planned, not counted',
  theLine: 'the line',
  uncounted:
    'Logged without a distance. If you know how far you walked, enter it to check the loop.',
  afterwards: (unit: string, from: string, to: string) =>
    `How many ${unit} was it from ${from} to ${to}? Then the log closes.`,
  logged: (line: string) => `Logged: ${line}. The way home is updated.`,
  arrived: (place: string) => `You are at ${place}.`,
  closed: (metres: Metres, share: string) =>
    `Misclosure ${lengthText(metres)}, ${share} % of the distance walked. A few per cent ` +
    'are usual by compass and pace.',
  searchTitle: 'Search',
  searchHow:
    'Stop, and look around from where you are. Mark this place. Then walk the pattern and log ' +
    'each leg: each shows the chance that you have seen home by its end. Do not hurry, and do ' +
    'not leave the pattern for a guess.',
  pattern: 'Pattern',
  square: 'Expanding square',
  sector: 'Sector search',
  sight: 'How far you can see',
  legNow: (number: number) => `Leg ${number} of the search`,
  legLength: (metres: Metres, count: number | null) =>
    `${lengthText(metres)}${count === null ? '' : `: ${paces(count)}`}`,
  searchLeg: (bearing: string, metres: Metres, count: number | null) =>
    `${bearing}, ${lengthText(metres)}${count === null ? '' : `: ${paces(count)}`}`,
  found: (percent: number) => `found by then: ${percent} %`,
  walkedLeg: (number: number) => `Leg ${number} is walked: log it`,
  allWalked: 'The pattern is walked. Go back to its middle, stay there, and call for help.',
  patternDrawn: (north: string) => `The pattern, with ${north} north at the top`,
  stop: 'Back to the walk',
  caution:
    'Look before each step: the line ignores cliffs and water. If the light goes or you are ' +
    'unsure, stop, stay put, and make yourself seen and heard.',
} as const;
