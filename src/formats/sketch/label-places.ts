import type { Solution } from '../../core/solve';
import { onScreen, type Mark, type Spot, type View } from './geometry';

/** Where a label stands: its anchor, and the side of the mark that it is on. */
export interface PlacedLabel {
  readonly mark: Mark;
  readonly spot: Spot;
  readonly x: number;
  readonly y: number;
}

/** A rectangle on the screen, in pixels. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Mean width of a character of the labels in pixels, and their height. */
const CHARACTER = 7.6;
const HEIGHT = 18;
/** Room kept free around a mark: to its sides, above and below. The cairn stands on its spot. */
interface Room {
  readonly aside: number;
  readonly above: number;
  readonly below: number;
}
const PEBBLE: Room = { aside: 12, above: 12, below: 12 };
const CAIRN: Room = { aside: 20, above: 30, below: 10 };
/** Legs compared with each label; in a longer log they are too dense to avoid. */
const MOST_LEGS = 400;

const overlap = (a: Box, b: Box) =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) *
  Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top));

/** What it costs to stick out of the sheet, where the sheet is known. */
const outside = (box: Box, sheet: Box | null) =>
  sheet === null
    ? 0
    : 50 *
      (Math.max(0, sheet.left - box.left) +
        Math.max(0, box.right - sheet.right) +
        Math.max(0, sheet.top - box.top) +
        Math.max(0, box.bottom - sheet.bottom));

/** How many pixels of a segment lie in a box, by sampling it: enough to choose a side. */
function crossing(box: Box, a: Spot, b: Spot): number {
  if (Math.min(a.x, b.x) > box.right || Math.max(a.x, b.x) < box.left) return 0;
  if (Math.min(a.y, b.y) > box.bottom || Math.max(a.y, b.y) < box.top) return 0;
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const samples = Math.min(200, Math.ceil(length / 4));
  let inside = 0;
  for (let i = 0; i <= samples; i++) {
    const x = a.x + ((b.x - a.x) * i) / samples;
    const y = a.y + ((b.y - a.y) * i) / samples;
    if (x > box.left && x < box.right && y > box.top && y < box.bottom) inside++;
  }
  return (inside * length) / Math.max(1, samples);
}

/**
 * Chooses for each mark the side where its label runs least over legs and other labels; one that would
 * cover another is left out. Earlier marks come first: the start and the traveller keep their names.
 */
export function placedLabels(
  solution: Solution,
  marks: readonly Mark[],
  view: View,
  obstacles: readonly (readonly [Spot, Spot])[],
  sheet: Box | null,
): PlacedLabel[] {
  const { east, north, from, legs } = solution.traverse;
  const segments: (readonly [Spot, Spot])[] = [...obstacles];
  for (let k = Math.max(1, legs - MOST_LEGS); k <= legs; k++) {
    const origin = from[k]!;
    segments.push([
      onScreen(view, east[origin]!, north[origin]!),
      onScreen(view, east[k]!, north[k]!),
    ]);
  }
  const spots = marks.map((mark) => onScreen(view, mark.east, mark.north));
  const taken: Box[] = spots.map(({ x, y }) => ({
    left: x - 7,
    right: x + 7,
    top: y - 7,
    bottom: y + 7,
  }));
  const placed: PlacedLabel[] = [];
  marks.forEach((mark, index) => {
    const spot = spots[index]!;
    const width = mark.text.length * CHARACTER;
    let best: { box: Box; cost: number; covers: number } | null = null;
    for (const box of boxesAround(spot, width, mark.kind === 'start' ? CAIRN : PEBBLE)) {
      const covers = taken.reduce(
        (sum, other, i) => sum + (i === index ? 0 : overlap(box, other)),
        0,
      );
      const crosses = segments.reduce((sum, [a, b]) => sum + crossing(box, a, b), 0);
      const cost = covers + 4 * crosses + outside(box, sheet);
      if (!best || cost < best.cost) best = { box, cost, covers };
    }
    const important = mark.kind === 'start' || mark.kind === 'you';
    if (!best || (best.covers > 40 && !important)) return;
    taken.push(best.box);
    placed.push({ mark, spot, x: best.box.left, y: best.box.top + HEIGHT - 4 });
  });
  return placed;
}

function boxesAround({ x, y }: Spot, width: number, room: Room): Box[] {
  const box = (left: number, top: number): Box => ({
    left,
    top,
    right: left + width,
    bottom: top + HEIGHT,
  });
  const [right, left, centre] = [x + room.aside, x - room.aside - width, x - width / 2];
  const [middle, above, below] = [y - HEIGHT / 2, y - room.above - HEIGHT, y + room.below];
  return [
    box(right, middle),
    box(left, middle),
    box(centre, below),
    box(centre, above),
    box(right, above),
    box(right, below),
    box(left, above),
    box(left, below),
  ];
}
