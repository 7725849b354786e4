import type { MapPicture } from '@/core/model/map-picture';
import { mapGrid } from '@/core/place/map-grid';
import { shownGrid } from '@/views/shared/fields/grid-choice';
import type { Position } from '@/core/readings/position';

/** The sheet: so many metres wide and high, and pixels for each of them. */
const SIDE = 3000;
const SCALE = 0.5;
const MARGIN = 90;
const STEP = 100;
const BOLD = 500;

interface GridSheet {
  readonly file: File;
  readonly about: Pick<MapPicture, 'name' | 'controls' | 'projection'>;
}

/**
 * A sheet with nothing on it but the grid around a place, national or UTM, for those who have no
 * picture: lines every 100 m, bold ones every 500 m with their figures. Null beyond the grid.
 */
export async function gridSheet(around: Position): Promise<GridSheet | null> {
  const projection = shownGrid(around)?.definition;
  const grid = mapGrid(around, projection);
  if (!grid.ok) return null;
  const { east, north } = grid.value.forward(around);
  const round = (metres: number) => Math.round(metres / BOLD) * BOLD;
  const [west, south] = [round(east) - SIDE / 2, round(north) - SIDE / 2];
  const size = SIDE * SCALE + 2 * MARGIN;
  const canvas = new OffscreenCanvas(size, size);
  const context = canvas.getContext('2d');
  if (!context) return null;
  const x = (metres: number) => MARGIN + (metres - west) * SCALE;
  const y = (metres: number) => size - MARGIN - (metres - south) * SCALE;
  context.fillStyle = '#f5f2ea';
  context.fillRect(0, 0, size, size);
  context.fillStyle = '#24323b';
  context.font = '15px sans-serif';
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  for (let metres = 0; metres <= SIDE; metres += STEP) {
    const isBold = metres % BOLD === 0;
    context.strokeStyle = isBold ? '#5d6b72' : '#b9beb6';
    context.lineWidth = isBold ? 2 : 1;
    context.beginPath();
    context.moveTo(x(west + metres), y(south));
    context.lineTo(x(west + metres), y(south + SIDE));
    context.moveTo(x(west), y(south + metres));
    context.lineTo(x(west + SIDE), y(south + metres));
    context.stroke();
    if (!isBold) continue;
    context.fillText(String(west + metres), x(west + metres), size - MARGIN / 2);
    context.fillText(String(south + metres), MARGIN / 2, y(south + metres));
  }
  const controls = [
    [0, 0],
    [SIDE, 0],
    [SIDE, SIDE],
    [0, SIDE],
  ].map(([e = 0, n = 0]) => {
    const point = { east: west + e, north: south + n };
    const label = `${point.east} ${point.north}`;
    return { x: x(point.east), y: y(point.north), position: grid.value.inverse(point), label };
  });
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  return {
    file: new File([blob], 'grid.png', { type: 'image/png' }),
    about: {
      name: `Grid at ${round(east)} ${round(north)}`,
      controls,
      ...(projection !== undefined && { projection }),
    },
  };
}
