import { barMetres, type View } from '@/formats/sketch/geometry';
import styles from './sketch-leaf.module.css';

const MOST_PIXELS = 140;

/** A round length on the ground, in metres and in paces. */
export function ScaleBar({
  view,
  height,
  paceMetres,
}: {
  view: View;
  height: number;
  paceMetres: number;
}) {
  const metres = barMetres(view.k, MOST_PIXELS);
  const width = metres * view.k;
  const paces = Number.isNaN(paceMetres)
    ? ''
    : ` · ${Math.round(metres / paceMetres).toLocaleString('en')} paces`;
  return (
    <g className={styles.scale} transform={`translate(24 ${height - 24})`} data-testid="scale-bar">
      <path d={`M0 -7V0H${width}V-7M${width / 2} -4V0`} />
      <text x={0} y={-14}>
        {metres >= 1000 ? `${metres / 1000} km` : `${metres} m`}
        {paces}
      </text>
    </g>
  );
}
