import type { Metres } from '@/core/units/units';
import type { Box } from '@/sketch/labels';
import { scaleBarMetres, type View } from '@/sketch/view';
import { roundLengthText, lengthUnit } from '@/ui/units/shown';
import styles from './furniture.module.css';

const MOST_PIXELS = 140;

/** The box that the scale bar and its words take. */
export const scaleBox = (height: number, left = 0): Box => ({
  left,
  right: left + 24 + MOST_PIXELS + 120,
  top: height - 60,
  bottom: height,
});

interface Props {
  view: View;
  height: number;
  /** Where the free part of the drawing begins. */
  left?: number;
  paceMetres: Metres | null;
  /** Metres between the lines of the grid; null without one. */
  gridMetres: Metres | null;
}

/** A round length on the ground, in the person’s unit and in paces. */
export function ScaleBar({ view, height, left = 0, paceMetres, gridMetres }: Props) {
  const metres = scaleBarMetres(view.k, MOST_PIXELS, lengthUnit().metres);
  const width = metres * view.k;
  const paces =
    paceMetres === null ? '' : ` · ${Math.round(metres / paceMetres).toLocaleString('en')} paces`;
  return (
    <g
      className={styles.scale}
      transform={`translate(${left + 24} ${height - 24})`}
      data-testid="scale-bar"
    >
      <path d={`M0 -7V0H${width}V-7M${width / 2} -4V0`} />
      <text x={0} y={-14}>
        {roundLengthText(metres)}
        {paces}
        {gridMetres === null ? '' : ` · grid ${roundLengthText(gridMetres)}`}
      </text>
    </g>
  );
}
