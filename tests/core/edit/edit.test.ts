import { USUAL_FIGURES } from '@/core/units/figures';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addEntry, faultOf, type Command } from '@/core/edit/command';
import {
  correctEntry,
  extentOfLeg,
  insertEntry,
  moveLeg,
  acceptWarning,
  strikeEntry,
} from '@/core/edit/ink';
import { changeHeader, changeSettings, type OutingSettings } from '@/core/edit/settings';
import { renameStation } from '@/core/edit/rename-station';
import { apply, inverse } from '@/core/edit/operations';
import { warningsOf } from '@/core/checks';
import { writeLog } from '@/core/log-text/write-log';
import { headerOf, type Outing } from '@/core/model/outing';
import { wayHome } from '@/core/navigation/ways/way';
import { anyOuting, leg, solved, solvedLog } from '../../support/outings';

/** The lines of the log after a command, without the header; a refusal as its code. */
function after(outing: Outing, command: Command): string[] {
  const operations = command(outing, null);
  if (!operations.ok) return [faultOf(operations.fault).code];
  const done = apply(outing, operations.value);
  if (!done.ok) return [done.fault.code];
  const undone = apply(done.value, inverse(operations.value));
  expect(undone.ok && undone.value).toEqual(outing);
  return writeLog(done.value).trimEnd().split('\n').slice(3);
}

const AT = '2026-08-14T10:20:00.000Z';
const strike = { at: AT };
const outingOfLog = (text: string) => solvedLog(text).outing;

