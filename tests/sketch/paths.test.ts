import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { legNear, legPaths, sightingsPath, stationsPath } from '@/sketch/paths';
import { sceneBounds, sceneOf } from '@/sketch/scene';
import { fitView, onScreen, scaleBarMetres } from '@/sketch/view';
import { solvedLog } from '../support/outings';

const sceneOfLog = (text: string) => sceneOf(solvedLog(text).solution, USUAL_FIGURES);

describe('the paths of a sketch', () => {
  it('show side trips apart from the way to where the traveller is', () => {
    const scene = sceneOfLog('000 100m > A\n090 50m\n180 50m\nfrom A\n000 70m');
    expect(legPaths(scene)).toEqual({
      way: 'M0.00 0.00L0.00 -100.00L0.00 -170.00',
      sideTrips: 'M0.00 -100.00L50.00 -100.00L50.00 -50.00',
    });
  });

  it('show a leg that came back to a station where it ended', () => {
    const { way, sideTrips } = legPaths(sceneOfLog('000 100m > A\n090 50m\n270 40m > A'));
    expect(way).toBe('M0.00 0.00L0.00 -100.00M50.00 -100.00L10.00 -100.00');
    expect(sideTrips).toBe('M0.00 -100.00L50.00 -100.00');
  });

  it('have a line for each sighting, and a dot for each station but the start', () => {
    const scene = sceneOfLog('see 045 ; hill\n090 100m');
    expect(sightingsPath(scene)).toMatch(/^M0\.00 -?0\.00L[\d.]+ -[\d.]+$/);
    expect(stationsPath(scene)).toBe('M100.00 0.00h0');
  });
});

describe('a scene of several outings', () => {
  it('has the legs of each, and bounds that hold them all', () => {
    const [one, two] = [solvedLog('090 100m'), solvedLog('180 200m')];
    const scene = {
      outings: [one, two].flatMap(({ solution }) => sceneOf(solution, USUAL_FIGURES).outings),
    };
    expect(scene.outings).toHaveLength(2);
    expect(sceneBounds(scene)).toMatchObject({ west: 0, east: 100, north: 0 });
    expect(sceneBounds(scene).south).toBeCloseTo(-200, 9);
    expect(legPaths(scene).way.split('M')).toHaveLength(3);
  });
});

describe('the view', () => {
  const size = { width: 800, height: 600 };
  const scene = sceneOfLog('090 100m\n000 400m\n270 300m');
  const view = fitView(scene, size, null);

  it('shows the whole scene, north up', () => {
    const { west, east, south, north } = sceneBounds(scene);
    const [top, bottom] = [
      onScreen(view, { east: west, north }),
      onScreen(view, { east, north: south }),
    ];
    expect(top.x >= 0 && top.y >= 0).toBe(true);
    expect(bottom.x <= size.width && bottom.y <= size.height).toBe(true);
    expect(top.y).toBeLessThan(bottom.y);
  });

  it('finds the leg near a finger, and none out of its reach', () => {
    const middle = onScreen(view, { east: 100, north: 200 });
    expect(legNear(scene, view, middle, 20)).toBe(2);
    expect(legNear(scene, view, { x: middle.x + 10, y: middle.y }, 20)).toBe(2);
    expect(legNear(scene, view, { x: middle.x + 30, y: middle.y }, 20)).toBe(0);
  });

  it.each([
    [1, 160, 100],
    [0.1, 160, 1000],
    [3, 160, 50],
    [0.4, 99, 200],
  ])('at %d pixels a metre a bar of at most %d pixels is %d m', (k, most, metres) => {
    expect(scaleBarMetres(k, most)).toBe(metres);
  });
});
