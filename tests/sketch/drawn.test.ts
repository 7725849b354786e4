import { describe, expect, it } from 'vitest';
import { drawnKey, drawnScene } from '@/sketch/drawn';
import type { Scene, SceneLeg } from '@/sketch/scene';
import { fitView, onScreen } from '@/sketch/view';
import { polar, sumOf, type PlanePoint } from '@/core/units/plane';

const SIZE = { width: 800, height: 600 };

/** A walk that winds outward, side trips on every hundredth leg. */
function sceneOf(count: number): Scene {
  const legs: SceneLeg[] = [];
  let at: PlanePoint = { east: 0, north: 0 };
  for (let number = 1; number <= count; number++) {
    const to = sumOf(at, polar(number * 37 + number / 9, 20 + (number % 60)));
    legs.push({ number, from: at, to, onWay: number % 100 !== 0 });
    at = to;
  }
  const stations = legs.map(({ to }) => to);
  return { outings: [{ legs, stations, sightings: [], marks: [] }] };
}

const legsOf = (scene: Scene) => scene.outings[0]!.legs;

describe('a scene as it is drawn', () => {
  it('is the scene itself while it is short', () => {
    const scene = sceneOf(999);
    const view = fitView(scene, SIZE, null);
    expect(drawnScene(scene, drawnKey(scene, view, SIZE))).toBe(scene);
    expect(drawnKey(scene, view, SIZE)).toBe('');
  });

  it('of many legs has fewer dots, none of which is far from a station that is left out', () => {
    const scene = sceneOf(10_000);
    const view = fitView(scene, SIZE, null);
    const { stations } = drawnScene(scene, drawnKey(scene, view, SIZE)).outings[0]!;
    expect(stations.length).toBeLessThan(5000);
    const shown = stations.map((station) => onScreen(view, station));
    for (const station of scene.outings[0]!.stations.filter((_, index) => index % 97 === 0)) {
      const { x, y } = onScreen(view, station);
      const nearest = Math.min(...shown.map((each) => Math.hypot(each.x - x, each.y - y)));
      expect(nearest).toBeLessThan(5);
    }
  });

  it('leaves out what is far outside, and nothing that is seen', () => {
    const scene = sceneOf(5000);
    const fitted = fitView(scene, SIZE, null);
    const middle = legsOf(scene)[2500]!.to;
    const k = fitted.k * 40;
    const view = { k, x: 400 - k * middle.east, y: 300 + k * middle.north, turn: 0 };
    const drawn = new Set(
      legsOf(drawnScene(scene, drawnKey(scene, view, SIZE))).map(({ number }) => number),
    );
    expect(drawn.size).toBeLessThan(2500);
    for (const { number, from, to } of legsOf(scene)) {
      const ends = [onScreen(view, from), onScreen(view, to)];
      const isSeen = ends.some(({ x, y }) => x > 0 && x < 800 && y > 0 && y < 600);
      const isLong = Math.hypot(ends[0]!.x - ends[1]!.x, ends[0]!.y - ends[1]!.y) > 1;
      if (isSeen && isLong) expect(drawn).toContain(number);
    }
  });

  it('thins a line of less than a pixel, and still ends where the legs end', () => {
    const scene = sceneOf(3000);
    const fitted = fitView(scene, SIZE, null);
    const view = { ...fitted, k: fitted.k / 400, x: 400, y: 300 };
    const legs = legsOf(drawnScene(scene, drawnKey(scene, view, SIZE)));
    expect(legs.length).toBeLessThan(600);
    for (const [index, { to, onWay }] of legs.entries()) {
      const next = legs[index + 1];
      // A break would show as a gap of more than a pixel.
      if (next?.onWay !== onWay) continue;
      const gap = Math.hypot(next.from.east - to.east, next.from.north - to.north) * view.k;
      expect(gap).toBeLessThan(1);
    }
  });

  it('stays the same through a pan and a small zoom, and changes on a large one', () => {
    const scene = sceneOf(2000);
    // In the middle of a cell, below a power of two.
    const view = { k: 0.6, x: 400, y: 300, turn: 0 };
    const key = drawnKey(scene, view, SIZE);
    expect(drawnKey(scene, { ...view, x: 600, y: 200 }, SIZE)).toBe(key);
    expect(drawnKey(scene, { ...view, k: 0.9 }, SIZE)).toBe(key);
    expect(drawnKey(scene, { ...view, k: 1.2 }, SIZE)).not.toBe(key);
    expect(drawnKey(scene, { ...view, x: 4000 }, SIZE)).not.toBe(key);
  });
});
