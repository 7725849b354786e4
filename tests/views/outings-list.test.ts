import { describe, expect, it } from 'vitest';
import { blankOuting } from '@/core/model/outing';
import type { StoredOuting } from '@/store/outings';
import { listed } from '@/views/outings/list-choices';
import { leg } from '../support/outings';

const stored = (name: string, day: string, by: string, legs: number): StoredOuting => ({
  state: {
    document: {
      ...blankOuting(name, name),
      date: { day },
      by,
      entries: Array.from({ length: legs }, () => leg(0, 10)),
    },
    number: 0,
    changedAt: '',
    discarded: false,
    undoable: [],
    redoable: [],
    edits: new Map(),
  },
  damaged: false,
});
const ALL = [
  stored('Rain gauges 10', '2026-08-14', 'Anna', 3),
  stored('Rain gauges 9', '2026-08-16', 'Bo', 9),
  stored('Lichen plots', '2026-08-15', 'Anna', 5),
];
const names = (sought: string, order: Parameters<typeof listed>[2]) =>
  listed(ALL, sought, order).map(({ state }) => state.document.name);

describe('the list of outings', () => {
  it('finds them by all words, in the name, the person and the day', () => {
    expect(names('gauges rain', 'changed')).toEqual(['Rain gauges 10', 'Rain gauges 9']);
    expect(names('ANNA', 'changed')).toEqual(['Rain gauges 10', 'Lichen plots']);
    expect(names('2026-08-16', 'changed')).toEqual(['Rain gauges 9']);
    expect(names('anna 9', 'changed')).toEqual([]);
  });

  it('is sorted: numbers in names as numbers, the newest day and the longest first', () => {
    expect(names('', 'name')).toEqual(['Lichen plots', 'Rain gauges 9', 'Rain gauges 10']);
    expect(names('', 'day')).toEqual(['Rain gauges 9', 'Lichen plots', 'Rain gauges 10']);
    expect(names('', 'legs')).toEqual(['Rain gauges 9', 'Lichen plots', 'Rain gauges 10']);
    expect(names('', 'changed')[0]).toBe('Rain gauges 10');
  });
});
