import { describe, expect, it } from 'vitest';
import { levelFor } from '@/views/map/draw-tiles';
import { pixelAt, pixelOnScreen, wholePicture } from '@/views/map/picture-plane';
import { scaledSize } from '@/workers/pictures/decode';
import { halved, levelsOf } from '@/workers/pictures/pyramid';

describe('a large picture', () => {
  it('is halved until it fits into one tile', () => {
    expect([levelsOf(512, 300), levelsOf(513, 300), levelsOf(5472, 3648)]).toEqual([1, 2, 5]);
    expect(halved(5472, levelsOf(5472, 3648) - 1)).toBeLessThanOrEqual(512);
    expect(halved(3, 9)).toBe(1);
  });

  it('is drawn by the level whose pixels come nearest to the screen’s', () => {
    expect([4, 1, 0.5, 0.26, 0.25, 0.01].map((k) => levelFor(k, 5))).toEqual([0, 0, 1, 2, 2, 4]);
  });

  it('is scaled down in proportion, and a smaller one stays as it is', () => {
    const { width, height } = scaledSize(12_000, 8_000, 20_000_000);
    expect(width * height).toBeLessThanOrEqual(20_000_000);
    expect(width / height).toBeCloseTo(1.5, 3);
    expect(scaledSize(800, 600, 20_000_000)).toEqual({ width: 800, height: 600 });
  });
});

describe('a picture on the screen', () => {
  const view = wholePicture({ width: 1800, height: 1200 })({ width: 900, height: 700 });

  it('fits as a whole, in the middle', () => {
    const [upper, lower] = [
      pixelOnScreen(view, { x: 0, y: 0 }),
      pixelOnScreen(view, { x: 1800, y: 1200 }),
    ];
    expect(upper.x).toBeCloseTo(8, 6);
    expect(lower.x).toBeCloseTo(892, 6);
    expect(upper.y + lower.y).toBeCloseTo(700, 6);
  });

  it('has every pixel where it is looked for, also turned', () => {
    for (const turn of [0, 33, 90, 271]) {
      const pixel = pixelAt({ ...view, turn }, pixelOnScreen({ ...view, turn }, { x: 321, y: 45 }));
      expect(pixel.x).toBeCloseTo(321, 6);
      expect(pixel.y).toBeCloseTo(45, 6);
    }
  });
});
