import { NORTHS, towardWorking, workingNorth, type North, type Norths } from '@/core/north';

/** Norths nearer than this are one arrow. */
const ONE_ARROW_DEGREES = 0.05;
/** Neighbours nearer than this can't be told apart on the drawing: all angles are then widened. */
const LEAST_DRAWN = 7;
/** The widest spread that still leaves room for the names. */
const MOST_SPREAD = 44;
const WIDENINGS = [1, 2, 5, 10, 20, 50, 100];
const LENGTHS = [196, 176, 216] as const;

interface Arrow {
  readonly north: North;
  /** The norths that it stands for. */
  readonly names: readonly North[];
  /** Degrees clockwise from the top of the drawing, as drawn. */
  readonly turn: number;
  readonly length: number;
}

/**
 * How the norths are drawn: arrows from left to right, the working north upright, and how many times wider the angles
 * are drawn than they are (1: to scale).
 */
export function drawnNorths(norths: Norths): { arrows: Arrow[]; times: number } {
  const known = NORTHS.flatMap((north) => {
    const turn = towardWorking(north, norths);
    return turn === null ? [] : [{ north, turn: turn > 180 ? turn - 360 : turn }];
  });
  const upright = workingNorth(norths);
  // The upright one gives its name to an arrow that stands for several.
  known.sort((a, b) => a.turn - b.turn || (a.north === upright ? -1 : 1));
  const merged: { north: North; names: North[]; turn: number }[] = [];
  for (const { north, turn } of known) {
    const last = merged.at(-1);
    if (last && turn - last.turn < ONE_ARROW_DEGREES) last.names.push(north);
    else merged.push({ north, names: [north], turn });
  }
  const gaps = merged.slice(1).map(({ turn }, index) => turn - merged[index]!.turn);
  const spread = gaps.reduce((sum, gap) => sum + gap, 0);
  const wanted = gaps.length === 0 ? 1 : LEAST_DRAWN / Math.min(...gaps);
  const most = spread === 0 ? 1 : Math.max(1, MOST_SPREAD / spread);
  const times =
    WIDENINGS.find((widening) => widening >= wanted && widening <= most) ??
    WIDENINGS.findLast((widening) => widening <= most) ??
    1;
  const arrows = merged.map((arrow, index) => ({
    ...arrow,
    turn: arrow.turn * times,
    length: LENGTHS[index % LENGTHS.length]!,
  }));
  return { arrows, times };
}
