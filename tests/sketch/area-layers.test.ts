import { describe, expect, it } from 'vitest';
import { joinOutings } from '@/core/survey/party/party';
import { survey } from '@/core/survey/party/survey';
import { stationsOfOneName } from '@/core/survey/party/stations';
import { areaLayers, dashesOf, sureLayer, wayLayer } from '@/sketch/layers/area';
import { layerPoints } from '@/sketch/layer';
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
    areaLayers(found, new Set(hidden))
      .flatMap(({ marks }) => marks.filter(({ kind }) => kind !== 'number'))
      .map(({ text }) => text)
      .sort();

  it('are those of the places that an outing which is shown comes to, each once', () => {
    expect(names()).toEqual(['Birch', 'Dock', 'Fen', 'Pool', 'Rock']);
    // Hiding the first outing took all names away, and hiding another left its names.
    expect(names(0)).toEqual(['Dock', 'Pool', 'Rock']);
    expect(names(1)).toEqual(['Birch', 'Dock', 'Fen']);
    expect(names(0, 1)).toEqual([]);
  });
});

describe('the layers of an area', () => {
  const found = of('start Dock\n000 100m > Birch\n090 50m > Fen', 'start Dock\n090 100m > Pool');

  it('have the legs of each outing in its dashes, and its number on the longest', () => {
    const [one, two] = areaLayers(found, new Set());
    expect([one?.dash, two?.dash]).toEqual([dashesOf(0), dashesOf(1)]);
    expect(one?.lines).toHaveLength(2);
    const number = one?.marks.find(({ kind }) => kind === 'number');
    expect(number?.text).toBe('1');
    // The middle of the 100 m to Birch.
    expect(number?.east).toBeCloseTo(0, 6);
    expect(number?.north).toBeCloseTo(50, 6);
    expect(layerPoints(areaLayers(found, new Set([0]))[0]!)).toEqual([]);
  });

  it('show how sure each place is, and the way between two of them', () => {
    const { places } = found;
    const sure = sureLayer(found, new Set()).ellipses;
    expect(sure).toHaveLength(places.stations().length);
    const [origin, far] = [sure[0]!, sure.at(-1)!];
    expect(origin.ellipse.semiMajorMetres).toBe(0);
    expect(far.ellipse.semiMajorMetres).toBeGreaterThan(1);
    const way = wayLayer(found, [0, 2]);
    expect(way.lines[0]?.points).toEqual([places.at(0), places.at(2)]);
    expect(way.marks).toHaveLength(2);
    expect(wayLayer(found, [null, 2]).lines).toEqual([]);
  });
});
