import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contoursAt, insideParts, levelsOf } from '@/core/terrain/contours';
import { boundsOfField, heightAt, postHeight, slopeAt } from '@/core/terrain/height-field';
import { climbOf, profile } from '@/core/terrain/profile';
import { smoothed } from '@/core/terrain/smoothed';
import { fieldOfFormula } from '../../support/practice/fields';

const plane = (a: number, b: number) => fieldOfFormula((x, y) => 100 + a * x + b * y);
const slope = fc.double({ min: -1.5, max: 1.5, noNaN: true });
const inside = fc.double({ min: 5, max: 595, noNaN: true });

describe('a height field', () => {
  it('is exact between its posts on any plane, and unknown outside', () => {
    fc.assert(
      fc.property(slope, slope, inside, inside, (a, b, east, north) => {
        const field = plane(a, b);
        expect(heightAt(field, { east, north })).toBeCloseTo(100 + a * east + b * north, 2);
      }),
    );
    const field = plane(1, 0);
    expect(boundsOfField(field)).toEqual({ west: 0, south: 0, east: 600, north: 600 });
    expect(heightAt(field, { east: -1, north: 20 })).toBeNaN();
    expect(heightAt(field, { east: 20, north: 601 })).toBeNaN();
    expect(heightAt(field, { east: 600, north: 600 })).toBe(700);
    expect(postHeight(field, 61, 0)).toBeNaN();
  });

  it('is unknown beside a void, and nowhere else', () => {
    const field = plane(0, 0);
    field.metres[30 * field.columns + 30] = NaN;
    expect(heightAt(field, { east: 305, north: 305 })).toBeNaN();
    expect(heightAt(field, { east: 285, north: 285 })).toBe(100);
  });

  it('slopes as a plane does, downhill', () => {
    fc.assert(
      fc.property(slope, slope, (a, b) => {
        fc.pre(Math.hypot(a, b) > 0.01);
        const found = slopeAt(plane(a, b), { east: 300, north: 300 })!;
        expect(found.degrees).toBeCloseTo((Math.atan(Math.hypot(a, b)) * 180) / Math.PI, 2);
        const down = (Math.atan2(-a, -b) * 180) / Math.PI;
        expect(Math.cos(((found.aspectDegrees - down) * Math.PI) / 180)).toBeCloseTo(1, 4);
      }),
    );
    expect(slopeAt(plane(1, 1), { east: 0, north: 300 })).toBeNull();
  });
});

describe('a profile', () => {
  it('looks at least twice a cell, from one end to the other', () => {
    const points = profile(plane(0.1, 0), { east: 10, north: 10 }, { east: 510, north: 10 });
    expect(points).toHaveLength(101);
    expect(points.at(-1)).toEqual({ alongMetres: 500, heightMetres: expect.closeTo(151, 3) });
  });

  const along = (heights: readonly number[]) =>
    climbOf(heights.map((heightMetres, index) => ({ alongMetres: index * 10, heightMetres })));

  it('climbs what rises by more than the unevenness of the ground', () => {
    expect(along([100, 110, 105.5, 130, 90])).toEqual({ climb: 30, descent: 40 });
    expect(along([100, 102, 99, 101, 100])).toEqual({ climb: 0, descent: 0 });
    expect(along([100, 104.5])).toEqual({ climb: 4.5, descent: 0 });
    expect(along([100, 101.6, 96])).toEqual({
      climb: expect.closeTo(1.6, 9),
      descent: expect.closeTo(5.6, 9),
    });
    // Counted from the extremes, and not from where it began.
    const waves = along([100, 104.9, 95.2, 104.9, 95.2, 104.9, 95.2, 100]);
    expect(waves.climb).toBeCloseTo(29.1, 9);
    expect(waves.descent).toBeCloseTo(29.1, 9);
    expect(along([100, 120, 110, 140])).toEqual({ climb: 50, descent: 10 });
    expect(along([100, NaN, 120])).toEqual({ climb: 20, descent: 0 });
    expect(along([])).toEqual({ climb: 0, descent: 0 });
  });

  it('climbs and descends to where it ends', () => {
    const heights = fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 2 });
    fc.assert(
      fc.property(heights, (all) => {
        const { climb, descent } = along(all);
        expect(Math.abs(climb - descent - (all.at(-1)! - all[0]!))).toBeLessThan(1e-6);
        expect(Math.min(climb, descent)).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('contours', () => {
  it('of a cone are circles of the right size', () => {
    const cone = fieldOfFormula((x, y) => 300 - Math.hypot(x - 300, y - 300));
    const [contour] = contoursAt(cone, [200]);
    const radii = contour!.rings
      .flat()
      .map(({ east, north }) => Math.hypot(east - 300, north - 300));
    expect(Math.min(...radii)).toBeGreaterThan(98);
    expect(Math.max(...radii)).toBeLessThan(101);
  });

  it('are asked at the heights that the field reaches', () => {
    expect(levelsOf(plane(0.1, 0), 20)).toEqual([120, 140, 160]);
    const [contour] = contoursAt(plane(0.1, 0), [130]);
    const parts = insideParts(plane(0.1, 0), contour!.rings[0]!);
    expect(parts).toHaveLength(1);
    for (const { east } of parts[0]!) expect(east).toBeCloseTo(300, 3);
  });
});

describe('a smoothed line', () => {
  it('keeps its ends, and never leaves the hull of its points', () => {
    const points = [0, 100, 100, 300].map((east, index) => ({ east, north: 50 * (index % 2) }));
    const smooth = smoothed(points, 3);
    expect([smooth[0], smooth.at(-1)]).toEqual([points[0], points.at(-1)]);
    expect(smooth.every(({ north }) => north >= 0 && north <= 50)).toBe(true);
    expect(smooth.length).toBeGreaterThan(20);
    expect(smoothed([], 2)).toEqual([]);
  });
});
