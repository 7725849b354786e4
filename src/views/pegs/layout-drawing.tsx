import type { GroundLayout } from '@/core/navigation/ground-layout';
import { boundsOf, ORIGIN } from '@/core/units/plane';
import styles from './pegs.module.css';
import { WORDS } from './words';
import { visibleText } from '@/core/units/visible';

const SIZE = 300;
const MARGIN = 26;

interface Props extends Pick<GroundLayout, 'pegs'> {
  /** What the first peg stands for. */
  start: string;
}

/** The layout from above, with the string that is the way home. */
export function LayoutDrawing({ pegs, start }: Props) {
  const named = [{ name: start, ...ORIGIN }, ...pegs];
  const { west, east, south, north } = boundsOf(named);
  const k = (SIZE - 2 * MARGIN) / Math.max(east - west, north - south, 1);
  const drawn = named.map((peg) => ({
    name: visibleText(peg.name),
    x: SIZE / 2 + (peg.east - (west + east) / 2) * k,
    y: SIZE / 2 - (peg.north - (south + north) / 2) * k,
  }));
  const [first, last] = [drawn.at(0), drawn.at(-1)];
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className={styles.drawing}
      role="img"
      aria-label={WORDS.drawing}
    >
      <polyline points={drawn.map(({ x, y }) => `${x},${y}`).join(' ')} className={styles.string} />
      <line x1={last?.x} y1={last?.y} x2={first?.x} y2={first?.y} className={styles.closing} />
      {drawn.map(({ name, x, y }, index) => (
        <g key={index}>
          <circle cx={x} cy={y} r="5" className={styles.peg} />
          <text x={x + 8} y={y + 4}>
            {name}
          </text>
        </g>
      ))}
    </svg>
  );
}
