import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { uniform } from '@/core/errors/random';
import { interpretLine } from '@/core/log-text/interpret';
import { solvedLog } from '../../support/outings';

const { solution } = solvedLog(
  ['declination 19.1 W', 'pace 65 per 100 m', '000 50p > Gauge 1', '010 100p'].join('\n'),
);

const SEEDS = readFileSync('tests/core/log-text/handwritten.txt', 'utf8')
  .split('\n')
  .filter((row) => row.includes(' | ') && !row.startsWith('#'))
  .map((row) => row.slice(0, row.lastIndexOf(' | ')).trimEnd());

const PIECES = [
  '1',
  '90',
  ' ',
  ',',
  '.',
  '/',
  '-',
  '%',
  '°',
  'm',
  'p',
  'ft',
  ' in ',
  'N',
  ' W ',
  '@',
];

/** A line with a few slips of the finger, or a piece of another line in it. */
function mutated(random: () => number): string {
  const pick = <Item>(items: readonly Item[]) => items[Math.floor(random() * items.length)]!;
  let line = pick(SEEDS);
  for (let slips = 1 + Math.floor(random() * 3); slips > 0; slips--) {
    const at = Math.floor(random() * (line.length + 1));
    const [before, after] = [line.slice(0, at), line.slice(at)];
    const kind = random();
    if (kind < 0.3) line = before + after.slice(1);
    else if (kind < 0.55) line = before + pick(PIECES) + after;
    else if (kind < 0.75) line = before + after.charAt(1) + after.charAt(0) + after.slice(2);
    else if (kind < 0.9) line = `${before} ${pick(SEEDS).split(' ').slice(-2).join(' ')} ${after}`;
    else line = after + before;
  }
  return line.trim();
}

/** What a line says before its note: its figures without leading zeros, and its words. */
function contents(line: string) {
  const [said = ''] = line
    .toLowerCase()
    .replace(/(?<=[a-z])-(?=[a-z])/g, '')
    .split(';');
  const figures = said.match(/\d+/g) ?? [];
  return {
    figures: figures.map((figure) => figure.replace(/^0+(?=\d)/, '')).sort(),
    words: (said.match(/[a-z]+|[%°½]/g) ?? []).sort(),
    note: line.includes(';') ? line.slice(line.indexOf(';')).trim() : '',
  };
}

const without = (all: readonly string[], some: readonly string[]) => {
  const left = [...some];
  return all.filter((each) => {
    const at = left.indexOf(each);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
};

/** A compass point that contradicts its number may go, and so may a small g that is asked back. */
const MAY_GO = /^([nesw]{1,3}|north|south|east|west|northeast|southwest|northwest|southeast|g)$/;
/** What an answer may add: a side of a quadrant or of an angle, gon, or the length of a pace. */
const MAY_COME = /^([nesw]|gon|g|per|m)$/;

/**
 * Why a repair would change what the line says, decided by its figures and words alone and by no
 * code of the reader; null when it changes nothing.
 */
function changed(line: string, repair: string): string | null {
  const [was, is] = [contents(line), contents(repair)];
  if (was.note !== is.note) return 'its note';
  const isPace = /^\s*pac?e?/i.test(repair);
  const come = without(is.figures, was.figures).filter((figure) => !(isPace && figure === '100'));
  if (come.length > 0 || without(was.figures, is.figures).length > 0) return 'its figures';
  // The name of a station is one word to the reader, whatever it is made of.
  if (/^from\b/i.test(line)) return null;
  const gone = without(was.words, is.words).filter((word) => !MAY_GO.test(word));
  const new_ = without(is.words, was.words).filter((word) => !MAY_COME.test(word));
  // One word may be spelt right: a keyword.
  return Math.max(gone.length, new_.length) > 1 ? 'its words' : null;
}

describe('a repair that is offered', () => {
  it('is distinguished from one that changes what the line says', () => {
    expect(changed('n 40 e, 65 paces', 'N 40p ; E, 65 paces')).toBe('its note');
    expect(changed('220 109 yds', '220 109p ; yds')).toBe('its note');
    expect(changed('220 65p down 20%', '220 65p down 20')).toBeNull();
    expect(changed('220 65p up 1 in 5', '220 65p up 1')).toBe('its figures');
    expect(changed('220,65', '220.65')).toBeNull();
    expect(changed('220 1 km 200 m', '220 1km')).toBe('its figures');
    expect(changed('8 S 65p', '008 65p')).toBeNull();
    expect(changed('pase 60 per 100 m', 'pace 60 per 100 m')).toBeNull();
  });

  it('keeps the meaning of every figure, unit and word, in 200,000 lines with slips', () => {
    const random = uniform(13);
    const wrong: string[] = [];
    let [refused, offered] = [0, 0];
    for (let count = 0; count < 200_000; count++) {
      const line = mutated(random);
      const found = interpretLine(line, solution);
      if (found.kind !== 'fault') continue;
      refused++;
      for (const repair of found.repairs) {
        offered++;
        const why = changed(line, repair.line);
        if (why) wrong.push(`${line} → ${repair.line}: ${why}`);
        const after = interpretLine(repair.line, solution);
        if (after.kind === 'fault' && after.fault.code === 'unexpected') {
          wrong.push(`${line} → ${repair.line}: can't be read`);
        }
      }
    }
    expect(wrong.slice(0, 20)).toEqual([]);
    expect(refused).toBeGreaterThan(50_000);
    expect(offered).toBeGreaterThan(5_000);
  });
});
