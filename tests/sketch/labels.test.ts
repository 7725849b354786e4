import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { placeLabels, type Box, type Segment } from '@/sketch/labels';
import { gridOf } from '@/sketch/grid';
import { upOf } from '@/sketch/orientation';
import { namedIn, viewOfLayers } from '@/sketch/layer';
import { walkedLayer } from '@/sketch/layers/walked';
import { onPlane, onScreen, type View } from '@/sketch/view';
import { solvedLog } from '../support/outings';
import { dice } from '../support/mutated-files';

const PHONE = { width: 370, height: 480 };
const SHEET = { left: 0, top: 0, right: PHONE.width, bottom: PHONE.height };

/** A walk of so many legs that wanders, with names and things seen on every few of them. */
function wandering(legs: number, seed: number) {
  const roll = dice(seed);
  const lines = ['pace 65 per 100 m', 'start Dock'];
  let bearing = roll(360);
  for (let leg = 1; leg <= legs; leg++) {
    bearing = (bearing + roll(120) + 300) % 360;
    const name = leg % 3 === 0 ? ` > Gauge ${leg}` : '';
    lines.push(`${String(bearing).padStart(3, '0')} ${40 + roll(120)}m${name}`);
    if (leg % 4 === 1) lines.push(`at 20 left ${5 + roll(20)} water ; spring number ${leg}`);
  }
  return solvedLog(lines.join('\n')).solution;
}

const overlap = (a: Box, b: Box) =>
  Math.min(a.right, b.right) - Math.max(a.left, b.left) > 0 &&
  Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 0;

/** True where a segment runs through a box, by the sides that it crosses. */
function runsThrough(box: Box, [a, b]: Segment): boolean {
  let [first, last] = [0, 1];
  for (const [from, to, least, most] of [
    [a.x, b.x, box.left, box.right],
    [a.y, b.y, box.top, box.bottom],
  ] as const) {
    if (from === to && (from <= least || from >= most)) return false;
    if (from === to) continue;
    const at = [(least - from) / (to - from), (most - from) / (to - from)];
    first = Math.max(first, Math.min(...at));
    last = Math.min(last, Math.max(...at));
  }
  return last - first > 0.02;
}

describe('names on a sketch', () => {
  const walks = [14, 100, 300].flatMap((legs) => [1, 2, 3, 4, 5].map((seed) => [legs, seed]));

  it.each(walks)('of %i legs (%i) cover neither each other nor the way home', (legs, seed) => {
    const solution = wandering(legs!, seed!);
    const layer = walkedLayer(solution, USUAL_FIGURES);
    const view = viewOfLayers([layer], PHONE);
    const home: Segment = [
      onScreen(view, solution.places.at(solution.current)),
      onScreen(view, solution.places.at(0)),
    ];
    const labels = placeLabels(namedIn(layer), view, { lines: [home], boxes: [] }, SHEET);
    const kinds = labels.map(({ mark }) => mark.kind);
    expect(kinds).toContain('start');
    expect(kinds).toContain('you');
    for (const [index, { box, mark }] of labels.entries()) {
      expect(runsThrough(box, home), `${mark.text} on the way home`).toBe(false);
      for (const other of labels.slice(index + 1)) {
        expect(overlap(box, other.box), `${mark.text} on ${other.mark.text}`).toBe(false);
      }
    }
    // Crowded or not, a name that is selected is shown.
    const hidden = layer.marks.find((mark) => !labels.some((label) => label.mark === mark));
    if (!hidden) return;
    const shown = placeLabels(
      namedIn(layer),
      view,
      { lines: [home], boxes: [] },
      SHEET,
      hidden.key,
    );
    expect(shown.map(({ mark }) => mark.key)).toContain(hidden.key);
  });
});

describe('one place on two layers', () => {
  const view: View = { k: 1, x: 100, y: 100, turn: 0 };
  const mark = (key: string, east: number, text = 'Gauge 2') => ({
    key,
    kind: 'point' as const,
    text,
    east,
    north: 0,
  });
  const named = (...marks: ReturnType<typeof mark>[]) =>
    placeLabels({ marks, stretches: [] }, view, { lines: [], boxes: [] }, SHEET).length;

  it('is named once, and two places of one name are named twice', () => {
    expect(named(mark('a', 0), mark('b', 10))).toBe(1);
    expect(named(mark('a', 0), mark('b', 150))).toBe(2);
    expect(named(mark('a', 0), mark('b', 10, 'Gauge 3'))).toBe(2);
  });
});

describe('what is up', () => {
  const { solution } = solvedLog('090 100m\n000 100m\n315 50m');

  it('is north, the last leg, or the way from the start', () => {
    expect(upOf(solution, 'north')).toBe(0);
    expect(upOf(solution, 'heading')).toBe(315);
    // 100 - 35.4 m east and 100 + 35.4 m north.
    expect(upOf(solution, 'walked')).toBeCloseTo(25.5, 1);
    expect(upOf(solvedLog('').solution, 'heading')).toBe(0);
    expect(upOf(solvedLog('').solution, 'walked')).toBe(0);
  });

  it('turns the sketch: the traveller is straight above the start, and a pixel is undone', () => {
    const layer = walkedLayer(solution, USUAL_FIGURES);
    const view = viewOfLayers([layer], PHONE, null, upOf(solution, 'walked'));
    const [start, you] = [0, solution.current].map((at) => onScreen(view, solution.places.at(at)));
    expect(you!.x).toBeCloseTo(start!.x, 6);
    expect(you!.y).toBeLessThan(start!.y);
    const there = onPlane(view, you!);
    expect(there.east).toBeCloseTo(solution.places.at(solution.current).east, 6);
    expect(there.north).toBeCloseTo(solution.places.at(solution.current).north, 6);
  });
});

describe('the grid', () => {
  it('has lines at round metres over all of the sheet, however it is turned', () => {
    for (const turn of [0, 37, 180]) {
      const view: View = { k: 0.5, x: 100, y: 200, turn };
      const { stepMetres, path } = gridOf(view, PHONE, 1);
      expect(stepMetres).toBe(100);
      const lines = path.match(/M/g)!.length;
      expect(lines).toBeGreaterThanOrEqual(Math.floor((370 + 480) / 50) - 2);
      expect(lines).toBeLessThan(80);
      const north = [...path.matchAll(/M(-?[\d.]+) -?[\d.]+V/g)].map(([, x]) => Number(x));
      expect(north.every((x) => x % 100 === 0)).toBe(true);
    }
  });
});
