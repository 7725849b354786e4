import { describe, expect, it } from 'vitest';
import { NO_COUNT, type Count } from '@/store/count';
import { entriesOf, lineOf, metresOf } from '@/views/counter/leg-of-count';
import { solvedLog } from '../support/outings';

describe('the leg of a count', () => {
  const { solution } = solvedLog('pace 65 per 100 m\npace rough 80 per 100 m');
  const count = (more: Partial<Count>): Count => ({ ...NO_COUNT, ...more });
  const words = { bearing: '231', station: 'Gauge 1', note: 'under a spruce' };

  it('is written as it was counted: paces, single steps, or metres where both were tapped', () => {
    expect(lineOf(solution, count({ paces: 45 }), 'paces', words)).toBe(
      '231 45p > Gauge 1 ; under a spruce',
    );
    expect(lineOf(solution, count({ paces: 45.5, ground: 'rough' }), 'steps', words)).toBe(
      '231 91s rough > Gauge 1 ; under a spruce',
    );
    expect(
      lineOf(solution, count({ paces: 13, metres: 100, ground: 'moss' }), 'paces', words),
    ).toBe('231 120m on moss > Gauge 1 ; under a spruce');
    expect(metresOf(solution, { paces: 80, metres: 0 }, 'rough')).toBeCloseTo(100, 9);
  });

  it('has its features at their metres, and needs a bearing', () => {
    const seen = [{ paces: 13, metres: 0, what: 'spring', side: 'left' as const, sideMetres: 4 }];
    const entries = entriesOf(solution, count({ paces: 45, seen }), '231 45p');
    expect(entries.ok && entries.value[1]).toEqual({
      kind: 'at',
      metres: 20,
      side: 'left',
      sideMetres: 4,
      what: 'spring',
    });
    expect(entriesOf(solution, count({ paces: 45 }), ' 45p').ok).toBe(false);
    expect(entriesOf(solution, count({ paces: 45 }), 'from Dock').ok).toBe(false);
  });

  it('has no metres where paces were counted and no pace length is known', () => {
    const bare = solvedLog('').solution;
    expect(metresOf(bare, { paces: 5, metres: 100 }, undefined)).toBeNull();
    expect(metresOf(bare, { paces: 0, metres: 100 }, undefined)).toBe(100);
  });
});
