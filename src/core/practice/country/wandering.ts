import { createNoise2D } from 'simplex-noise';
import type { PlanePoint } from '../../units/plane';
import type { GroundLine } from './country';

/** How far a line is turned aside at most, and over which distance it comes back. */
const ASIDE_METRES = 16;
const OVER_METRES = 150;

/**
 * Lines found from post to post run straight in eighths of a turn where the ground is even; no
 * stream does. Moves the points of lines a little, alike for lines that meet: what joined joins.
 * A point that `mayMove` refuses at its new place stays where it was.
 */
export function wanderer(next: () => number, mayMove: (point: PlanePoint) => boolean) {
  const [toEast, toNorth] = [createNoise2D(next), createNoise2D(next)];
  return (line: GroundLine): GroundLine =>
    line.map((point) => {
      const [x, y] = [point.east / OVER_METRES, point.north / OVER_METRES];
      const moved = {
        east: point.east + ASIDE_METRES * toEast(x, y),
        north: point.north + ASIDE_METRES * toNorth(x, y),
      };
      return mayMove(moved) ? moved : point;
    });
}
