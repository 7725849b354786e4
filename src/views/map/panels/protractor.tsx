import { Slider } from 'antd';
import { normalised, signedDifference } from '@/core/units/angle';
import { bearingDigits } from '@/core/units/angle';
import type { Degrees } from '@/core/units/units';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../map.module.css';
import { WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

/** How the base-plate compass lies on the map. */
export interface PlateState {
  /** Grid azimuth of the line of travel. */
  readonly edge: Degrees;
  /** What the dial reads at the line of travel. */
  readonly dial: Degrees;
}
export const PLATE_AT_FIRST: PlateState = { edge: 0, dial: 0 };

const PLATE = { width: 84, length: 200, dial: 34 };
/** A hand lays an edge and a dial to this. Common practice, no source. */
const NEAR = 1.5;
const REVERSED = 170;

/** Which way the dial's N points, from grid north. */
const dialNorth = ({ edge, dial }: PlateState): Degrees => normalised(edge - dial);

interface DrawnProps {
  state: PlateState;
  /** Where the back corner of its edge lies, and the screen's direction of the line of travel. */
  at: Pixel;
  turn: Degrees;
}

/** The compass itself: edge along the way, dial with its lines, N, and the mark it is read at. */
export function PlateDrawn({ state, at, turn }: DrawnProps) {
  const { width, length, dial } = PLATE;
  return (
    <g
      className={styles.plate}
      transform={`translate(${at.x} ${at.y}) rotate(${turn})`}
      data-testid="plate"
    >
      <rect x={0} y={-length} width={width} height={length} rx={10} />
      <path d={`M${width / 2} ${-length + 8}V${-length + 50}M${width / 2 - 7} ${-length + 20}`} />
      <path d={`M${width / 2 - 7} ${-length + 22}L${width / 2} ${-length + 8}l7 14`} />
      <g transform={`translate(${width / 2} ${-length / 2 + 36})`}>
        <circle r={dial} />
        <path className={styles.index} d={`M0 ${-dial - 8}V${-dial}`} />
        <g transform={`rotate(${-state.dial})`}>
          {Array.from({ length: 36 }, (_, index) => (
            <path
              key={index}
              d={`M0 ${-dial}V${-dial + (index % 9 === 0 ? 9 : 5)}`}
              transform={`rotate(${index * 10})`}
            />
          ))}
          {[-14, -7, 0, 7, 14].map((x) => (
            <path key={x} className={styles.orienting} d={`M${x} -18V20`} />
          ))}
          <text y={-20} textAnchor="middle">
            N
          </text>
        </g>
      </g>
    </g>
  );
}

interface PanelProps {
  state: PlateState;
  onState: (state: PlateState) => void;
  /** The bearing on the map between the two places; null before they are chosen. */
  wanted: Degrees | null;
}

/** What is turned by hand, what it reads, and what is wrong with it. */
export function ProtractorPanel({ state, onState, wanted }: PanelProps) {
  return (
    <>
      <p className={layout.soft}>{WORDS.protractorHow}</p>
      <p id="edge-label">{WORDS.edge}</p>
      <Slider
        ariaLabelledByForHandle="edge-label"
        min={0}
        max={359}
        tooltip={{ open: false }}
        value={Math.round(state.edge)}
        onChange={(edge: number) => onState({ ...state, edge })}
      />
      <p id="dial-label">{WORDS.dial}</p>
      <Slider
        ariaLabelledByForHandle="dial-label"
        min={0}
        max={359}
        tooltip={{ open: false }}
        value={Math.round(state.dial)}
        onChange={(dial: number) => onState({ ...state, dial })}
      />
      <p className={styles.big} data-testid="protractor">
        {WORDS.reads(bearingDigits(state.dial))}
      </p>
      {wanted !== null && (
        <>
          <p role="status">{judged(state, wanted)}</p>
          <PressButton
            onClick={() => onState({ edge: Math.round(wanted), dial: Math.round(wanted) })}
          >
            {WORDS.showMe}
          </PressButton>
        </>
      )}
    </>
  );
}

/** What is right or wrong with how the compass lies. */
function judged(state: PlateState, wanted: Degrees): string {
  const edgeOff = Math.abs(signedDifference(wanted, state.edge));
  const dialOff = Math.abs(signedDifference(0, dialNorth(state)));
  if (edgeOff > NEAR) return WORDS.protractorEdgeOff(`${Math.round(edgeOff)}°`);
  if (dialOff > REVERSED) return WORDS.protractorReversed;
  if (dialOff > NEAR) return WORDS.protractorDialOff(`${Math.round(dialOff)}°`);
  return WORDS.protractorRight(bearingDigits(state.dial));
}
