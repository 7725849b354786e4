'use client';
import { useEffect, useRef, type ReactNode } from 'react';
import styles from './tap-area.module.css';

interface Props {
  label: string;
  onTap: () => void;
  onUndo: () => void;
  children: ReactNode;
}

/** A browser may send the click of a touch this long after the finger has left. */
const CLICK_FOLLOWS_WITHIN_MS = 700;

/** Space on a radio button that is checked does nothing else, so it counts there too. */
const isRadio = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.type === 'radio' && target.checked;

const isField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.closest('input, textarea, select, [role=combobox], [role=dialog]') !== null ||
    (target.closest('button, a') !== null && target.closest('[data-tap]') === null));

/**
 * Tells the click that ends a press, however long it was held or the page was busy, from the click
 * that an assistive device makes without one.
 */
function usePresses() {
  const isDown = useRef(false);
  const lifted = useRef(-Infinity);
  useEffect(() => {
    const onLift = (event: PointerEvent) => {
      if (!isDown.current) return;
      isDown.current = false;
      lifted.current = event.timeStamp;
    };
    // A finger may have slid off the area before it leaves.
    window.addEventListener('pointerup', onLift);
    window.addEventListener('pointercancel', onLift);
    return () => {
      window.removeEventListener('pointerup', onLift);
      window.removeEventListener('pointercancel', onLift);
    };
  }, []);
  return {
    begin: () => {
      isDown.current = true;
    },
    isEndedBy: (click: { readonly timeStamp: number }) =>
      isDown.current || click.timeStamp - lifted.current <= CLICK_FOLLOWS_WITHIN_MS,
  };
}

/**
 * One huge area to tap: by touch at the moment the finger lands, by Space or an arrow, or by the
 * click of an assistive device. Left or Backspace undoes the last one.
 */
export function TapArea({ label, onTap, onUndo, children }: Props) {
  const presses = usePresses();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        (isField(event.target) && !(event.key === ' ' && isRadio(event.target)))
      )
        return;
      const taps = event.key === ' ' || event.key === 'ArrowRight' || event.key === 'ArrowUp';
      const undoes =
        event.key === 'ArrowLeft' || event.key === 'ArrowDown' || event.key === 'Backspace';
      if (!taps && !undoes) return;
      event.preventDefault();
      if (event.repeat) return;
      if (taps) onTap();
      else onUndo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onTap, onUndo]);
  return (
    <button
      type="button"
      data-tap
      className={styles.area}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        presses.begin();
        onTap();
      }}
      onClick={(event) => {
        if (!presses.isEndedBy(event)) onTap();
      }}
      onKeyUp={(event) => event.key === ' ' && event.preventDefault()}
    >
      <span className="visually-hidden">{label}:</span>
      {children}
    </button>
  );
}
