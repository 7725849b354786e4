import { describe, expect, it } from 'vitest';
import { drawnKey, drawnLayer } from '@/sketch/drawn';
import { NO_LAYER, viewOfLayers, type Layer, type LayerLine } from '@/sketch/layer';
import { onScreen } from '@/sketch/view';
import { polar, sumOf, type PlanePoint } from '@/core/units/plane';

const SIZE = { width: 800, height: 600 };

/** A walk that winds outward, side trips on every hundredth leg. */
function layerOf(count: number): Layer {
  const lines: LayerLine[] = [];
  let at: PlanePoint = { east: 0, north: 0 };
  for (let number = 1; number <= count; number++) {
    const to = sumOf(at, polar(number * 37 + number / 9, 20 + (number % 60)));
    const kind = number % 100 === 0 ? 'side-trip' : 'leg';
    lines.push({ kind, number, points: [at, to] });
    at = to;
  }
  return { ...NO_LAYER, lines, dots: lines.map(({ points }) => points[1]!) };
}

const endsOf = ({ points }: LayerLine) => ({ from: points[0]!, to: points[1]! });

describe('a layer as it is drawn', () => {
  it('is the layer itself while it is short', () => {
    const layer = layerOf(999);
    const view = viewOfLayers([layer], SIZE);
    expect(drawnLayer(layer, drawnKey(layer, view, SIZE))).toBe(layer);
    expect(drawnKey(layer, view, SIZE)).toBe('');
  });

  it('of many legs has fewer dots, none of which is far from a station that is left out', () => {
    const layer = layerOf(10_000);
    const view = viewOfLayers([layer], SIZE);
    const { dots: stations } = drawnLayer(layer, drawnKey(layer, view, SIZE));
    expect(stations.length).toBeLessThan(5000);
    const shown = stations.map((station) => onScreen(view, station));
    for (const station of layer.dots.filter((_, index) => index % 97 === 0)) {
      const { x, y } = onScreen(view, station);
      const nearest = Math.min(...shown.map((each) => Math.hypot(each.x - x, each.y - y)));
      expect(nearest).toBeLessThan(5);
    }
  });

  it('leaves out what is far outside, and nothing that is seen', () => {
    const layer = layerOf(5000);
    const fitted = viewOfLayers([layer], SIZE);
    const middle = layer.dots[2500]!;
    const k = fitted.k * 40;
    const view = { k, x: 400 - k * middle.east, y: 300 + k * middle.north, turn: 0 };
    const drawn = new Set(
      drawnLayer(layer, drawnKey(layer, view, SIZE)).lines.map(({ number }) => number),
    );
    expect(drawn.size).toBeLessThan(2500);
    for (const line of layer.lines) {
      const { from, to } = endsOf(line);
      const ends = [onScreen(view, from), onScreen(view, to)];
      const isSeen = ends.some(({ x, y }) => x > 0 && x < 800 && y > 0 && y < 600);
      const isLong = Math.hypot(ends[0]!.x - ends[1]!.x, ends[0]!.y - ends[1]!.y) > 1;
      if (isSeen && isLong) expect(drawn).toContain(line.number);
    }
  });

  it('thins a line of less than a pixel, and still ends where the legs end', () => {
    const layer = layerOf(3000);
    const fitted = viewOfLayers([layer], SIZE);
    const view = { ...fitted, k: fitted.k / 400, x: 400, y: 300 };
    const legs = drawnLayer(layer, drawnKey(layer, view, SIZE)).lines;
    expect(legs.length).toBeLessThan(600);
    for (const [index, leg] of legs.entries()) {
      const next = legs[index + 1];
      // A break would show as a gap of more than a pixel.
      if (next?.kind !== leg.kind) continue;
      const [{ to }, { from }] = [endsOf(leg), endsOf(next)];
      const gap = Math.hypot(from.east - to.east, from.north - to.north) * view.k;
      expect(gap).toBeLessThan(1);
    }
  });

  it('stays the same through a pan and a small zoom, and changes on a large one', () => {
    const layer = layerOf(2000);
    // In the middle of a cell, below a power of two.
    const view = { k: 0.6, x: 400, y: 300, turn: 0 };
    const key = drawnKey(layer, view, SIZE);
    expect(drawnKey(layer, { ...view, x: 600, y: 200 }, SIZE)).toBe(key);
    expect(drawnKey(layer, { ...view, k: 0.9 }, SIZE)).toBe(key);
    expect(drawnKey(layer, { ...view, k: 1.2 }, SIZE)).not.toBe(key);
    expect(drawnKey(layer, { ...view, x: 4000 }, SIZE)).not.toBe(key);
  });
});
