import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultOf, indexNow } from '@/core/edit/command';
import { correctEntry, strikeEntry } from '@/core/edit/ink';
import { apply, inverse } from '@/core/edit/operations';
import { readLog } from '@/core/log-text/read-log';
import { writeLog } from '@/core/log-text/write-log';
import { wayHome } from '@/core/navigation/ways/way';
import { anyOuting, leg, outingOf, solved, solvedLog } from '../../support/outings';

describe('a struck line', () => {
  const strike = { at: '2026-08-14T10:20:00.000Z' };

  it('counts for nothing, and comes back by undoing', () => {
    fc.assert(
      fc.property(anyOuting, fc.nat(), (outing, pick) => {
        const index = pick % outing.entries.length;
        const seen = outing.entries[index]!;
        const operations = strikeEntry(index, seen, strike)(outing, null);
        if (!operations.ok) {
          // A line that others need can't be struck.
          expect(faultOf(operations.fault).code).toMatch(
            /station-in-use|no-pace|no-leg-yet|joins-another-leg/,
          );
          return;
        }
        const done = apply(outing, operations.value);
        if (!done.ok) throw new Error(done.fault.code);
        expect(done.value.entries).toHaveLength(outing.entries.length);
        const undone = apply(done.value, inverse(operations.value));
        expect(undone.ok && undone.value).toEqual(outing);
        const bare = {
          ...done.value,
          entries: done.value.entries.filter(({ kind }) => kind !== 'struck'),
        };
        const [a, b] = [solved(done.value), solved(bare)];
        expect(wayHome(a)).toEqual(wayHome(b));
      }),
      { numRuns: 200 },
    );
  });

  it('has the line as it was in the log, and reads back the same', () => {
    const { outing } = solvedLog('220T 65m ; a | b ; c\ndeclination 5 E');
    const operations = correctEntry(0, outing.entries[0]!, leg(1, 1), {
      ...strike,
      reason: 'slip',
    })(outing, null);
    const done = operations.ok ? apply(outing, operations.value) : operations;
    const text = done.ok ? writeLog(done.value) : '';
    expect(text).toContain(`  struck ${strike.at} | slip | 220T 65m ; a | b ; c\n001 1m`);
    const again = readLog(text, 'test', null);
    expect(again.ok && writeLog(again.value.outing)).toBe(text);
  });
});

describe('a line that is corrected while lines come before it', () => {
  it('is found again where it is now, and only where it is one alone', () => {
    const before = outingOf([leg(10, 100), leg(20, 100)]);
    const pace = { kind: 'pace', unit: 'per-100-m', value: 65 } as const;
    const after = outingOf([pace, leg(10, 100), leg(20, 100)]);
    expect(indexNow(before, 1, leg(20, 100))).toBe(1);
    expect(indexNow(after, 1, leg(20, 100))).toBe(2);
    // Two alike, or none: nothing is guessed, and the save says that it changed elsewhere.
    expect(indexNow(outingOf([pace, leg(20, 100), leg(20, 100)]), 0, leg(20, 100))).toBe(0);
    expect(indexNow(after, 1, leg(30, 100))).toBe(1);
  });
});