describe('changing an outing', () => {
  const outing = outingOfLog(
    '000 10m\n090 20m\n180 30m > Camp\nfrom 2\n270 40m\nfrom 1\n045 50m > 2',
  );

  it('adds a line at the end', () => {
    expect(after(outing, addEntry(leg(90, 7))).at(-1)).toBe('090 7m');
  });

  it('inserting a leg keeps references on the same stations', () => {
    expect(after(outing, insertEntry(0, outing.entries[0]!, leg(5, 5)))).toEqual([
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

  it('striking a leg renumbers, takes what belongs to it, is refused while needed', () => {
    const seen = outingOfLog(
      '000 10m > A\n090 20m\nat 5 ; spring\nsee 100 ; hill\n180 30m\nfrom 3\n000 1m',
    );
    expect(extentOfLeg(seen, 1)).toBe(3);
    expect(
      after(seen, strikeEntry(1, seen.entries[1]!, { at: AT, reason: 'counted twice' })),
    ).toEqual([
      '000 10m > A',
      `  struck ${AT} | counted twice | 090 20m`,
      `  struck ${AT} | counted twice | at 5m ; spring`,
      `  struck ${AT} | counted twice | see 100 ; hill`,
      '180 30m',
      'from 2',
      '000 1m',
    ]);
    expect(after(outing, strikeEntry(1, outing.entries[1]!, strike))).toEqual(['station-in-use']);
    expect(after(outing, strikeEntry(3, outing.entries[3]!, strike))).not.toContain('from 2');
    const struck = outingOfLog(`000 10m\nstruck ${AT} | | 090 5m`);
    expect(after(struck, strikeEntry(1, struck.entries[1]!, strike))).toHaveLength(2);
  });

  it('refuses to change a line that is no longer the one that was shown', () => {
    const [seen, other] = [leg(1, 1), leg(2, 2)];
    for (const command of [
      strikeEntry(0, seen, strike),
      correctEntry(0, seen, other, strike),
      insertEntry(0, seen, other),
      moveLeg(0, seen, 'down'),
      acceptWarning(0, seen, { kind: 'right', code: 'leg-short' }),
    ]) {
      expect(after(outing, command)).toEqual(['changed-elsewhere']);
    }
  });

  it('correcting a line keeps the old reading above it, struck out', () => {
    const corrected = after(outing, correctEntry(0, outing.entries[0]!, leg(1, 11), strike));
    expect(corrected.slice(0, 2)).toEqual([`  struck ${AT} |  | 000 10m`, '001 11m']);
    // A station that gets a name keeps its references.
    const named = leg(90, 20, { to: 'Ford' });
    expect(after(outing, correctEntry(1, outing.entries[1]!, named, strike)).slice(1)).toEqual([
      `  struck ${AT} |  | 090 20m`,
      '090 20m > Ford',
      '180 30m > Camp',
      'from Ford',
      '270 40m',
      'from 1',
      '045 50m > Ford',
    ]);
    expect(after(outing, correctEntry(0, outing.entries[0]!, outing.entries[0]!, strike))).toEqual(
      after(outing, addEntry(leg(1, 1))).slice(0, -1),
    );
  });

  it('moves a leg with what belongs to it, and keeps references on the same stations', () => {
    const seen = outingOfLog('000 10m\n090 20m > A\nat 5 ; spring\n180 30m\nfrom 1\n045 7m');
    expect(after(seen, moveLeg(1, seen.entries[1]!, 'up'))).toEqual([
      '090 20m > A',
      '  at 5m ; spring',
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

  it('accepts a warning below the line that it is about', () => {
    const short = outingOfLog('000 5m\nat 2 ; pool\n090 50m');
    const codes = (outing: Outing) =>
      warningsOf(solved(outing), USUAL_FIGURES).map(({ code }) => code);
    expect(codes(short)).toEqual(['leg-short']);
    const operations = acceptWarning(0, short.entries[0]!, { kind: 'right', code: 'leg-short' })(
      short,
      null,
    );
    const done = operations.ok ? apply(short, operations.value) : operations;
    expect(done.ok && codes(done.value)).toEqual([]);
    expect(done.ok && writeLog(done.value)).toContain('000 5m\n  right leg-short\n');
  });

  it('renames a station wherever it is named', () => {
    expect(after(outing, renameStation('2', 'Ford'))).toContain('from Ford');
    expect(after(outing, renameStation('2', 'Ford')).at(-1)).toBe('045 50m > Ford');
    expect(after(outing, renameStation('Camp', 'Hut'))[2]).toBe('180 30m > Hut');
    expect(after(outing, renameStation('Camp', '1'))).toEqual(['name-taken']);
    expect(after(outing, renameStation('Camp', 'a;b'))).toEqual(['bad-name']);
    expect(after(outing, renameStation('Start', 'Dock at 5'))).toEqual(['bad-name']);
    expect(after(outing, renameStation('Nowhere', 'x'))).toEqual(['unknown-station']);
    const home = outingOfLog('000 10m\nfrom Start\n090 5m > Start');
    expect(after(home, renameStation('Start', 'Dock'))).toEqual([
      '000 10m',
      'from Dock',
      '090 5m > Dock',
    ]);
  });

  it('sets the pace, and refuses what the log needs', () => {
    const paced = outingOfLog('pace 65 per 100 m\n000 65p');
    const pace = { kind: 'pace', unit: 'metres', value: 2 } as const;
    const set = (outing: Outing, more: Partial<OutingSettings> = {}) =>
      changeSettings({ header: headerOf(outing), pace: null, read: null, ...more });
    expect(after(paced, set(paced, { pace }))).toEqual(['pace 2 m', '000 65p']);
    expect(after(outing, set(outing, { pace }))[0]).toBe('pace 2 m');
    expect(after(paced, set(paced, { read: 'magnetic' }))).toEqual([
      'pace 65 per 100 m',
      '000 65p',
    ]);
    expect(after(paced, set(paced, { read: 'true' })).at(-1)).toBe('read true');
    const twice = outingOfLog('000 10m\nread true');
    expect(after(twice, set(twice, { read: 'grid' }))).toEqual(['000 10m', 'read grid']);
    const unchanged = set(paced)(paced, null);
    expect(unchanged.ok && unchanged.value).toEqual([]);
    const mixed = outingOfLog('pace 65 per 100 m\n000 65p\n000 5m');
    expect(after(mixed, strikeEntry(0, mixed.entries[0]!, strike))).toEqual([
      'metres-beside-paces',
    ]);
    const northed = outingOfLog('declination 5 E\n010T 5m');
    const none = changeHeader((header) => ({ ...header, declination: { source: 'none' } }));
    expect(after(northed, none)).toEqual(['no-declination']);
  });

  it('any correction can be undone, and leaves the other legs where they were', () => {
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
        const done = apply(outing, operations.value);
        if (!done.ok) throw new Error(done.fault.code);
        const [before, now] = [solved(outing), solved(done.value)];
        expect(wayHome(now).distanceMetres).toBe(wayHome(before).distanceMetres);
        const undone = apply(done.value, inverse(operations.value));
        expect(undone.ok && undone.value).toEqual(outing);
      }),
      { numRuns: 200, seed: 3 },
    );
  });
});
