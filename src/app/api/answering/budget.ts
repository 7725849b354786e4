import { orderOf } from '@/core/survey/network/adjust';
import type { Network } from '@/core/survey/network/readings';
import { Refused } from './refusal';

/**
 * What a request costs, in units of a microsecond on the machine that the table was measured on
 * (`npm run bench` measures it again): reading one line of a log, or writing it in an answer. The
 * costliest kind of line counts.
 */
const READING_A_LINE = 35;
const WRITING_A_LINE: Readonly<Record<string, number>> = {
  home: 45,
  log: 15,
  json: 10,
  gpx: 90,
  geojson: 45,
  kml: 75,
  csv: 55,
  svg: 25,
  adjust: 600,
};
/** A format that isn't measured yet. */
const USUAL_WRITING = 100;

/** A second of that machine, so that a machine of half its speed stays within two. */
const MOST_UNITS = 1_000_000;

/** How many lines of a log an answer is given for: `home`, or the name of a format. */
export const mostLines = (answer: string): number =>
  Math.floor(MOST_UNITS / (READING_A_LINE + (WRITING_A_LINE[answer] ?? USUAL_WRITING)));

const count = (text: string, mark: string): number => {
  let found = 0;
  for (let at = text.indexOf(mark); at >= 0; at = text.indexOf(mark, at + 1)) found++;
  return found;
};

/** What a sighting of a known place costs more: a fix is solved for each station that has some. */
const SIGHTING = 4000;
/** What a line costs more in an outing that asks to be adjusted. */
const ADJUSTING = 500;

/** What a text can hold at most, counted without reading it. */
interface Counted {
  readonly lines: number;
  readonly sightings: number;
  readonly isAdjusted: boolean;
}
const countsOf = {
  log: (text: string): Counted => ({
    lines: 1 + count(text, '\n') + count(text, '\r') - count(text, '\r\n'),
    sightings: /^[ \t]*known\b/im.test(text) ? (text.match(/^[ \t]*see\b/gim)?.length ?? 0) : 0,
    isAdjusted: /^[ \t]*adjust[ \t]+(compass|least)/im.test(text),
  }),
  // Every line has a field `kind`, as it stands or with an escape in it.
  logbook: (text: string): Counted => ({
    lines: count(text, '"kind"') + count(text, '\\u'),
    sightings: /"known"|\\u/.test(text) ? count(text, '"see"') + count(text, '\\u') : 0,
    isAdjusted: /"(compass-rule|least-squares)"|\\u/.test(text),
  }),
} as const;

/** Refuses a text that would take longer to answer than a request may, before it is read. */
export function withinBudget(text: string, kind: keyof typeof countsOf, answer: string): void {
  const most = mostLines(answer);
  const { lines, sightings, isAdjusted } = countsOf[kind](text);
  const what = kind === 'log' ? 'log' : 'logbook';
  if (lines > most) throw tooMuch(`A ${what} of more than`, most, 'lines');
  const each = MOST_UNITS / most + (isAdjusted ? ADJUSTING : 0);
  if (lines * each + sightings * SIGHTING <= MOST_UNITS) return;
  if (sightings * SIGHTING > MOST_UNITS / 2) {
    const left = Math.floor((MOST_UNITS - Math.min(lines * each, MOST_UNITS / 2)) / SIGHTING);
    throw tooMuch(`A ${what} of this length with more than`, left, 'sightings of known places');
  }
  throw tooMuch(`A ${what} to be adjusted of more than`, Math.floor(MOST_UNITS / each), 'lines');
}

function tooMuch(a: string, most: number, things: string): Refused {
  const limit = most.toLocaleString('en');
  const message = `${a} ${limit} ${things} is not answered here. Import it in the app.`;
  return new Refused(413, { message, expected: `at most ${limit} ${things}` });
}

/** Beyond this the loops hang together so much that an answer would take too long. */
const MOST_TANGLED = 100;

/**
 * What one round of an adjustment costs, in the same units: its lines and nodes, the fronts of its
 * factor, and the errors that readings share, which are dense. Fitted to rounds of 400 to 3,000
 * lines with 1 to 134 nodes in a front and 3 to 300 shared errors, within a third.
 */
function roundUnits({ lines, nodes, sources }: Network, front: readonly Int32Array[]): number {
  const shared = sources.length;
  const fronts = front.reduce((sum, met) => sum + (2 + 2 * met.length) ** 2, 0);
  const dense = 0.008 * nodes * shared ** 2 + 0.02 * shared ** 3;
  return 4 * lines.length + 2 * nodes + 0.013 * fronts + dense;
}

/** Rounds that are paid for: of the adjustment, and of the mistakes that are solved in full. */
const ROUNDS = 25 + 8 * 5;
/** Mistakes that a line is tried with. */
const SLIPS = 20;
/** Up to so many lines, mistakes that go on and wrong stations are tried: each solves the whole. */
const MOST_TRIED_WHOLE = 300;

/** Refuses a survey that would take longer to solve than a request may, before it is solved. */
export function withinSurveyBudget(network: Network): void {
  const { lines, sources } = network;
  const { widest, front } = orderOf(network);
  if (widest > MOST_TANGLED) {
    throw new Refused(413, {
      message: 'So many loops hang together that they are not adjusted here. Do it in the app.',
      expected: `at most ${MOST_TANGLED} stations that hang together`,
    });
  }
  const each = roundUnits(network, front);
  const tried = lines.length * (60 + 0.012 * SLIPS * sources.length ** 2);
  const whole = lines.length <= MOST_TRIED_WHOLE ? 60 * (each + 20 * lines.length) : 0;
  if (ROUNDS * each + tried + whole <= MOST_UNITS) return;
  throw new Refused(413, {
    message: 'These outings take too long to adjust here. Do it in the app.',
    expected: 'fewer legs, or fewer people, compasses and paces of their own',
  });
}
