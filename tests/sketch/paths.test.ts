import { describe, expect, it } from 'vitest';
import { USUAL_FIGURES } from '@/core/units/figures';
import { boundsOf } from '@/core/units/plane';
import { lineNear } from '@/sketch/hit';
import { layerPoints, NO_LAYER, viewOfLayers, type Layer } from '@/sketch/layer';
import { homeLayer } from '@/sketch/layers/home';
import { walkedLayer } from '@/sketch/layers/walked';
import {
  dotsPath,
  ellipsePath,
  leastEllipse,
  linePaths,
  onPlaneOfMetres,
  placedMarks,
} from '@/sketch/paths';
import { onScreen, scaleBarMetres } from '@/sketch/view';
import { solvedLog } from '../support/outings';

const walked = (text: string) => walkedLayer(solvedLog(text).solution, USUAL_FIGURES);
const paths = (layer: Layer) =>
  Object.fromEntries(linePaths(layer).map(({ kind, d }) => [kind, d]));

describe('the paths of a layer', () => {
  it('show side trips apart from the way to where the traveller is', () => {
    expect(paths(walked('000 100m > A\n090 50m\n180 50m\nfrom A\n000 70m'))).toEqual({
      leg: 'M0.00 0.00L0.00 -100.00L0.00 -170.00',
      'side-trip': 'M0.00 -100.00L50.00 -100.00L50.00 -50.00',
    });
  });

  it('show a leg that came back to a station where it ended', () => {
    expect(paths(walked('000 100m > A\n090 50m\n270 40m > A'))).toEqual({
      leg: 'M0.00 0.00L0.00 -100.00M50.00 -100.00L10.00 -100.00',
      'side-trip': 'M0.00 -100.00L50.00 -100.00',
    });
  });

  it('have a line for each sighting, and a dot for each station but the start', () => {
    const layer = walked('see 045 ; hill\n090 100m');
    expect(paths(layer).sight).toMatch(/^M0\.00 -?0\.00L[\d.]+ -[\d.]+$/);
    expect(dotsPath(layer)).toBe('M100.00 0.00h0');
  });

  it('are drawn in the order of their kinds, the way home over the log', () => {
    const kinds = ['home', 'leg', 'contour'] as const;
    const points = [
      { east: 0, north: 0 },
      { east: 1, north: 0 },
    ];
    const layer = { ...NO_LAYER, lines: kinds.map((kind) => ({ kind, points })) };
    expect(linePaths(layer).map(({ kind }) => kind)).toEqual(['contour', 'leg', 'home']);
  });

  it('break where a picture has no place for a point, and go on after it', () => {
    const points = [0, 1, 2, 3, 4].map((east) => ({ east, north: 0 }));
    const layer: Layer = { ...NO_LAYER, lines: [{ kind: 'leg', points }], dots: points };
    const place = ({ east }: { east: number }) => (east === 2 ? null : { x: 10 * east, y: 7 });
    expect(linePaths(layer, place)[0]?.d).toBe('M0.00 7.00L10.00 7.00M30.00 7.00L40.00 7.00');
    expect(dotsPath(layer, place).split('M')).toHaveLength(5);
    const marks = points.map((point, index) => ({
      key: `${index}`,
      kind: 'point' as const,
      text: 'A',
      ...point,
    }));
    const placed = placedMarks({ ...layer, marks }, place);
    expect(placed.marks).toHaveLength(4);
    expect(placed.marks[1]).toMatchObject({ east: 10, north: -7 });
  });
});

/** The corners of a path, in metres. */
const cornersOf = (d: string) =>
  [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), -Number(y)] as const);

describe('the ellipse of a layer', () => {
  const ellipse = { semiMajorMetres: 50, semiMinorMetres: 20, azimuthDegrees: 30 };
  const at = { kind: 'place' as const, east: 100, north: 200, ellipse };

  it('has each corner on the curve, its long axis on its azimuth', () => {
    const [sin, cos] = [Math.sin(Math.PI / 6), Math.cos(Math.PI / 6)];
    const corners = cornersOf(ellipsePath(at));
    expect(corners.length).toBeGreaterThan(60);
    for (const [east, north] of corners) {
      const [x, y] = [east - 100, north - 200];
      const [long, across] = [x * sin + y * cos, x * cos - y * sin];
      expect((long / 50) ** 2 + (across / 20) ** 2).toBeCloseTo(1, 2);
    }
    expect(corners[0]![0]).toBeCloseTo(100 + 50 * sin, 1);
  });

  it('is never too small to be seen', () => {
    const corners = cornersOf(ellipsePath(at, undefined, 80));
    for (const [east, north] of corners) {
      expect(Math.hypot(east - 100, north - 200)).toBeCloseTo(80, 1);
    }
  });
});

describe('the least ellipse', () => {
  it.each([0.05, 0.5, 3, 40])('is three to six pixels at %s pixels a metre', (k) => {
    const pixels = k * leastEllipse({ k, x: 0, y: 0, turn: 0 }, onPlaneOfMetres);
    expect(pixels).toBeGreaterThanOrEqual(3);
    expect(pixels).toBeLessThan(6);
  });

  it('is none on a picture: its pixels are no metres, and it would say less than is known', () => {
    const place = ({ east, north }: { east: number; north: number }) => ({ x: 5 * east, y: north });
    expect(leastEllipse({ k: 0.2, x: 0, y: 0, turn: 0 }, place)).toBe(0);
  });
});

describe('the way home as a layer', () => {
  const { solution } = solvedLog('declination 19 W\nstart Dock at 54.2 -63.5\n090 100m');

  it('is one line to the start, with how sure its end is, and one’s place on the map', () => {
    const { lines, ellipses } = homeLayer(solution);
    expect(lines.map(({ points }) => points)).toEqual([
      [solution.places.at(1), solution.places.at(0)],
    ]);
    expect(ellipses.map(({ kind }) => kind)).toEqual(['home', 'on-map']);
    expect(ellipses[0]).toMatchObject(solution.places.at(0));
    expect(homeLayer(solution, { from: 0, to: 1 }).ellipses.map(({ kind }) => kind)).toEqual([
      'home',
    ]);
    expect(homeLayer(solution, { from: 1, to: 1 })).toBe(NO_LAYER);
  });
});

describe('the view', () => {
  const size = { width: 800, height: 600 };
  const layer = walked('090 100m\n000 400m\n270 300m');
  const view = viewOfLayers([layer], size);

  it('shows the whole layer, north up', () => {
    const { west, east, south, north } = boundsOf(layerPoints(layer));
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
    expect(lineNear([layer], view, middle, 20)).toBe(2);
    expect(lineNear([layer], view, { x: middle.x + 10, y: middle.y }, 20)).toBe(2);
    expect(lineNear([layer], view, { x: middle.x + 30, y: middle.y }, 20)).toBeNull();
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
