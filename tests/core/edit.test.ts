import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addEntry, faultOf, type Command } from '@/core/edit/command';
import {
  correctEntry,
  extentOfLeg,
  insertEntry,
  moveLeg,
  remarkOn,
  strikeEntry,
} from '@/core/edit/ink';
import { changeHeader, setUpOuting, type SetUp } from '@/core/edit/set-up';
import { renameStation } from '@/core/edit/rename-station';
import { applied, inverse } from '@/core/edit/operations';
import { warningsOf } from '@/core/checks';
import { writeLog } from '@/core/log-text/write-log';
import { headerOf, type Outing } from '@/core/logbook';
import { way } from '@/core/home';
import { anyOuting, leg, solved, solvedLog } from '../support/outings';

/** The lines of the page after a command, without the header; a refusal as its code. */
function after(outing: Outing, command: Command): string[] {
  const operations = command(outing, null);
  if (!operations.ok) return [faultOf(operations.fault).code];
  const done = applied(outing, operations.value);
  if (!done.ok) return [done.fault.code];
  const undone = applied(done.value, inverse(operations.value));
  expect(undone.ok && undone.value).toEqual(outing);
  return writeLog(done.value).trimEnd().split('\n').slice(3);
}

const AT = '2026-08-14T10:20:00.000Z';
const strike = { at: AT };
const outingOfLog = (text: string) => solvedLog(text).outing;

