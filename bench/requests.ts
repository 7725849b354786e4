import { mostLines } from '../src/app/api/answering/budget';
import { readLog } from '../src/core/log-text/read-log';
import { logbookOf } from '../src/core/model/logbook';
import { earthModels } from '../src/core/north/loaded-earth-models';
import { FORMATS } from '../src/formats';
import { homeAnswer } from '../src/formats/home-answer';

/**
 * What a request costs, in microseconds a line: the costliest kind of line is what the budget of
 * requests (src/app/api/answering/budget.ts) has to be right for.
 */
const LINES = 5000;
const KINDS: Readonly<Record<string, (index: number) => string>> = {
  'short legs': (i) => `${i % 360} 65p`,
  'legs with every part': (i) =>
    `${i % 360}.5 ${65 + (i % 50)}p back ${(i + 180) % 360} up 12 > P ${i} ; snag`,
  'legs by hand': (i) => `bearing ${i % 360} degrees for 65 double paces to Gauge ${i}, snag`,
  'things seen': (i) => (i % 2 ? `at 40 left 12 ; spring ${i}` : `${i % 360} 65p`),
  sightings: (i) => (i % 2 ? `see ${i % 360} ; S${i % 50}` : `${i % 360} 65p`),
  loops: (i) => `${i % 360} 500m${i % 2 ? ' > Start' : ''}`,
};
const HEAD = 'start Dock at 54.2 -63.5\ndate 2026-08-14\ndeclination model\npace 65 per 100 m\n';

const most = new Map<string, number>();
const note = (what: string, milliseconds: number) => {
  const each = (milliseconds * 1000) / LINES;
  most.set(what, Math.max(most.get(what) ?? 0, each));
  return `${what} ${each.toFixed(0)}`;
};
const timed = <Value>(action: () => Value): [Value, number] => {
  const began = performance.now();
  const value = action();
  return [value, performance.now() - began];
};

console.log(`Microseconds a line of a log of ${LINES} lines`);
for (const [kind, line] of Object.entries(KINDS)) {
  const text = HEAD + Array.from({ length: LINES }, (_, i) => line(i)).join('\n');
  const [log, reading] = timed(() => readLog(text, 'bench', earthModels));
  if (!log.ok) throw new Error(`${kind}: the log can be read`);
  const { outing, solution } = log.value;
  const book = logbookOf([outing], '2026-08-14T09:40:00.000Z');
  const parts = [note('read', reading)];
  const [, home] = timed(() => JSON.stringify(homeAnswer(solution, solution.current, 0, () => 1)));
  parts.push(note('home', home));
  for (const [name, format] of FORMATS) {
    parts.push(note(name, timed(() => format.write(book, earthModels))[1]));
  }
  console.log(`${kind.padEnd(22)} ${parts.join('  ')}`);
}
console.log('\nLines that a request may have, and how long the costliest would take here');
for (const answer of ['home', ...FORMATS.keys()]) {
  const each = most.get('read')! + most.get(answer)!;
  const seconds = (mostLines(answer) * each) / 1e6;
  console.log(`${answer.padEnd(8)} ${mostLines(answer)} lines  ${seconds.toFixed(2)} s`);
}
