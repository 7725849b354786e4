import { radians } from '@/core/units/units';
import type { Pixel, Size, View } from '@/sketch/view';
import { TILE } from '@/workers/pictures/pictures-protocol';
import { pixelAt } from './picture-plane';
import type { Tiles } from './use-tiles';

/** The level whose pixels come nearest to those of the screen. */
export const levelFor = (k: number, levels: number): number =>
  Math.min(levels - 1, Math.max(0, Math.floor(Math.log2(1 / k) + 0.25)));

interface Span {
  readonly from: number;
  readonly to: number;
}

/** The tiles of a level along one side that a stretch of the picture touches. */
const spanOf = (least: number, most: number, side: number, length: number): Span => ({
  from: Math.max(0, Math.floor(least / side)),
  to: Math.min(Math.ceil(length / side) - 1, Math.floor(most / side)),
});

/** The part of the picture that is seen, also where it is turned. */
function seenPart(view: View, { width, height }: Size) {
  const corners: Pixel[] = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: 0, y: height },
    { x: width, y: height },
  ].map((corner) => pixelAt(view, corner));
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
  };
}

/**
 * Draws what is seen of a picture: the coarsest level below, so that nothing is ever empty, and
 * above it the tiles of the level that suits the zoom, as far as they are here.
 */
export function drawTiles(
  context: CanvasRenderingContext2D,
  tiles: Tiles,
  view: View,
  size: Size,
  pixelRatio: number,
): void {
  context.setTransform(pixelRatio, 0, 0, pixelRatio, 0, 0);
  context.clearRect(0, 0, size.width, size.height);
  context.translate(view.x, view.y);
  context.rotate(-radians(view.turn));
  context.scale(view.k, view.k);
  const { width, height, levels } = tiles.size;
  const seen = seenPart(view, size);
  const wanted = levelFor(view.k * pixelRatio, levels);
  for (const level of new Set([levels - 1, wanted])) {
    const side = TILE * 2 ** level;
    const columns = spanOf(seen.left, seen.right, side, width);
    const rows = spanOf(seen.top, seen.bottom, side, height);
    for (let row = rows.from; row <= rows.to; row++) {
      for (let column = columns.from; column <= columns.to; column++) {
        const tile = tiles.tile(level, column, row);
        if (!tile) continue;
        const [x, y] = [column * side, row * side];
        const w = Math.min(side, width - x);
        const h = Math.min(side, height - y);
        context.drawImage(tile, x, y, w, h);
      }
    }
  }
}