describe('changing a page', () => {
  const page = outingOfLog(
    '000 10m\n090 20m\n180 30m > Camp\nfrom 2\n270 40m\nfrom 1\n045 50m > 2',
  );

  it('adds a line at the end', () => {
    expect(after(page, addEntry(leg(90, 7))).at(-1)).toBe('090 7m');
  });

  it('inserting a leg keeps references on the stations that they meant', () => {
    expect(after(page, insertEntry(0, page.entries[0]!, leg(5, 5)))).toEqual([
      '005 5m',
      '000 10m',
      '090 20m',
      '180 30m > Camp',
      'from 3',
      '270 40m',
      'from 2',
      '045 50m > 3',
    ]);
  });

  it('striking a leg renumbers, takes what was seen on it, keeps it on the page, and refuses while others need it', () => {
    const seen = outingOfLog(
      '000 10m > A\n090 20m\nat 5 ; spring\nsee 100 ; hill\n180 30m\nfrom 3\n000 1m',
    );
    expect(extentOfLeg(seen, 1)).toBe(3);
    expect(
      after(seen, strikeEntry(1, seen.entries[1]!, { at: AT, reason: 'counted twice' })),
    ).toEqual([
      '000 10m > A',
      `  struck ${AT} | counted twice | 090 20m`,
      `  struck ${AT} | counted twice | at 5 ; spring`,
      `  struck ${AT} | counted twice | see 100 ; hill`,
      '180 30m',
      'from 2',
      '000 1m',
    ]);
    expect(after(page, strikeEntry(1, page.entries[1]!, strike))).toEqual(['station-in-use']);
    expect(after(page, strikeEntry(3, page.entries[3]!, strike))).not.toContain('from 2');
    const struck = outingOfLog(`000 10m\nstruck ${AT} | | 090 5m`);
    expect(after(struck, strikeEntry(1, struck.entries[1]!, strike))).toHaveLength(2);
  });

  it('refuses to change a line that is no longer the one that was seen', () => {
    const [seen, other] = [leg(1, 1), leg(2, 2)];
    for (const command of [
      strikeEntry(0, seen, strike),
      correctEntry(0, seen, other, strike),
      insertEntry(0, seen, other),
      moveLeg(0, seen, 'down'),
      remarkOn(0, seen, { kind: 'right', code: 'leg-short' }),
    ]) {
      expect(after(page, command)).toEqual(['changed-elsewhere']);
    }
  });

  it('corrects a line in ink: the old reading stays above it, struck out', () => {
    const corrected = after(page, correctEntry(0, page.entries[0]!, leg(1, 11), strike));
    expect(corrected.slice(0, 2)).toEqual([`  struck ${AT} |  | 000 10m`, '001 11m']);
    // Taking a leg's number for a name leaves references on the station.
    const named = leg(90, 20, { to: 'Ford' });
    expect(after(page, correctEntry(1, page.entries[1]!, named, strike)).slice(1)).toEqual([
      `  struck ${AT} |  | 090 20m`,
      '090 20m > Ford',
      '180 30m > Camp',
      'from Ford',
      '270 40m',
      'from 1',
      '045 50m > Ford',
    ]);
    expect(after(page, correctEntry(0, page.entries[0]!, page.entries[0]!, strike))).toEqual(
      after(page, addEntry(leg(1, 1))).slice(0, -1),
    );
  });

  it('moves a leg with what was seen on it, and keeps references on their stations', () => {
    const seen = outingOfLog('000 10m\n090 20m > A\nat 5 ; spring\n180 30m\nfrom 1\n045 7m');
    expect(after(seen, moveLeg(1, seen.entries[1]!, 'up'))).toEqual([
      '090 20m > A',
      '  at 5 ; spring',
      '000 10m',
      '180 30m',
      'from 2',
      '045 7m',
    ]);
    expect(after(seen, moveLeg(0, seen.entries[0]!, 'down'))).toEqual(
      after(seen, moveLeg(1, seen.entries[1]!, 'up')),
    );
    const unmoved = moveLeg(0, seen.entries[0]!, 'up')(seen, null);
    expect(unmoved.ok && unmoved.value).toEqual([]);
    const last = moveLeg(5, seen.entries[5]!, 'down')(seen, null);
    expect(last.ok && last.value).toEqual([]);
  });

  it('notes that a remark is right on the line that it is about', () => {
    const short = outingOfLog('000 5m\nat 2 ; pool\n090 50m');
    const codes = (outing: Outing) => warningsOf(solved(outing)).map(({ code }) => code);
    expect(codes(short)).toEqual(['leg-short']);
    const operations = remarkOn(0, short.entries[0]!, { kind: 'right', code: 'leg-short' })(
      short,
      null,
    );
    const done = operations.ok ? applied(short, operations.value) : operations;
    expect(done.ok && codes(done.value)).toEqual([]);
    expect(done.ok && writeLog(done.value)).toContain('000 5m\n  right leg-short\n');
  });

  it('renames a station wherever it is spoken of', () => {
    expect(after(page, renameStation('2', 'Ford'))).toContain('from Ford');
    expect(after(page, renameStation('2', 'Ford')).at(-1)).toBe('045 50m > Ford');
    expect(after(page, renameStation('Camp', 'Hut'))[2]).toBe('180 30m > Hut');
    expect(after(page, renameStation('Camp', '1'))).toEqual(['name-taken']);
    expect(after(page, renameStation('Camp', 'a;b'))).toEqual(['bad-name']);
    expect(after(page, renameStation('Start', 'Dock at 5'))).toEqual(['bad-name']);
    expect(after(page, renameStation('Nowhere', 'x'))).toEqual(['unknown-station']);
    const home = outingOfLog('000 10m\nfrom Start\n090 5m > Start');
    expect(after(home, renameStation('Start', 'Dock'))).toEqual([
      '000 10m',
      'from Dock',
      '090 5m > Dock',
    ]);
  });

  it('sets the pace, and refuses what the page can’t do without', () => {
    const paced = outingOfLog('pace 65 per 100 m\n000 65p');
    const pace = { kind: 'pace', unit: 'metres', value: 2 } as const;
    const set = (outing: Outing, more: Partial<SetUp> = {}) =>
      setUpOuting({ header: headerOf(outing), pace: null, read: null, ...more });
    expect(after(paced, set(paced, { pace }))).toEqual(['pace 2 m', '000 65p']);
    expect(after(page, set(page, { pace }))[0]).toBe('pace 2 m');
    expect(after(paced, set(paced, { read: 'magnetic' }))).toEqual([
      'pace 65 per 100 m',
      '000 65p',
    ]);
    expect(after(paced, set(paced, { read: 'true' })).at(-1)).toBe('read true');
    const twice = outingOfLog('000 10m\nread true');
    expect(after(twice, set(twice, { read: 'grid' }))).toEqual(['000 10m', 'read grid']);
    const unchanged = set(paced)(paced, null);
    expect(unchanged.ok && unchanged.value).toEqual([]);
    expect(after(paced, strikeEntry(0, paced.entries[0]!, strike))).toEqual(['no-pace']);
    const northed = outingOfLog('declination 5 E\n010T 5m');
    const none = changeHeader((header) => ({ ...header, declination: { source: 'none' } }));
    expect(after(northed, none)).toEqual(['no-declination']);
  });

  it('any replacement can be undone, and leaves the other legs where they were', () => {
    fc.assert(
      fc.property(anyOuting, fc.nat(), (outing, at) => {
        const index = outing.entries.findIndex(
          (entry, i) => i >= 1 + (at % 3) && entry.kind === 'leg',
        );
        if (index < 0) return;
        const seen = outing.entries[index]!;
        if (seen.kind !== 'leg') return;
        const command = correctEntry(index, seen, { ...seen, note: 'read again' }, strike);
        const operations = command(outing, null);
        if (!operations.ok) throw new Error(faultOf(operations.fault).code);
        const done = applied(outing, operations.value);
        if (!done.ok) throw new Error(done.fault.code);
        const [before, now] = [solved(outing), solved(done.value)];
        expect(way(now, now.current, 0).distanceMetres).toBe(
          way(before, before.current, 0).distanceMetres,
        );
        const undone = applied(done.value, inverse(operations.value));
        expect(undone.ok && undone.value).toEqual(outing);
      }),
      { numRuns: 200, seed: 3 },
    );
  });
});
