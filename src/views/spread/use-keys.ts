'use client';
import { useEffect } from 'react';

const inTextField = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

export interface KeyActions {
  readonly step: (kind: 'undo' | 'redo') => void;
  readonly palette: () => void;
  readonly find: () => void;
  readonly shortcuts: () => void;
  readonly pad: () => void;
  readonly counter: () => void;
}

/** The shortcuts of the spread, as they are listed under `?`. */
export const SHORTCUTS: readonly { keys: string; does: string }[] = [
  { keys: 'Enter', does: 'Log what is typed' },
  { keys: 'Esc', does: 'Clear the line, or let go of what is chosen' },
  { keys: 'Ctrl K', does: 'Everything that can be done, by name' },
  { keys: 'Ctrl Z', does: 'Undo' },
  { keys: 'Ctrl Shift Z', does: 'Redo' },
  { keys: '/', does: 'Find in the log' },
  { keys: 'D', does: 'Dial and number pad' },
  { keys: 'C', does: 'Counter' },
  { keys: '↑ ↓', does: 'In the log: choose a line' },
  { keys: 'Enter, Delete', does: 'In the log: correct it, strike it out' },
  { keys: 'F', does: 'In the log: the next leg leaves from the end of this one' },
  { keys: '+ - 0', does: 'In the sketch: nearer, farther, show all' },
  { keys: '← → ↑ ↓', does: 'In the sketch: move it. On the dial: turn by 1°, with Shift by 10°' },
  { keys: '?', does: 'This list' },
];

/**
 * Undo and redo by key (Ctrl or Command with Z, with Shift+Z or Y), the palette, and single letters outside of text
 * fields. In a text field that holds text the browser's own undo of typing goes first.
 */
export function useKeys(actions: KeyActions, lineEmpty: boolean): void {
  useEffect(() => {
    const chord = (event: KeyboardEvent): (() => void) | null => {
      const key = event.key.toLowerCase();
      if (key === 'k') return actions.palette;
      if (inTextField(event.target) && !lineEmpty) return null;
      if (key === 'y' || (key === 'z' && event.shiftKey)) return () => actions.step('redo');
      return key === 'z' ? () => actions.step('undo') : null;
    };
    const letters: Readonly<Record<string, () => void>> = {
      '/': actions.find,
      '?': actions.shortcuts,
      d: actions.pad,
      c: actions.counter,
    };
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.altKey || document.querySelector('[role=dialog]')) return;
      const modified = event.ctrlKey || event.metaKey;
      const act = modified
        ? chord(event)
        : inTextField(event.target) && !(lineEmpty && '/?'.includes(event.key))
          ? null
          : letters[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [actions, lineEmpty]);
}
