import type { Mark, Named } from './layer';
import { onScreen, type Pixel, type View } from './view';

/** A label that is shown: its mark, and where its text begins. */
export interface Label {
  readonly mark: Mark;
  readonly pixel: Pixel;
  readonly x: number;
  readonly y: number;
  readonly box: Box;
}

/** A rectangle on the screen, in pixels. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export type Segment = readonly [Pixel, Pixel];

/** Width of a character of the labels in pixels, rather too wide than too narrow; their height. */
const CHARACTER = 8;
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
/** What crossing a leg, and leaving the sheet, cost per pixel. */
const CROSSING_COST = 4;
const OUTSIDE_COST = 50;
/** What covering something costs a label that has to be shown, per square pixel or pixel. */
const COVERING_COST = 1000;
/** Marks of one name that are nearer to each other than this have one label. */
const SAME_PIXELS = 24;
/** How far from its mark a label may be that finds no room beside it. */
const FAR = 34;

/** What labels keep off: lines as the way home, and boxes as its plate and the scale bar. */
export interface Obstacles {
  readonly lines: readonly Segment[];
  readonly boxes: readonly Box[];
}

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

const boxOfMark = ({ x, y }: Pixel, { kind }: Mark): Box =>
  kind === 'start'
    ? { left: x - 18, right: x + 18, top: y - 28, bottom: y + 8 }
    : {
        left: x - MARK_HALF,
        right: x + MARK_HALF,
        top: y - MARK_HALF,
        bottom: y + MARK_HALF,
      };

/** Which labels find their places first: start, traveller, what is selected, stations, the rest. */
const rankOf = ({ kind, key }: Mark, selected: string | null): number => {
  if (kind === 'start') return 0;
  if (kind === 'you') return 1;
  if (key === selected) return 2;
  return kind === 'station' ? 3 : 4;
};

/**
 * Chooses for each mark the side where its label runs least over legs. No label covers another, a
 * mark, or an obstacle: of those that would, the lower rank is left out, and shown when it is
 * selected. The start and the traveller always have their names, a little further off if need be.
 */
export function placeLabels(
  { marks, stretches }: Named,
  view: View,
  { lines, boxes }: Obstacles,
  sheet: Box | null,
  selected: string | null = null,
): Label[] {
  const isNamed = ({ kind, text }: Mark) => text !== '' && kind !== 'number';
  const ranked = marks
    .filter(isNamed)
    .sort((one, other) => rankOf(one, selected) - rankOf(other, selected));
  const legs = stretches
    .slice(-MOST_LEGS - 1)
    .map(({ from, to }): Segment => [onScreen(view, from), onScreen(view, to)]);
  const own = new Map(marks.map((mark) => [mark, boxOfMark(onScreen(view, mark), mark)]));
  const taken: Box[] = [...boxes];
  const labels: Label[] = [];
  for (const mark of ranked) {
    const pixel = onScreen(view, mark);
    if (labels.some((label) => isNear(label, mark.text, pixel))) continue;
    const others = [...taken, ...[...own].flatMap(([each, box]) => (each === mark ? [] : [box]))];
    const covers = (box: Box) =>
      sum(others, (other) => overlap(box, other)) + sum(lines, (line) => crossing(box, line));
    const cost = (box: Box) =>
      COVERING_COST * covers(box) +
      CROSSING_COST * sum(legs, (leg) => crossing(box, leg)) +
      OUTSIDE_COST * outside(box, sheet);
    const hasToShow = rankOf(mark, selected) <= 2;
    const near = cheapest(boxesAround(pixel, mark, 0), cost);
    const isFree = near !== undefined && covers(near) === 0;
    const best = isFree || !hasToShow ? near : cheapest(boxesAround(pixel, mark, FAR), cost);
    // Cut off by the edge, a name is no name.
    const isBad = best !== undefined && (covers(best) > 0 || outside(best, sheet) > 0);
    if (!best || (isBad && !hasToShow)) continue;
    taken.push(best);
    labels.push({ mark, pixel, x: best.left, y: best.top + HEIGHT - 4, box: best });
  }
  return labels;
}

/** True for a label that says the same of the same place: of a log, and of the plan for it. */
const isNear = ({ mark, pixel }: Label, text: string, { x, y }: Pixel) =>
  mark.text === text && Math.hypot(pixel.x - x, pixel.y - y) < SAME_PIXELS;

const sum = <Each>(all: readonly Each[], of: (each: Each) => number) =>
  all.reduce((total, each) => total + of(each), 0);

function cheapest(boxes: readonly Box[], cost: (box: Box) => number): Box | undefined {
  let [best, least]: [Box | undefined, number] = [undefined, Infinity];
  for (const box of boxes) {
    const costs = cost(box);
    if (costs < least) [best, least] = [box, costs];
  }
  return best;
}

/** The eight boxes around a mark where its label may be, or further off by some pixels. */
function boxesAround({ x, y }: Pixel, mark: Mark, further: number): Box[] {
  const free = mark.kind === 'start' ? CAIRN_ROOM : STATION_ROOM;
  const room = {
    aside: free.aside + further,
    above: free.above + further,
    below: free.below + further,
  };
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
