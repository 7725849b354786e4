import { angleWords } from '@/core/angle';
import { northEastOf, type North, type Norths } from '@/core/north';
import { drawnNorths } from './drawn-norths';
import styles from './norths.module.css';
import { WORDS } from './words';

const SHORT: Readonly<Record<North, string>> = { magnetic: 'needle', true: 'true', grid: 'grid' };
const FOOT = { x: 170, y: 250 };

const tip = (turn: number, length: number) => {
  const angle = (turn * Math.PI) / 180;
  return { x: FOOT.x + length * Math.sin(angle), y: FOOT.y - length * Math.cos(angle) };
};

/** The norths that are known, as arrows from one foot, with the angles between neighbours. */
export function NorthsDrawing({ norths }: { norths: Norths }) {
  const { arrows, times } = drawnNorths(norths);
  const words = arrows.slice(1).map((arrow, index) => {
    const left = arrows[index]!;
    const apart = northEastOf(left.north, arrow.north, norths)!;
    return { left, right: arrow, words: angleWords(Math.abs(apart)).replace(/ .*/, '') };
  });
  return (
    <section className={styles.part} aria-labelledby="drawing">
      <h2 id="drawing">{WORDS.drawing}</h2>
      <svg viewBox="0 0 340 270" className={styles.drawing} role="img" aria-labelledby="drawn">
        <title id="drawn">
          {arrows.length < 2
            ? WORDS.onlyNeedle
            : words
                .map(
                  ({ left, right, words: apart }) =>
                    `${apart} from ${SHORT[left.north]} to ${SHORT[right.north]}`,
                )
                .join(', ')}
        </title>
        {arrows.map(({ north, turn, length, names }) => {
          const end = tip(turn, length);
          return (
            <g key={north} className={styles[north]}>
              <line x1={FOOT.x} y1={FOOT.y} x2={end.x} y2={end.y} />
              <path
                d="M-6 13L0 0L6 13Z"
                transform={`translate(${end.x} ${end.y}) rotate(${turn})`}
              />
              <text
                x={end.x}
                y={end.y - 8}
                textAnchor={turn < -2 ? 'end' : turn > 2 ? 'start' : 'middle'}
              >
                {names.map((name) => SHORT[name]).join(' and ')}
              </text>
            </g>
          );
        })}
        {words.map(({ left, right, words: apart }, index) => {
          const radius = 132 - 40 * index;
          const [a, b] = [tip(left.turn, radius), tip(right.turn, radius)];
          const middle = tip((left.turn + right.turn) / 2, radius + 8);
          return (
            <g key={apart + index} className={styles.angle}>
              <path d={`M${a.x} ${a.y}A${radius} ${radius} 0 0 1 ${b.x} ${b.y}`} />
              <text x={middle.x} y={middle.y - 2} textAnchor="middle">
                {apart}
              </text>
            </g>
          );
        })}
        <circle cx={FOOT.x} cy={FOOT.y} r="5" className={styles.foot} />
      </svg>
      <p className={styles.soft}>
        {arrows.length < 2
          ? WORDS.onlyNeedle
          : times === 1
            ? WORDS.toScale
            : WORDS.exaggerated(times)}
      </p>
    </section>
  );
}
