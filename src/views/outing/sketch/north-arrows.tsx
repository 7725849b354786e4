import type { OutingNorths } from '@/core/north/outing-norths';
import { angleText } from '@/core/units/angle';
import { polar } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import type { Scene } from '@/sketch/scene';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import styles from './sketch-pane.module.css';

const LENGTH = 74;
const LINE_HEIGHT = 16;
/** Below this angle the arrows would lie on each other. */
const SMALLEST_DRAWN = 0.5;
/** How far the arrows and their names reach into the sketch. */
const REACH = { width: 260, height: 130 };
/** Far enough from a side for an arrow that leans to it, and its name. */
const FOOT_X = 110;
const FOOT_Y = 122;

/** The foot of the arrows: at the top right, or left where stations are in that corner. */
export function arrowsFoot(scene: Scene, view: View, { width }: Size): Pixel {
  let [inRight, inLeft] = [0, 0];
  for (const { to } of scene.outings.flatMap(({ legs }) => legs)) {
    const { x, y } = onScreen(view, to);
    if (y > REACH.height || y < 0) continue;
    if (x > width - REACH.width) inRight++;
    else if (x < REACH.width) inLeft++;
  }
  return { x: inRight > 0 && inLeft === 0 ? FOOT_X : width - FOOT_X, y: FOOT_Y };
}

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

/** All norths that are known, with the declination; the sheet's top is the frame's north. */
export function NorthArrows({ norths, foot }: { norths: OutingNorths; foot: Pixel }) {
  const { declinationEast, convergenceEast } = norths;
  const transform = `translate(${foot.x} ${foot.y})`;
  if (declinationEast === null) {
    return (
      <g transform={transform}>
        <Arrow turn={0} name="magnetic" className={styles.magnetic} />
      </g>
    );
  }
  const drawsMagnetic = Math.abs(declinationEast) >= SMALLEST_DRAWN;
  return (
    <g transform={transform}>
      {drawsMagnetic && (
        <Arrow
          turn={declinationEast}
          name="magnetic"
          angle={angleText(declinationEast)}
          className={styles.magnetic}
        />
      )}
      {Math.abs(convergenceEast) >= SMALLEST_DRAWN && (
        <Arrow turn={convergenceEast} name="grid" className={styles.grid} />
      )}
      <Arrow turn={0} name={drawsMagnetic ? 'true' : 'true, magnetic'} className={styles.true} />
    </g>
  );
}
