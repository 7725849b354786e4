'use client';
import { useEffect, useRef, type ReactNode } from 'react';
import styles from './tap-area.module.css';

interface Props {
  label: string;
  onTap: () => void;
  onUndo: () => void;
  children: ReactNode;
}

/** A click that follows a touch within this time is the same touch. */
const SAME_TOUCH_MS = 700;

/** Space on a radio button that is checked does nothing else, so it counts there too. */
const isRadio = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.type === 'radio' && target.checked;

const isField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.closest('input, textarea, select, [role=combobox], [role=dialog]') !== null ||
    (target.closest('button, a') !== null && target.closest('[data-tap]') === null));

/**
 * One huge area to tap: by touch at the moment the finger lands, by Space or an arrow, or by the
 * click of an assistive device. Left or Backspace undoes the last one.
 */
export function TapArea({ label, onTap, onUndo, children }: Props) {
  const landed = useRef(-Infinity);
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
        landed.current = event.timeStamp;
        onTap();
      }}
      onClick={(event) => {
        if (event.timeStamp - landed.current > SAME_TOUCH_MS) onTap();
      }}
      onKeyUp={(event) => event.key === ' ' && event.preventDefault()}
    >
      <span className="visually-hidden">{label}:</span>
      {children}
    </button>
  );
}
