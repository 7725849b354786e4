import { describe, expect, it } from 'vitest';
import { fixHere } from '@/core/navigation/fix/fix-here';
import { planePointOf } from '@/core/place/geodesic';
import { azimuthOf, lengthOf, ORIGIN, vectorBetween } from '@/core/units/plane';
import { lineNear } from '@/sketch/hit';
import { around, layerPoints, namedIn, viewOfPoints } from '@/sketch/layer';
import { fixLayer, fixPoints } from '@/sketch/layers/fix';
import { planLayer } from '@/sketch/layers/plan';
import { onScreen } from '@/sketch/view';
import { planned, ROUTE_TEXT } from '../support/route/demo-route';
import { solvedLog } from '../support/outings';

const SIZE = { width: 500, height: 400 };

describe('the layer of a plan', () => {
  const plan = planned(ROUTE_TEXT);
  const { positions, legs } = plan;
  const layer = planLayer(plan, { track: positions.slice(0, 2), here: positions[1]! });

  it('has its points in metres about the first one, and is shown whole', () => {
    const points = layer.marks.filter(({ kind }) => kind !== 'here');
    expect(points.map(({ kind }) => kind)).toEqual(['point', 'point', 'attack', 'point']);
    for (const [number, { east, north }] of points.entries()) {
      expect({ east, north }).toEqual(planePointOf(positions[0]!, positions[number]!));
    }
    const view = viewOfPoints(layerPoints(layer), SIZE);
    for (const point of layerPoints(layer)) {
      const { x, y } = onScreen(view, point);
      expect(x).toBeGreaterThan(40);
      expect(x).toBeLessThan(460);
      expect(y).toBeGreaterThan(40);
      expect(y).toBeLessThan(360);
    }
  });

  it('has each leg by its number, its ellipse at its end, and what was walked', () => {
    const drawn = layer.lines.filter(({ kind }) => kind === 'route');
    expect(drawn.map(({ number }) => number)).toEqual([1, 2, 3]);
    for (const [index, { points }] of drawn.entries()) {
      const { metres, ellipse } = legs[index]!;
      expect(lengthOf(vectorBetween(points[0]!, points[1]!))).toBeCloseTo(metres, 0);
      expect(layer.ellipses[index]).toMatchObject({ ...points[1], ellipse });
    }
    expect(layer.lines.filter(({ kind }) => kind === 'walked')).toHaveLength(1);
    const { east, north } = layer.marks[1]!;
    expect(layer.marks.at(-1)).toMatchObject({ kind: 'here', text: '', east, north });
  });

  it('says a name once where the route ends where it began', () => {
    const round = planLayer(planned(`${ROUTE_TEXT}point Dock at 54.2 -63.5\n`), null);
    expect(round.marks.map(({ text }) => text !== '')).toEqual([true, true, true, true, false]);
    expect(layerPoints(planLayer(planned('declination none\n'), null))).toEqual([]);
  });

  it('finds the leg at a finger, and none far from all', () => {
    const view = viewOfPoints(layerPoints(layer), SIZE);
    for (const { number, points } of layer.lines.filter(({ kind }) => kind === 'route')) {
      const [from, to] = points.map((point) => onScreen(view, point));
      const middle = { x: (from!.x + to!.x) / 2 + 3, y: (from!.y + to!.y) / 2 };
      expect(lineNear([layer], view, middle, 22)).toBe(number);
    }
    expect(lineNear([layer], view, { x: -200, y: -200 }, 22)).toBeNull();
  });
});

describe('the layer of a fix', () => {
  const { solution } = solvedLog('declination 19 W\nstart Dock at 54.2 -63.5\n090 10m');
  const known = (name: string, latitude: number, longitude: number) => ({
    id: name,
    name,
    positions: [{ latitude, longitude }],
  });
  const places = [known('Mast', 54.22, -63.5), known('Notch', 54.2, -63.46)];
  const sight = (place: string, bearing: string) => ({ place, bearing, back: false, distance: '' });
  const sights = [sight('Mast', '000T'), sight('Notch', '090T')];
  const draft = { sights, line: null, solveCompass: false, withLog: false, declination: '' };
  const here = fixHere(solution, draft, places);

  it('has lines from the marks through the place, and names on them in a close-up', () => {
    const { found } = here;
    if (!found) return expect.fail(JSON.stringify(here));
    const layer = fixLayer(found, false);
    expect(layer.ellipses).toEqual([{ kind: 'place', ...ORIGIN, ellipse: found.fix.ellipse }]);
    const marks = layer.marks.filter(({ kind }) => kind === 'known');
    expect(marks.map(({ text }) => text)).toEqual(['Mast', 'Notch']);
    const sights = layer.lines.filter(({ kind }) => kind === 'sight');
    for (const [index, { points }] of sights.entries()) {
      // A line of sight begins at its mark, and leads beyond the traveller.
      expect(points[0]).toMatchObject({ east: marks[index]!.east, north: marks[index]!.north });
      expect(lengthOf(vectorBetween(points[0]!, points[1]!))).toBeGreaterThan(lengthOf(points[0]!));
    }
    const close = fixLayer(found, true);
    const shown = viewOfPoints(fixPoints(found, true), SIZE);
    for (const { kind, ...point } of close.marks.filter(({ kind }) => kind === 'station')) {
      const { x, y } = onScreen(shown, point);
      expect([x > 0, x < SIZE.width, y > 0, y < SIZE.height]).toEqual([true, true, true, true]);
      const whole = marks.find(({ text }) => text === point.text)!;
      expect(Math.abs(azimuthOf(point) - azimuthOf(whole)) % 360).toBeLessThan(20);
      expect(kind).toBe('station');
    }
    expect(viewOfPoints(fixPoints(found, false), SIZE).k).toBeLessThan(shown.k);
  });

  it('names what its lines would rather not cover', () => {
    const { found } = here;
    const named = namedIn(fixLayer(found!, false));
    expect(named.stretches).toHaveLength(2);
    expect(around(ORIGIN, 10).map(({ east }) => Math.round(east))).toEqual([10, 10, -10, -10]);
  });
});
