import { describe, expect, it } from 'vitest';
import { makeCountry } from '@/core/practice/country/make-country';
import { isWater, isWood } from '@/core/practice/country/country';
import { heightAt } from '@/core/terrain/height-field';
import { countryDrawing } from '@/sketch/country-scene';

const country = makeCountry(8);
const drawing = countryDrawing(country);

/** The points of a path, as places of the country. */
const pointsOf = (path: string) =>
  [...path.matchAll(/[ML](-?\d+) (-?\d+)/g)].map(([, x, y]) => ({
    east: Number(x),
    north: -Number(y),
  }));
const someOf = <Item>(items: readonly Item[]) => items.filter((_, index) => index % 97 === 0);

describe('the map of a country', () => {
  it('has each contour at a height of its own kind', () => {
    for (const [path, every] of [
      [drawing.contours, 10],
      [drawing.indexContours, 50],
    ] as const) {
      const points = someOf(pointsOf(path));
      expect(points.length).toBeGreaterThan(20);
      for (const point of points) {
        const height = heightAt(country.ground, point);
        // Drawn to whole metres, and straight within a cell: a metre or two on a slope.
        expect(Math.abs(height - every * Math.round(height / every))).toBeLessThan(3);
      }
    }
  });

  it('has the shores where the water ends, and woods where trees begin', () => {
    const inside = (points: readonly { east: number; north: number }[], test: typeof isWater) =>
      points.map((point) => {
        const around = [-15, 15].flatMap((by) => [
          { ...point, east: point.east + by },
          { ...point, north: point.north + by },
        ]);
        return around.filter((each) => test(country, each)).length;
      });
    const shores = inside(someOf(pointsOf(drawing.water)), isWater);
    // On a shore there is water to one side and none to another.
    expect(shores.filter((count) => count > 0 && count < 4).length).toBeGreaterThan(
      0.9 * shores.length,
    );
    const edges = inside(someOf(pointsOf(drawing.woods)), isWood);
    expect(edges.filter((count) => count > 0 && count < 4).length).toBeGreaterThan(
      0.75 * edges.length,
    );
  });

  it('names what is named, and keeps to its bounds', () => {
    expect(drawing.lakes.map(({ name }) => name)).toEqual(
      country.lakes.flatMap(({ name }) => name ?? []),
    );
    for (const { point } of drawing.lakes) expect(point.east).toBeGreaterThan(0);
    const { west, east, south, north } = drawing.bounds;
    const all = pointsOf(drawing.streams + drawing.paths + drawing.walls + drawing.water);
    expect(all.length).toBeGreaterThan(200);
    for (const point of all) {
      expect(point.east).toBeGreaterThanOrEqual(west);
      expect(point.east).toBeLessThanOrEqual(east);
      expect(point.north).toBeGreaterThanOrEqual(south);
      expect(point.north).toBeLessThanOrEqual(north);
    }
  });
});
