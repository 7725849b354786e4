import { describe, expect, it } from 'vitest';
import { lineHit, markHit } from '@/sketch/hit';
import { NO_LAYER, type Layer, type Mark } from '@/sketch/layer';

const VIEW = { k: 2, x: 100, y: 100, turn: 0 };
const line = (number: number, north: number) => ({
  kind: 'leg' as const,
  number,
  points: [
    { east: 0, north },
    { east: 50, north },
  ],
});
const LAYER: Layer = { ...NO_LAYER, lines: [line(1, 0), line(2, 10)] };

describe('what is at a pixel', () => {
  it('is the nearest numbered line within reach, with how far off it is', () => {
    // Line 1 is at y 100, line 2 at y 80.
    expect(lineHit([LAYER], VIEW, { x: 150, y: 92 }, 22)).toEqual({ found: 1, away: 8 });
    expect(lineHit([LAYER], VIEW, { x: 150, y: 87 }, 22)).toEqual({ found: 2, away: 7 });
    expect(lineHit([LAYER], VIEW, { x: 150, y: 130 }, 22)).toBeNull();
  });

  it('is looked for where the lines are drawn: on a picture their points are projected', () => {
    const place = ({ east, north }: { east: number; north: number }) =>
      north === 0 ? null : { x: east + 100, y: -north };
    // Line 1 is nowhere on the picture; line 2 is 100 of its pixels to the right, 200 on screen.
    expect(lineHit([LAYER], VIEW, { x: 150, y: 80 }, 22, place)).toBeNull();
    expect(lineHit([LAYER], VIEW, { x: 350, y: 80 }, 22, place)?.found).toBe(2);
  });

  it('is the nearest mark', () => {
    const mark = (key: string, east: number): Mark => ({
      key,
      kind: 'station',
      text: key,
      east,
      north: 0,
    });
    const marks = [mark('a', 0), mark('b', 10)];
    expect(markHit(marks, VIEW, { x: 118, y: 100 }, 24)).toMatchObject({ found: { key: 'b' } });
    expect(markHit(marks, VIEW, { x: 106, y: 103 }, 24)?.found.key).toBe('a');
    expect(markHit(marks, VIEW, { x: 160, y: 100 }, 24)).toBeNull();
  });
});
