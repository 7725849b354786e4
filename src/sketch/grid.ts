import { boundsOf } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { onPlane, scaleBarMetres, type Size, type View } from './view';

/** Lines are at most so far apart on the screen, so that a few cross every sheet. */
const MOST_PIXELS = 90;

export interface Grid {
  readonly stepMetres: Metres;
  /** The lines in metres, y downward; they run north and east from the start. */
  readonly path: string;
}

/** The grid over all of the sheet that is seen: lines at round lengths of a unit from the start. */
export function gridOf(view: View, { width, height }: Size, unitMetres: Metres): Grid {
  const stepMetres = scaleBarMetres(view.k, MOST_PIXELS, unitMetres);
  const corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: 0, y: height },
    { x: width, y: height },
  ];
  const { west, east, south, north } = boundsOf(corners.map((corner) => onPlane(view, corner)));
  const first = (metres: Metres) => Math.ceil(metres / stepMetres) * stepMetres;
  const parts: string[] = [];
  for (let x = first(west); x <= east; x += stepMetres) parts.push(`M${x} ${-north}V${-south}`);
  for (let y = first(south); y <= north; y += stepMetres) parts.push(`M${west} ${-y}H${east}`);
  return { stepMetres, path: parts.join('') };
}
