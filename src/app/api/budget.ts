import { Refused } from './answers';

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

/** The lines that a text can hold at most, counted without reading it. */
const linesIn = {
  log: (text: string) => 1 + Math.max(count(text, '\n'), count(text, '\r')),
  // Every line has a field of this name, as it stands or with an escape in it.
  logbook: (text: string) => count(text, '"kind"') + count(text, '\\u'),
};

/** Refuses a text that would take longer to answer than a request may, before it is read. */
export function withinBudget(text: string, kind: keyof typeof linesIn, answer: string): void {
  const most = mostLines(answer);
  if (linesIn[kind](text) <= most) return;
  const [limit, what] = [most.toLocaleString('en'), kind === 'log' ? 'log' : 'logbook'];
  const message =
    `A ${what} of more than ${limit} lines is not answered here. ` + 'Import it in the app.';
  throw new Refused(413, { message, expected: `at most ${limit} lines` });
}
