import type { OutingNorths } from '@/core/north/outing-norths';
import { angleText, signedDifference } from '@/core/units/angle';
import { polar, type PlanePoint } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import type { Box } from '@/sketch/labels';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import styles from './furniture.module.css';

const LENGTH = 74;
const LINE_HEIGHT = 16;
/** Below this angle the arrows would lie on each other. */
const SMALLEST_DRAWN = 0.5;
/** Far enough from a side for an arrow that leans to it, and its name. */
const FOOT_X = 110;
const FOOT_Y = 122;

/** True north alone leans to no side. */
const ALONE_X = 40;

/** The box that the arrows and their names may take, from their foot. */
export const arrowsBox = ({ x, y }: Pixel, isAlone = false): Box => ({
  left: x - (isAlone ? ALONE_X : FOOT_X),
  right: x + (isAlone ? ALONE_X : FOOT_X),
  top: y - FOOT_Y,
  bottom: y + 12,
});

/** The foot of the arrows: in the corner where the fewest stations are, the top right if it may. */
export function arrowsFoot(
  points: readonly PlanePoint[],
  view: View,
  { width, height }: Size,
): Pixel {
  const stations = points.map((point) => onScreen(view, point));
  const corners = [
    { x: width - FOOT_X, y: FOOT_Y },
    { x: FOOT_X, y: FOOT_Y },
    { x: width - FOOT_X, y: height - 24 },
  ];
  const counts = corners.map((corner) => {
    const { left, right, top, bottom } = arrowsBox(corner);
    return count(stations, ({ x, y }) => x > left && x < right && y > top && y < bottom);
  });
  return corners[counts.indexOf(Math.min(...counts))] ?? { x: width - FOOT_X, y: FOOT_Y };
}

const count = <Each,>(all: readonly Each[], is: (each: Each) => boolean) => all.filter(is).length;

interface ArrowProps {
  turn: Degrees;
  name: string;
  /** The angle from true north, below the name. */
  angle?: string;
  className?: string;
}

/** An arrow turned clockwise from the top of the sheet, with its name at its head. */
function Arrow({ turn, name, angle, className }: ArrowProps) {
  const { east, north } = polar(turn, LENGTH);
  const side = Math.sign(turn);
  const anchor = side < 0 ? 'end' : side > 0 ? 'start' : 'middle';
  return (
    <g className={className}>
      <g transform={`rotate(${turn})`}>
        <line x1="0" y1="0" x2="0" y2={-LENGTH + 8} />
        <path d={`M-5 ${-LENGTH + 12}L0 ${-LENGTH}L5 ${-LENGTH + 12}Z`} />
      </g>
      <text x={east + side * 8} y={-north - 4} textAnchor={anchor}>
        {name}
      </text>
      {angle && (
        <text x={east + side * 8} y={-north - 4 + LINE_HEIGHT} textAnchor={anchor}>
          {angle}
        </text>
      )}
    </g>
  );
}

interface Props {
  /** Null where true north is all that is drawn. */
  norths: OutingNorths | null;
  foot: Pixel;
  /** The bearing that is up. */
  up: Degrees;
}

/** All norths that are known, with the declination. */
export function NorthArrows({ norths, foot, up }: Props) {
  const transform = `translate(${foot.x} ${foot.y})`;
  if (!norths) {
    return (
      <g transform={transform}>
        <Arrow turn={signedDifference(up, 0)} name="true" className={styles.true} />
      </g>
    );
  }
  const { declinationEast, convergenceEast } = norths;
  if (declinationEast === null) {
    return (
      <g transform={transform}>
        <Arrow turn={signedDifference(up, 0)} name="magnetic" className={styles.magnetic} />
      </g>
    );
  }
  const drawsMagnetic = Math.abs(declinationEast) >= SMALLEST_DRAWN;
  return (
    <g transform={transform}>
      {drawsMagnetic && (
        <Arrow
          turn={signedDifference(up, declinationEast)}
          name="magnetic"
          angle={angleText(declinationEast)}
          className={styles.magnetic}
        />
      )}
      {Math.abs(convergenceEast) >= SMALLEST_DRAWN && (
        <Arrow turn={signedDifference(up, convergenceEast)} name="grid" className={styles.grid} />
      )}
      <Arrow
        turn={signedDifference(up, 0)}
        name={drawsMagnetic ? 'true' : 'true, magnetic'}
        className={styles.true}
      />
    </g>
  );
}
