import { useRef, type PointerEvent, type ReactNode } from 'react';
import { PANE_HEIGHTS, type PaneHeight } from './insets';
import styles from './map.module.css';
import { WORDS } from './words';

interface Props {
  side: 'left' | 'right';
  label: string;
  height: PaneHeight;
  onHeight: (height: PaneHeight) => void;
  children: ReactNode;
}

/** A pane over the map: at a side of a desk; on a phone a sheet from below with three heights. */
export function MapPane({ side, label, height, onHeight, children }: Props) {
  const from = useRef<number | null>(null);
  const index = PANE_HEIGHTS.indexOf(height);
  const to = (next: number) => onHeight(PANE_HEIGHTS[next] ?? height);
  const release = (event: PointerEvent) => {
    const start = from.current;
    from.current = null;
    if (start === null) return;
    const moved = event.clientY - start;
    // A tap goes round the three; a drag one up or down.
    if (Math.abs(moved) < DRAG_PIXELS) return to((index + 1) % PANE_HEIGHTS.length);
    to(index + (moved < 0 ? 1 : -1));
  };
  return (
    <div className={styles.pane} data-side={side} data-height={height}>
      <button
        type="button"
        className={styles.grip}
        aria-label={WORDS.grip(label, height)}
        onPointerDown={(event) => {
          from.current = event.clientY;
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerUp={release}
        onPointerCancel={() => (from.current = null)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          to((index + 1) % PANE_HEIGHTS.length);
        }}
      />
      <div className={styles.paneBody}>{children}</div>
    </div>
  );
}

const DRAG_PIXELS = 12;
