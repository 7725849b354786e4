import { pairs } from 'd3-array';
import { NORTH_WORDS } from '@/core/entries/describe';
import { northEastOf, type Norths } from '@/core/north/norths';
import { polar } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { Section } from '@/views/shared/page/view-page';
import styles from './declination.module.css';
import { drawnNorths } from './drawn-norths';
import { WORDS } from './words';

/** Where all arrows begin, in a box of 340 by 270. */
const FOOT = { x: 170, y: 250 };
/** Radius of the arc of the first angle; the next ones are drawn inside it. */
const FIRST_ARC = 132;
const ARC_STEP = 40;

const tip = (turn: Degrees, length: number) => {
  const { east, north } = polar(turn, length);
  return { x: FOOT.x + east, y: FOOT.y - north };
};

type Arrow = ReturnType<typeof drawnNorths>['arrows'][number];

/** The angle between two neighbouring norths. */
interface Angle {
  readonly left: Arrow;
  readonly right: Arrow;
  /** As shown: 19.1°. */
  readonly apart: string;
}

/** The norths that are known, as arrows from one foot, with the angles between neighbours. */
export function NorthsDrawing({ norths }: { norths: Norths }) {
  const { arrows, times } = drawnNorths(norths);
  const angles = pairs(arrows, (left, right): Angle => {
    const east = northEastOf(left.north, right.north, norths) ?? 0;
    return { left, right, apart: `${Math.abs(east).toFixed(1)}°` };
  });
  const caption =
    arrows.length < 2 ? WORDS.onlyMagnetic : times === 1 ? WORDS.toScale : WORDS.exaggerated(times);
  return (
    <Section id="drawing" title={WORDS.drawing}>
      <svg viewBox="0 0 340 270" className={styles.drawing} role="img" aria-labelledby="drawn">
        <title id="drawn">{titleOf(angles)}</title>
        {arrows.map((arrow) => (
          <NorthArrow key={arrow.north} arrow={arrow} />
        ))}
        {angles.map((angle, index) => (
          <AngleArc key={angle.left.north} angle={angle} radius={FIRST_ARC - ARC_STEP * index} />
        ))}
        <circle cx={FOOT.x} cy={FOOT.y} r="5" className={styles.foot} />
      </svg>
      <p className={styles.soft}>{caption}</p>
    </Section>
  );
}

const titleOf = (angles: readonly Angle[]): string =>
  angles.length === 0
    ? WORDS.onlyMagnetic
    : angles
        .map(
          ({ left, right, apart }) =>
            `${apart} from ${NORTH_WORDS[left.north]} to ${NORTH_WORDS[right.north]}`,
        )
        .join(', ');

/** A name is anchored on the side where no other arrow is. */
const STRAIGHT_UP = 2;
const anchorOf = (turn: Degrees) =>
  turn < -STRAIGHT_UP ? 'end' : turn > STRAIGHT_UP ? 'start' : 'middle';

function NorthArrow({ arrow: { north, names, turn, length } }: { arrow: Arrow }) {
  const { x, y } = tip(turn, length);
  return (
    <g className={styles[north]}>
      <line x1={FOOT.x} y1={FOOT.y} x2={x} y2={y} />
      <path d="M-6 13L0 0L6 13Z" transform={`translate(${x} ${y}) rotate(${turn})`} />
      <text x={x} y={y - 8} textAnchor={anchorOf(turn)}>
        {names.map((name) => NORTH_WORDS[name]).join(' and ')}
      </text>
    </g>
  );
}

function AngleArc({ angle: { left, right, apart }, radius }: { angle: Angle; radius: number }) {
  const [a, b] = [tip(left.turn, radius), tip(right.turn, radius)];
  const middle = tip((left.turn + right.turn) / 2, radius + 8);
  return (
    <g className={styles.angle}>
      <path d={`M${a.x} ${a.y}A${radius} ${radius} 0 0 1 ${b.x} ${b.y}`} />
      <text x={middle.x} y={middle.y - 2} textAnchor="middle">
        {apart}
      </text>
    </g>
  );
}
