'use client';
import { useEffect, useRef, type ReactNode } from 'react';
import styles from './tap-area.module.css';

interface Props {
  label: string;
  onTap: () => void;
  onUndo: () => void;
  children: ReactNode;
}

/** Nobody holds a finger for so long: a press without a click (it slid off) is forgotten then. */
const FORGOTTEN_AFTER_MS = 60_000;

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
  /** When the press began whose click is still to come; null for none. */
  const pressed = useRef<number | null>(null);
  return {
    begin: ({ timeStamp }: { readonly timeStamp: number }) => {
      pressed.current = timeStamp;
    },
    isEndedBy: ({ detail, timeStamp }: { readonly detail: number; readonly timeStamp: number }) => {
      // Clicks that no pointer made count no pointer's clicks.
      if (detail === 0 || pressed.current === null) return false;
      const isSame = timeStamp - pressed.current <= FORGOTTEN_AFTER_MS;
      pressed.current = null;
      return isSame;
    },
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
        presses.begin(event);
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
