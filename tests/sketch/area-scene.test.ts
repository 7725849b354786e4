import { describe, expect, it } from 'vitest';
import { joinOutings } from '@/core/survey/party/party';
import { survey } from '@/core/survey/party/survey';
import { stationsOfOneName } from '@/core/survey/party/stations';
import { areaScene } from '@/sketch/area-scene';
import { solvedLog } from '../support/outings';

const of = (...logs: string[]) => {
  const members = logs.map((log) => ({ solution: solvedLog(log).solution, by: '' }));
  const same = stationsOfOneName(members.map(({ solution }) => solution));
  const party = joinOutings(members, same);
  return party.ok ? survey(party.value, 'least-squares') : expect.fail(party.fault.code);
};

describe('the names on the map of an area', () => {
  const found = of(
    'start Dock\n000 100m > Birch\n090 50m > Fen',
    'start Dock\n090 100m > Pool\n180 50m > Rock',
  );
  const names = (...hidden: number[]) =>
    areaScene(found, new Set(hidden))
      .outings.flatMap(({ marks }) => marks.map(({ text }) => text))
      .sort();

  it('are those of the places that an outing which is shown comes to, each once', () => {
    expect(names()).toEqual(['Birch', 'Dock', 'Fen', 'Pool', 'Rock']);
    // Hiding the first outing took all names away, and hiding another left its names.
    expect(names(0)).toEqual(['Dock', 'Pool', 'Rock']);
    expect(names(1)).toEqual(['Birch', 'Dock', 'Fen']);
    expect(names(0, 1)).toEqual([]);
  });
});
