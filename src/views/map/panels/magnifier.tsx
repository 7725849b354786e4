import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Pixel } from '@/sketch/view';
import { drawTiles } from '../draw-tiles';
import styles from '../map.module.css';
import { planeOf } from '../picture-plane';
import type { Tiles } from '../use-tiles';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

const SIZE = { width: 220, height: 220 };
/** Screen pixels for one of the picture. */
const TIMES = 4;

interface Props {
  tiles: Tiles;
  arrived: number;
  at: Pixel;
  onMove: (pixel: Pixel) => void;
}

/** The place that was tapped, four times as large: it is dragged under the cross. */
export function Magnifier({ tiles, arrived, at, onMove }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const held = useRef<Pixel | null>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const { east, north } = planeOf(at);
    const [x, y] = [SIZE.width / 2 - TIMES * east, SIZE.height / 2 + TIMES * north];
    drawTiles(context, tiles, { k: TIMES, x, y, turn: 0 }, SIZE, 1);
  }, [tiles, arrived, at]);
  const down = (event: PointerEvent) => {
    held.current = { x: event.clientX, y: event.clientY };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent) => {
    if (!held.current) return;
    const { x, y } = held.current;
    held.current = { x: event.clientX, y: event.clientY };
    onMove({ x: at.x - (event.clientX - x) / TIMES, y: at.y - (event.clientY - y) / TIMES });
  };
  const key = (event: KeyboardEvent) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
      event.key
    ];
    if (!step) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 0.5;
    onMove({ x: at.x + by * nth(step, 0), y: at.y + by * nth(step, 1) });
  };
  return (
    <div
      className={styles.magnifier}
      role="application"
      aria-label={WORDS.magnifier}
      title={WORDS.magnifier}
      tabIndex={0}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => (held.current = null)}
      onKeyDown={key}
      data-testid="magnifier"
    >
      <canvas ref={canvas} width={SIZE.width} height={SIZE.height} aria-hidden="true" />
      <svg viewBox="-110 -110 220 220" aria-hidden="true">
        <path d="M-110 0H-9M9 0H110M0 -110V-9M0 9V110" />
      </svg>
    </div>
  );
}
