import { pairs } from 'd3-array';
import { referenceNorth, towardReference, type Norths } from '@/core/north/norths';
import { signedDifference } from '@/core/units/angle';
import { NORTHS, type North } from '@/core/units/bearing';
import type { Degrees } from '@/core/units/units';

/** Norths nearer than this are one arrow. */
const ONE_ARROW_DEGREES = 0.05;
/** Neighbours nearer than this can't be distinguished: all angles are then widened. */
const LEAST_DRAWN = 7;
/** The widest spread that still leaves room for the names. */
const MOST_SPREAD = 44;
const WIDENINGS = [1, 2, 5, 10, 20, 50, 100];
/** Lengths of neighbouring arrows differ, so that their names don't collide. */
const LENGTHS = [196, 176, 216];

interface Arrow {
  readonly north: North;
  /** The norths that it stands for. */
  readonly names: readonly North[];
  /** Degrees clockwise from the top of the drawing, as drawn. */
  readonly turn: Degrees;
  readonly length: number;
}

/** The known norths from left to right; those that are the same are one. */
function knownNorths(norths: Norths): Pick<Arrow, 'north' | 'names' | 'turn'>[] {
  const upright = referenceNorth(norths);
  const known = NORTHS.flatMap((north) => {
    const turn = towardReference(north, norths);
    return turn === null ? [] : [{ north, turn: signedDifference(0, turn) }];
  });
  // The upright one gives its name to an arrow that stands for several.
  known.sort((a, b) => a.turn - b.turn || (a.north === upright ? -1 : 1));
  const merged: { north: North; names: North[]; turn: Degrees }[] = [];
  for (const { north, turn } of known) {
    const last = merged.at(-1);
    if (last && turn - last.turn < ONE_ARROW_DEGREES) last.names.push(north);
    else merged.push({ north, names: [north], turn });
  }
  return merged;
}

/** How many times wider the angles are drawn, so that neighbours can be distinguished. */
function widening(turns: readonly Degrees[]): number {
  const gaps = pairs(turns, (left, right) => right - left);
  if (gaps.length === 0) return 1;
  const wanted = LEAST_DRAWN / Math.min(...gaps);
  const most = Math.max(1, MOST_SPREAD / gaps.reduce((sum, gap) => sum + gap, 0));
  return (
    WIDENINGS.find((times) => times >= wanted && times <= most) ??
    WIDENINGS.findLast((times) => times <= most) ??
    1
  );
}

/**
 * How the norths are drawn: arrows from left to right, the reference north upright, and how many
 * times wider than they are the angles are drawn (1: to scale).
 */
export function drawnNorths(norths: Norths): { arrows: readonly Arrow[]; times: number } {
  const known = knownNorths(norths);
  const times = widening(known.map(({ turn }) => turn));
  const arrows = known.map((arrow, index) => ({
    ...arrow,
    turn: arrow.turn * times,
    length: LENGTHS[index % LENGTHS.length] ?? 0,
  }));
  return { arrows, times };
}
