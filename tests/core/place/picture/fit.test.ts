import { describe, expect, it } from 'vitest';
import { fitPicture, kindFor, type ControlPoint, type FitKind } from '@/core/place/picture/fit';
import { suspectPoint } from '@/core/place/picture/suspect';
import { metresPerPixel, toPixel, toPlane } from '@/core/place/picture/transform';
import { lengthOf } from '@/core/units/plane';
import { photograph, seeded, spread } from '../../../support/route/photographs';

/** Control points of a photograph, each off by so many metres (one sigma) in both axes. */
const controls = (count: number, seed: number, sigma = 0, slant = 1): ControlPoint[] => {
  const random = seeded(seed);
  const camera = photograph(seed, slant);
  return spread(count, random).map((plane) => ({
    pixel: camera(plane),
    plane: {
      east: plane.east + sigma * random.normal(),
      north: plane.north + sigma * random.normal(),
    },
  }));
};

describe('a picture is tied', () => {
  it('exactly, by four points, whatever the slant', () => {
    let worst = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const fit = fitPicture(controls(4, seed));
      if (!fit.ok) throw new Error(`${seed}: ${fit.fault.code}`);
      expect(fit.value.kind).toBe('projective');
      expect(fit.value.sigmaMetres).toBeNull();
      const camera = photograph(seed, 1);
      for (const plane of spread(25, seeded(1000 + seed))) {
        const at = toPlane(fit.value.toPlane, camera(plane));
        worst = Math.max(worst, Math.hypot(at.east - plane.east, at.north - plane.north));
        const back = toPixel(fit.value.toPicture, plane);
        const wanted = camera(plane);
        worst = Math.max(worst, Math.hypot(back.x - wanted.x, back.y - wanted.y));
      }
    }
    // Metres and pixels alike, on sheets of some kilometres.
    expect(worst).toBeLessThan(1e-4);
  });

  it('exactly, by three points from straight above, and by two', () => {
    for (const [count, kind] of [
      [2, 'similarity'],
      [3, 'affine'],
    ] as const) {
      const fit = fitPicture(controls(count, 7, 0, 0));
      expect(fit.ok && fit.value.kind).toBe(kind);
      expect(fit.ok && fit.value.rmsMetres).toBeLessThan(1e-6);
      const camera = photograph(7, 0);
      const plane = { east: 466_800, north: 6_006_300 };
      const at = fit.ok ? toPlane(fit.value.toPlane, camera(plane)) : plane;
      expect(Math.hypot(at.east - plane.east, at.north - plane.north)).toBeLessThan(1e-4);
    }
  });

  it('as well as its points are read: the stated sigma is that of the noise', () => {
    const noise = 4;
    let [squares, counted, rms] = [0, 0, 0];
    for (let seed = 1; seed <= 400; seed++) {
      const fit = fitPicture(controls(9, seed, noise));
      if (!fit.ok) throw new Error(fit.fault.code);
      squares += fit.value.sigmaMetres! ** 2;
      rms += fit.value.rmsMetres ** 2;
      counted++;
    }
    expect(Math.sqrt(squares / counted)).toBeGreaterThan(0.96 * noise);
    expect(Math.sqrt(squares / counted)).toBeLessThan(1.04 * noise);
    // 18 coordinates, 8 parameters: Σr² is 10 σ², over nine points.
    expect(Math.sqrt(rms / counted)).toBeCloseTo(noise * Math.sqrt(10 / 9), 0);
  });

  it('by the least squares on the ground: no other map near it is better', () => {
    const points = controls(7, 3, 5);
    const fit = fitPicture(points);
    if (!fit.ok) throw new Error(fit.fault.code);
    const sumOf = (map: typeof fit.value.toPlane) =>
      points.reduce((sum, { pixel, plane }) => {
        const at = toPlane(map, pixel);
        return sum + (at.east - plane.east) ** 2 + (at.north - plane.north) ** 2;
      }, 0);
    const best = sumOf(fit.value.toPlane);
    let tried = 0;
    for (const [row, cells] of fit.value.toPlane.entries()) {
      for (const column of cells.keys()) {
        for (const by of [1 + 1e-6, 1 - 1e-6]) {
          const map = fit.value.toPlane.map((each, r) =>
            each.map((cell, c) => (r === row && c === column ? cell * by : cell)),
          ) as unknown as typeof fit.value.toPlane;
          expect(sumOf(map)).toBeGreaterThanOrEqual(best * (1 - 1e-9));
          tried++;
        }
      }
    }
    expect(tried).toBe(18);
  });

  it('with metres a pixel that a step of a pixel bears out', () => {
    const fit = fitPicture(controls(6, 11));
    if (!fit.ok) throw new Error(fit.fault.code);
    const { toPlane: map } = fit.value;
    const pixel = { x: 900, y: 700 };
    const [a, b, c] = [pixel, { x: 901, y: 700 }, { x: 900, y: 701 }].map((p) => toPlane(map, p));
    const across =
      (b!.east - a!.east) * (c!.north - a!.north) - (b!.north - a!.north) * (c!.east - a!.east);
    expect(metresPerPixel(map, pixel)).toBeCloseTo(Math.sqrt(Math.abs(across)), 3);
  });
});

