import { usualSpeed } from '@/core/navigation/ways/ground-speeds';
import { describe, expect, it } from 'vitest';
import { contextAtEnd } from '@/core/log-text/interpret';
import { writeEntry } from '@/core/entries/entry';
import { replayCount, NO_COUNT, type Count, type CountLine } from '@/store/count';
import { entriesOf, lineOf, metresOf, metresSoFar } from '@/views/counter/count/leg-of-count';
import { goalsOf, progressOf, sinceMark, signalBetween } from '@/views/counter/count/progress';
import { solvedLog } from '../support/outings';

const PACES = { counting: 'paces', kilometresPerHour: 4 } as const;
const STEPS = { ...PACES, counting: 'steps' } as const;
const MINUTES = { ...PACES, counting: 'minutes' } as const;
const BEGAN = Date.parse('2026-08-14T09:40:00Z');

/** A count of these records, each a minute after the one before. */
const counted = (lines: readonly CountLine[], from: Count = NO_COUNT): Count =>
  replayCount(
    from,
    lines.map((line, index) => ({
      count: 'outing',
      number: from.number + 1 + index,
      at: new Date(BEGAN + 60_000 * index).toISOString(),
      line,
    })),
  );
const paces = (by: number): CountLine => ({ kind: 'paces', by });

describe('the leg of a count', () => {
  const { solution } = solvedLog('pace 65 per 100 m\npace rough 80 per 100 m');
  const count = (more: Partial<Count>): Count => ({ ...NO_COUNT, ...more });
  const words = { bearing: '231', station: 'Gauge 1', note: 'under a spruce' };
  const written = (of: Count, by: typeof PACES | typeof MINUTES = PACES) => {
    const line = lineOf(solution, of, by, { bearing: '231', station: '', note: '' }, BEGAN);
    const entries = entriesOf(solution, of, by, line);
    return entries.ok ? entries.value.map((entry) => writeEntry(entry, 'magnetic').trim()) : null;
  };

  it('is written as it was counted: paces, single steps, or metres where both were tapped', () => {
    expect(lineOf(solution, count({ paces: 45 }), PACES, words, BEGAN)).toBe(
      '231 45p > Gauge 1 ; under a spruce',
    );
    expect(lineOf(solution, count({ paces: 45.5, ground: 'rough' }), STEPS, words, BEGAN)).toBe(
      '231 91s rough > Gauge 1 ; under a spruce',
    );
    const both = count({ paces: 13, metres: 100, ground: 'moss' });
    expect(lineOf(solution, both, PACES, words, BEGAN)).toBe(
      '231 120m on moss > Gauge 1 ; under a spruce',
    );
    expect(metresOf(solution, { paces: 80, metres: 0 }, 'rough')).toBeCloseTo(100, 9);
  });

  it('has its features at their metres, and needs a bearing', () => {
    const seen = counted([
      paces(13),
      { kind: 'seen', what: 'water', thing: 'water' },
      { kind: 'beside', side: 'left' },
      { kind: 'beside', side: 'left', sideMetres: 4 },
      paces(32),
    ]);
    expect(written(seen)).toEqual(['231 45p', 'at 20m left 4m water ; water']);
    expect(entriesOf(solution, count({ paces: 45 }), PACES, ' 45p').ok).toBe(false);
    expect(entriesOf(solution, count({ paces: 45 }), PACES, 'from Dock').ok).toBe(false);
  });

  it('has no metres where paces were counted and no pace length is known', () => {
    const bare = solvedLog('').solution;
    expect(metresOf(bare, { paces: 5, metres: 100 }, undefined)).toBeNull();
    expect(metresOf(bare, { paces: 0, metres: 100 }, undefined)).toBe(100);
  });

  it('leaves what went along a box to the line of the box, and solves to all of it', () => {
    const round = counted([
      paces(30),
      { kind: 'box', side: 'right' },
      paces(20),
      { kind: 'turn' },
      paces(40),
      { kind: 'turn' },
      paces(19),
      { kind: 'turn' },
      paces(5),
    ]);
    expect(round).toMatchObject({ paces: 75, boxes: [{ walking: null, back: { paces: 19 } }] });
    expect(written(round)).toEqual(['231 35p', 'box right 20p along 40p']);
    const log = `pace 65 per 100 m\n${written(round)!.join('\n  ')}`;
    const [leg] = Array.from(solvedLog(log).solution.legs);
    expect(leg!.metres).toBeCloseTo(metresOf(solution, round, undefined)!, 6);
    // Given up before it went along anything, it is no box; begun on the mark, the leg is the box.
    const begun: CountLine[] = [{ kind: 'box', side: 'left' }, paces(3), { kind: 'turn' }];
    expect(written(counted([paces(30), ...begun]))).toEqual(['231 30p']);
    expect(written(counted([...begun, paces(12)]))).toEqual(['231 12p']);
  });

  it('by the clock is minutes at a speed, without the pauses', () => {
    const walked = counted([
      { kind: 'clock', runs: true },
      paces(1),
      { kind: 'clock', runs: true },
      { kind: 'seen', what: 'rock', thing: 'rock' },
      { kind: 'clock', runs: false },
      { kind: 'clock', runs: false },
      { kind: 'clock', runs: true },
    ]);
    // Four minutes until the pause, and half a minute since minute six.
    const now = BEGAN + 6.5 * 60_000;
    expect(metresSoFar(solution, walked, MINUTES, now)).toBeCloseTo(300, 9);
    const line = lineOf(solution, walked, MINUTES, { ...words, station: '', note: '' }, now);
    expect(line).toBe('231 4.5min@4kmh');
    const entries = entriesOf(solution, walked, MINUTES, line);
    expect(entries.ok && entries.value[1]).toMatchObject({ kind: 'at', metres: 200 });
    expect(contextAtEnd(solution)).toBeDefined();
    expect(usualSpeed(solution)).toBe(5);
  });

  it('ended is taken back whole; the bearing is kept for the next', () => {
    const leg: CountLine = { kind: 'leg', bearing: '231', ground: 'rough' };
    const ended = counted([leg, paces(45), { kind: 'end' }]);
    expect(ended).toMatchObject({ paces: 0, bearing: '231', isKept: true, ground: 'rough' });
    const again = counted([{ kind: 'resume' }, paces(1)], ended);
    expect(again).toMatchObject({ paces: 46, bearing: '231', isKept: false });
    // Not after the next count has begun.
    expect(counted([paces(2), { kind: 'resume' }], ended).paces).toBe(2);
  });
});

