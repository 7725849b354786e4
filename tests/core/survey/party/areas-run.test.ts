import { describe, expect, it, vi } from 'vitest';
import { blankArea } from '@/core/model/area';
import { readLines } from '@/core/log-text/read-log';

const outing = (id: string, log: string) => {
  const read = readLines(log, id);
  return read.ok ? read.value.outing : expect.fail(JSON.stringify(read.fault));
};
/** Pinned by what it sees alone: its start has no position of its own. */
const PINNED = outing(
  'a',
  'declination 19 W\nstart Dock\nknown Mast at 54.22 -63.5\nknown Hut at 54.21 -63.47\n' +
    'known Notch at 54.19 -63.48\nsee 019 ; Mast\nsee 079 ; Hut\nsee 149 ; Notch\n' +
    '000 300m > Birch\n090 200m > Fen\n170 300m > Rock',
);
const OTHER = outing('b', 'declination 19 W\nstart Birch\n100 180m > Fen\n190 320m > Rock');

describe('an area that is adjusted in a worker', () => {
  it('is solved on the same network as on the page (it lost known places: 95 m)', async () => {
    const area = {
      ...blankArea('area', 'Area', ['a', 'b']),
      known: [{ outing: 'b', station: 'Rock', position: { latitude: 54.2, longitude: -63.49 } }],
      same: ['Birch', 'Fen', 'Rock'].map((station) => ({
        stations: ['a', 'b'].map((each) => ({ outing: each, station })),
      })),
    };
    // The worker has what its own modules load, and nothing that a page or a test has loaded.
    vi.resetModules();
    const worker = await import('@/workers/area/areas-run');
    const parts = worker.runArea({ area, outings: [PINNED, OTHER] }, () => undefined);
    vi.resetModules();
    const { surveyTools } = await import('@/core/survey/adjusted/survey-tools');
    const { solve } = await import('@/core/survey/solve');
    const { areaParts } = await import('@/core/navigation/area-answer');
    const { earthModels } = await import('@/core/north/loaded-earth-models');
    const solutions = new Map(
      [PINNED, OTHER].flatMap((each) => {
        const solved = solve(each, earthModels, { tools: surveyTools });
        return solved.ok ? [[each.id, solved.value] as const] : [];
      }),
    );
    expect(solutions.get('a')!.places.frame.origin).not.toBeNull();
    const page = areaParts(area, solutions);
    expect(page.adjusted!.network.lines.length).toBe(6);
    expect(parts.adjusted!.network).toEqual(page.adjusted!.network);
    expect([...parts.adjusted!.places]).toEqual([...page.adjusted!.places]);
  });
});
