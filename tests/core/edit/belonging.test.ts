import { describe, expect, it } from 'vitest';
import { faultOf, type Command } from '@/core/edit/command';
import { correctEntry, insertEntry, moveLeg, strikeEntry } from '@/core/edit/ink';
import { apply } from '@/core/edit/operations';
import type { Entry } from '@/core/entries/entry';
import { readLine } from '@/core/log-text/read-line';
import type { Outing } from '@/core/model/outing';
import { solved, solvedLog } from '../../support/outings';

const strike = { at: '2026-08-14T10:20:00.000Z' };
const PACE = 'pace 1 m\n';

const entryOf = (line: string): Entry => {
  const read = readLine(line);
  return read.ok && 'entry' in read.value ? read.value.entry : expect.fail(line);
};

/** The outing after a command, or the code of its refusal. */
function after(outing: Outing, command: Command): Outing | string {
  const operations = command(outing, null);
  if (!operations.ok) return faultOf(operations.fault).code;
  const done = apply(outing, operations.value);
  return done.ok ? done.value : done.fault.code;
}
const changed = (outing: Outing, command: Command): Outing => {
  const done = after(outing, command);
  return typeof done === 'string' ? expect.fail(done) : done;
};
const metres = (outing: Outing) => [...solved(outing).legs].map((leg) => Math.round(leg.metres));
const seen = (outing: Outing, index: number) => outing.entries[index]!;

describe('a box or an `at` belongs to its leg (a leg grew from 100 to 145 m)', () => {
  // Entries: 0 pace, 1 leg 100 m, 2 leg 200 m, 3 its box, 4 its feature, 5 leg 300 m.
  const outing = solvedLog(
    `${PACE}000 100p\n090 200p\nbox left 20p along 45p\nat 40p ; spring\n180 300p`,
  ).outing;

  it('with a corrected box, its leg is struck with it', () => {
    const corrected = changed(
      outing,
      correctEntry(3, seen(outing, 3), entryOf('box left 20p along 40p'), strike),
    );
    expect(metres(corrected)).toEqual([100, 240, 300]);
    const struck = changed(corrected, strikeEntry(2, seen(corrected, 2), strike));
    expect(metres(struck)).toEqual([100, 300]);
    expect(struck.entries.filter(({ kind }) => kind === 'box' || kind === 'at')).toEqual([]);
  });

  it('its leg is moved with it, also where a line between them was struck', () => {
    const corrected = changed(
      outing,
      correctEntry(3, seen(outing, 3), entryOf('box left 20p along 40p'), strike),
    );
    const moved = changed(corrected, moveLeg(2, seen(corrected, 2), 'up'));
    expect(metres(moved)).toEqual([240, 100, 300]);
    const down = changed(corrected, moveLeg(1, seen(corrected, 1), 'down'));
    expect(metres(down)).toEqual([240, 100, 300]);
  });

  it('what is inserted before it goes before its leg', () => {
    for (const index of [3, 4]) {
      const inserted = changed(outing, insertEntry(index, seen(outing, index), entryOf('045 50m')));
      expect(metres(inserted)).toEqual([100, 50, 245, 300]);
    }
    const feature = changed(outing, insertEntry(4, seen(outing, 4), entryOf('at 10m ; stump')));
    expect(feature.entries.map(({ kind }) => kind).slice(2, 6)).toEqual(['leg', 'box', 'at', 'at']);
  });

  it('its leg is not turned into something else while it is there', () => {
    const asPace = correctEntry(2, seen(outing, 2), entryOf('pace 2 m'), strike);
    expect(after(outing, asPace)).toBe('joins-another-leg');
    const asLeg = correctEntry(3, seen(outing, 3), entryOf('045 50m'), strike);
    expect(after(outing, asLeg)).toBe('joins-another-leg');
    const first = solvedLog(`${PACE}000 100p\nbox left 20p along 45p`).outing;
    expect(after(first, correctEntry(1, seen(first, 1), entryOf('aim sighted'), strike))).toBe(
      'joins-another-leg',
    );
  });

  it('a sighting keeps the station that it was taken from', () => {
    const sighted = solvedLog('000 100m > A\n090 100m\nfrom A\nsee 300 ; hill\n180 50m').outing;
    const asLeg = correctEntry(2, seen(sighted, 2), entryOf('270 10m'), strike);
    expect(after(sighted, asLeg)).toBe('joins-another-leg');
  });
});