describe('points that don’t tie', () => {
  const line = (count: number): ControlPoint[] =>
    Array.from({ length: count }, (_, i) => ({
      pixel: { x: 100 * i, y: 50 * i },
      plane: { east: 200 * i, north: -100 * i },
    }));

  it.each([
    ['one point', line(1), undefined, 'too-few'],
    ['points on a line', line(4), undefined, 'in-line'],
    ['three on a line', line(3), undefined, 'in-line'],
    ['two at one place', [line(2)[0]!, line(2)[0]!], undefined, 'in-line'],
    ['fewer than asked for', line(3), 'projective', 'too-few'],
  ] as const)('%s', (_name, points, kind: FitKind | undefined, code) => {
    const fit = fitPicture(points, kind);
    expect(fit.ok ? null : fit.fault.code).toBe(code);
  });

  it('such as east and north swapped are reported as a mirrored picture', () => {
    const swapped = controls(5, 4).map(({ pixel, plane }) => ({
      pixel,
      plane: { east: plane.north, north: plane.east },
    }));
    const fit = fitPicture(swapped);
    expect(fit.ok ? null : fit.fault.code).toBe('mirrored');
  });

  it('such as two mistaken for each other fold the picture', () => {
    const points = controls(4, 9);
    const [a, b] = [points[0]!, points[1]!];
    const folded = [{ ...a, plane: b.plane }, { ...b, plane: a.plane }, points[2]!, points[3]!];
    const fit = fitPicture(folded);
    expect(fit.ok ? 'tied' : fit.fault.code).toMatch(/folded|mirrored/);
  });

  it('take the kind that their number tells', () => {
    expect([2, 3, 4, 9].map(kindFor)).toEqual(['similarity', 'affine', 'projective', 'projective']);
  });
});

describe('one wrong point', () => {
  // A grid line mistaken for its neighbour: 500 m off, among points that are read to some metres.
  it.each([[6], [7], [9]])('is found among %i', (count) => {
    let [found, right] = [0, 0];
    for (let seed = 1; seed <= 200; seed++) {
      const points = controls(count, seed, 2);
      const wrong = seed % count;
      const { plane, pixel } = points[wrong]!;
      points[wrong] = { pixel, plane: { ...plane, east: plane.east + 500 } };
      const suspect = suspectPoint(points);
      if (suspect) found++;
      if (suspect?.index === wrong) right++;
      if (suspect?.index === wrong) expect(Math.abs(suspect.metres - 500)).toBeLessThan(250);
    }
    expect(found).toBeGreaterThanOrEqual(190);
    expect(right).toBeGreaterThanOrEqual(190);
  });

  it('is not made up where all are right', () => {
    let told = 0;
    for (let seed = 1; seed <= 300; seed++) {
      if (suspectPoint(controls(6 + (seed % 4), seed, 2))) told++;
    }
    expect(told).toBeLessThanOrEqual(6);
  });

  it('can’t be reported from five points or fewer: the slant would be taken for an error', () => {
    for (let seed = 1; seed <= 100; seed++) {
      for (const count of [3, 4, 5]) {
        const points = controls(count, seed, 2);
        const { plane, pixel } = points[0]!;
        points[0] = { pixel, plane: { ...plane, east: plane.east + 500 } };
        expect(suspectPoint(points)).toBeNull();
      }
    }
  });

  it('lengths of residuals are those of the fit', () => {
    const fit = fitPicture(controls(8, 2, 3));
    if (!fit.ok) throw new Error(fit.fault.code);
    const squares = fit.value.residuals.reduce((sum, each) => sum + lengthOf(each) ** 2, 0);
    expect(fit.value.rmsMetres).toBeCloseTo(Math.sqrt(squares / 8), 9);
  });
});
