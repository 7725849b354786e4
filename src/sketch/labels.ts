import { sum } from 'd3-array';
import type { Mark, Scene } from './scene';
import { onScreen, type Pixel, type View } from './view';

/** A label that is shown: its mark, and where its text begins. */
export interface Label {
  readonly mark: Mark;
  readonly pixel: Pixel;
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

type Segment = readonly [Pixel, Pixel];

/** Mean width of a character of the labels in pixels, and their height. */
const CHARACTER = 7.6;
const HEIGHT = 18;
/** Room free around a mark: to its sides, above, below. The cairn is drawn above its point. */
interface Room {
  readonly aside: number;
  readonly above: number;
  readonly below: number;
}
const STATION_ROOM: Room = { aside: 12, above: 12, below: 12 };
const CAIRN_ROOM: Room = { aside: 20, above: 30, below: 10 };
/** Half the side of the square that a mark itself takes. */
const MARK_HALF = 7;
/** Legs compared with each label; in a longer log they are too dense to avoid. */
const MOST_LEGS = 400;
/** What crossing a leg, and leaving the sheet, cost per pixel, against covering a square pixel. */
const CROSSING_COST = 4;
const OUTSIDE_COST = 50;
/** A label that would cover more square pixels of others is left out. */
const MOST_COVERED = 40;

const overlap = (a: Box, b: Box) =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) *
  Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top));

/** How many pixels a box sticks out of the sheet, where the sheet is known. */
const outside = (box: Box, sheet: Box | null) =>
  sheet === null
    ? 0
    : Math.max(0, sheet.left - box.left) +
      Math.max(0, box.right - sheet.right) +
      Math.max(0, sheet.top - box.top) +
      Math.max(0, box.bottom - sheet.bottom);

/** How many pixels of a segment are in a box, by sampling: enough to choose a side. */
function crossing(box: Box, [a, b]: Segment): number {
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

const boxOfMark = ({ x, y }: Pixel): Box => ({
  left: x - MARK_HALF,
  right: x + MARK_HALF,
  top: y - MARK_HALF,
  bottom: y + MARK_HALF,
});

/** The last legs of a scene as segments of the screen. */
const segmentsOf = ({ outings }: Scene, view: View): Segment[] =>
  outings
    .flatMap(({ legs }) => legs)
    .slice(-MOST_LEGS - 1)
    .map(({ from, to }): Segment => [onScreen(view, from), onScreen(view, to)]);

/**
 * Chooses for each mark the side where its label runs least over legs and other labels; one that
 * would cover another is left out. Earlier marks come first: the start and the traveller keep
 * their names. `obstacles` are lines to keep off beside the legs.
 */
export function placeLabels(
  scene: Scene,
  view: View,
  obstacles: readonly Segment[],
  sheet: Box | null,
): Label[] {
  const marks = scene.outings.flatMap((outing) => outing.marks);
  const segments = [...obstacles, ...segmentsOf(scene, view)];
  const pixels = marks.map((mark) => onScreen(view, mark));
  const taken = pixels.map(boxOfMark);
  const labels: Label[] = [];
  for (const [index, mark] of marks.entries()) {
    const pixel = onScreen(view, mark);
    const others = taken.filter((_, other) => other !== index);
    const covered = (box: Box) => sum(others, (other) => overlap(box, other));
    const cost = (box: Box) =>
      covered(box) +
      CROSSING_COST * sum(segments, (segment) => crossing(box, segment)) +
      OUTSIDE_COST * outside(box, sheet);
    const best = cheapest(boxesAround(pixel, mark), cost);
    const important = mark.kind === 'start' || mark.kind === 'you';
    if (!best || (covered(best) > MOST_COVERED && !important)) continue;
    taken.push(best);
    labels.push({ mark, pixel, x: best.left, y: best.top + HEIGHT - 4 });
  }
  return labels;
}

function cheapest(boxes: readonly Box[], cost: (box: Box) => number): Box | undefined {
  let [best, least]: [Box | undefined, number] = [undefined, Infinity];
  for (const box of boxes) {
    const costs = cost(box);
    if (costs < least) [best, least] = [box, costs];
  }
  return best;
}

/** The eight boxes around a mark where its label may be. */
function boxesAround({ x, y }: Pixel, mark: Mark): Box[] {
  const room = mark.kind === 'start' ? CAIRN_ROOM : STATION_ROOM;
  const width = mark.text.length * CHARACTER;
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
