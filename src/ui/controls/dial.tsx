'use client';
import type { KeyboardEvent, PointerEvent } from 'react';
import { normalised } from '@/core/units/angle';
import { azimuthOf } from '@/core/units/plane';
import { bearingText } from '@/ui/units/shown';
import { FaceLetters, FaceTicks } from '../compass/face';
import styles from './dial.module.css';

const SIZE = 240;
const RIM = 108;
const LETTER_RADIUS = 82;
/** Nearer to the middle than this share of the rim a direction means nothing. */
const DEAD_WITHIN = 0.12;
/** Inside this share of the rim the dial turns by five degrees, outside by one. */
const COARSE_WITHIN = 0.62;
const COARSE = 5;
const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};

interface Props {
  /** Whole degrees, 0 to 359. */
  degrees: number;
  label: string;
  onTurn: (degrees: number) => void;
  /** The finger has left the dial: it is turned. */
  onTurned?: () => void;
}

/**
 * A dial to turn for a bearing: by finger or pointer (near the rim by single degrees, inside by
 * fives), by arrow keys (one degree, ten with Shift or Page), Home and End.
 */
export function Dial({ degrees, label, onTurn, onTurned }: Props) {
  const turn = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    const x = event.clientX - (box.left + box.width / 2);
    const y = event.clientY - (box.top + box.height / 2);
    const reach = (Math.hypot(x, y) / (box.width / 2)) * (SIZE / 2 / RIM);
    if (reach < DEAD_WITHIN) return;
    const step = reach < COARSE_WITHIN ? COARSE : 1;
    const angle = azimuthOf({ east: x, north: -y });
    onTurn((Math.round(angle / step) * step) % 360);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = (KEYS[event.key] ?? 0) * (event.shiftKey ? 10 : 1);
    if (event.key === 'Home') onTurn(0);
    else if (event.key === 'End') onTurn(359);
    else if (step !== 0) onTurn(normalised(degrees + step));
    else return;
    event.preventDefault();
  };
  return (
    <div
      className={styles.dial}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={359}
      aria-valuenow={degrees}
      aria-valuetext={bearingText(degrees)}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        turn(event);
      }}
      onPointerMove={(event) =>
        event.currentTarget.hasPointerCapture(event.pointerId) && turn(event)
      }
      onPointerUp={onTurned}
      onKeyDown={onKeyDown}
    >
      <DialDrawing degrees={degrees} />
    </div>
  );
}

const DialDrawing = ({ degrees }: { degrees: number }) => (
  <svg viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`} aria-hidden="true">
    <circle r={RIM} className={styles.rim} />
    <circle r={RIM * COARSE_WITHIN} className={styles.inner} />
    <FaceTicks
      every={5}
      rim={RIM}
      length={(tick) => (tick % 30 === 0 ? 16 : tick % 10 === 0 ? 10 : 6)}
      className={styles.tick}
    />
    <FaceLetters radius={LETTER_RADIUS} down={6} />
    <g transform={`rotate(${degrees})`} className={styles.hand}>
      <line y1="-30" y2={-RIM + 4} />
      <circle cy={-RIM} r="11" />
    </g>
    <text className={styles.figure} textAnchor="middle" y="10">
      {bearingText(degrees)}
    </text>
  </svg>
);
