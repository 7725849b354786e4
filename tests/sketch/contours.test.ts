import { describe, expect, it } from 'vitest';
import type { HeightField } from '@/core/terrain/height-field';
import { contourLayer } from '@/sketch/layers/contours';

/** A field of 60 by 50 posts, 20 m apart, whose heights a function of the place gives. */
function fieldOf(height: (east: number, north: number) => number): HeightField {
  const [columns, rows, cellMetres] = [60, 50, 20];
  const [west, south] = [-300, -200];
  const metres = Float32Array.from({ length: columns * rows }, (_, post) =>
    height(west + cellMetres * (post % columns), south + cellMetres * Math.floor(post / columns)),
  );
  return { west, south, cellMetres, columns, rows, metres };
}

const METRES = { metresPerPixel: 2, unitMetres: 1 };
const east = 0.21;
const rise = (e: number, n: number) => 100 + east * e + 0.1 * n;

describe('contours', () => {
  const { lines } = contourLayer(fieldOf(rise), METRES);

  it('lie where an even slope has their heights', () => {
    // A slope of 0.233 at 2 m a pixel: 5 m of height are 21 m of ground, or 11 pixels.
    const heights = new Set<number>();
    for (const { points } of lines) {
      const height = Math.round(rise(points[0]!.east, points[0]!.north) / 5) * 5;
      heights.add(height);
      for (const at of points) expect(rise(at.east, at.north)).toBeCloseTo(height, 2);
    }
    const [low, high] = [Math.min(...heights), Math.max(...heights)];
    expect(heights.size).toBe((high - low) / 5 + 1);
    expect(low).toBeLessThan(rise(-300, -200) + 10);
    expect(high).toBeGreaterThan(rise(880, 780) - 10);
  });

  it('have every fifth one strong, with its height', () => {
    const strong = lines.filter(({ kind }) => kind === 'index-contour');
    expect(strong.length).toBeGreaterThan(5);
    for (const { heightMetres, points } of strong) {
      expect(heightMetres! % 25).toBe(0);
      expect(rise(points[0]!.east, points[0]!.north)).toBeCloseTo(heightMetres!, 2);
    }
    const others = lines.filter(({ kind }) => kind === 'contour');
    for (const { points } of others) {
      expect(Math.round(rise(points[0]!.east, points[0]!.north)) % 25).not.toBe(0);
    }
  });

  it.each([
    [0.5, 1],
    [1, 2],
    [4, 10],
    [20, 50],
  ])('at %s m a pixel are %s m apart: never nearer than seven pixels', (metresPerPixel, step) => {
    const { lines: drawn } = contourLayer(fieldOf(rise), { metresPerPixel, unitMetres: 1 });
    const heights = drawn.map(({ points: [at] }) => Math.round(rise(at!.east, at!.north)));
    const sorted = [...new Set(heights)].sort((a, b) => a - b);
    expect(Math.min(...sorted.slice(1).map((each, i) => each - sorted[i]!))).toBe(step);
    expect(step / Math.hypot(east, 0.1) / metresPerPixel).toBeGreaterThanOrEqual(7);
  });

  it('are at round heights in feet for someone who reads feet', () => {
    const { lines: drawn } = contourLayer(fieldOf(rise), { metresPerPixel: 2, unitMetres: 0.3048 });
    for (const { heightMetres } of drawn) {
      if (heightMetres === undefined) continue;
      const feet = heightMetres / 0.3048;
      expect(feet / 100).toBeCloseTo(Math.round(feet / 100), 6);
    }
  });

  it('are not drawn around ground that is not known', () => {
    const isVoid = (e: number, n: number) => e > 200 && e < 500 && n > 100;
    const { lines: drawn } = contourLayer(
      fieldOf((e, n) => (isVoid(e, n) ? NaN : rise(e, n))),
      METRES,
    );
    expect(drawn.length).toBeGreaterThan(20);
    for (const { points } of drawn) {
      const height = Math.round(rise(points[0]!.east, points[0]!.north) / 5) * 5;
      for (const at of points) expect(rise(at.east, at.north)).toBeCloseTo(height, 2);
    }
  });

  it('are none on level ground, or where nothing is known', () => {
    expect(
      contourLayer(
        fieldOf(() => 431),
        METRES,
      ).lines,
    ).toEqual([]);
    expect(
      contourLayer(
        fieldOf(() => NaN),
        METRES,
      ).lines,
    ).toEqual([]);
  });
});