describe('how far a count has come', () => {
  const { solution } = solvedLog('pace 50 per 100 m');
  const metres = (count: Count) => metresOf(solution, count, undefined);

  it('is reported once near the target, and at it, and at the hundreds on the way', () => {
    const target: CountLine = { kind: 'target', metres: 200, name: 'Dock' };
    const heard: [number, string][] = [];
    let count = counted([target]);
    for (let pace = 1; pace <= 102; pace++) {
      const before = progressOf(solution, count, metres(count));
      count = counted([paces(1)], count);
      const signal = signalBetween(before, progressOf(solution, count, metres(count)));
      if (signal !== 'tap') heard.push([pace, String(signal)]);
    }
    expect(heard).toEqual([
      [50, 'hundred'],
      [90, 'nearly'],
      [100, 'there'],
    ]);
    expect(goalsOf(solution, count, metres(count))).toEqual([
      { name: 'Dock', metres: 200, leftMetres: -4 },
    ]);
    // An undo tells nothing.
    const now = progressOf(solution, count, metres(count));
    const undone = counted([{ kind: 'undo' }], count);
    expect(signalBetween(now, progressOf(solution, undone, metres(undone)))).toBeNull();
    expect(undone.target).toEqual({ metres: 200, name: 'Dock' });
  });

  it('is counted from mark to mark', () => {
    const count = counted([paces(30), { kind: 'mark', aheadMetres: 50 }, paces(20)]);
    expect(sinceMark(solution, count)).toBe(40);
    expect(goalsOf(solution, count, 100)).toEqual([{ name: null, metres: 50, leftMetres: 10 }]);
    expect(sinceMark(solution, counted([paces(3)]))).toBeNull();
    expect(counted([{ kind: 'undo' }], count).paces).toBe(30);
  });

  it('says on the way back of a box when the line is reached', () => {
    const before = counted([
      { kind: 'box', side: 'left' },
      paces(2),
      { kind: 'turn' },
      paces(9),
      { kind: 'turn' },
      paces(1),
    ]);
    const after = counted([paces(1)], before);
    const [one, other] = [before, after].map((count) => progressOf(solution, count, 18));
    expect(signalBetween(one!, other!)).toBe('there');
  });
});
