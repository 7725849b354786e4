import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { countedAfterwards, uncountedArrival } from '@/core/edit/counted-afterwards';
import { apply } from '@/core/edit/operations';
import { boxedWords } from '@/core/entries/describe';
import { writeEntry } from '@/core/entries/entry';
import { alongsOf } from '@/core/survey/leg-boxes';
import { leg, solvedLog } from '../../support/outings';

describe('a way whose count is given after its end', () => {
  const LOG = '220 65m\n350 130m > Birch\nhere Start';

  it('is the leg in the place of the line that said where one is', () => {
    const { solution, outing } = solvedLog(LOG);
    const uncounted = uncountedArrival(solution)!;
    expect(uncounted).toMatchObject({ index: 2, from: 2 });
    const command = countedAfterwards(uncounted, leg(150, 100, { to: 'Start' }));
    const made = command(outing, null);
    const after = made.ok ? apply(outing, made.value) : expect.fail();
    const entries = after.ok ? after.value.entries : [];
    expect(entries.map((entry) => writeEntry(entry, 'magnetic').trim())).toEqual([
      '220 65m',
      '350 130m > Birch',
      '150 100m > Start',
    ]);
    // Somebody logged on in the meantime: nothing is replaced.
    const later = { ...outing, entries: [...outing.entries, leg(1, 1)] };
    expect(command(later, null)).toMatchObject({ fault: { code: 'changed-elsewhere' } });
  });

  it('is asked for only where the log ends so', () => {
    for (const log of [
      '220 65m',
      LOG.replace('here Start', ''),
      `${LOG}\n100 5m`,
      '220 65m\nhere 1',
    ]) {
      expect(uncountedArrival(solvedLog(log).solution), log).toBeNull();
    }
  });
});

describe('a leg on which an obstacle was boxed', () => {
  it('reads as all that was walked, with what of it was round the obstacle', () => {
    const words = (log: string) => {
      const { solution } = solvedLog(log);
      const { reading, entry } = solution.legs.leg(1);
      return boxedWords(reading.distance, alongsOf(solution).get(entry) ?? [], USUAL_FIGURES);
    };
    expect(words('110 70p\nbox left 10p along 20p')).toBe('90 paces, 20 of them round it');
    expect(words('110 70p\nbox left 10p along 20p\nbox right 5p along 5p\n200 9p')).toBe(
      '95 paces, 25 of them round obstacles',
    );
    expect(words('110 70m\nbox left 10m along 20.5m')).toBe('90.5 m, 20.5 m round it');
    expect(words('pace 65 per 100 m\n110 70p\nbox left 10m along 20m')).toBe('70 paces');
    expect(words('110 70p')).toBe('70 paces');
  });
});
