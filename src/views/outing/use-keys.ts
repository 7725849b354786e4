'use client';
import { useEffect } from 'react';

export interface KeyActions {
  readonly step: (kind: 'undo' | 'redo') => void;
  readonly palette: () => void;
  readonly find: () => void;
  readonly shortcuts: () => void;
  readonly keypad: () => void;
  readonly counter: () => void;
}

/** The shortcuts of the outing view, as they are listed under `?`. */
export const SHORTCUTS: readonly { keys: string; does: string }[] = [
  { keys: 'Enter', does: 'Log what is typed' },
  { keys: 'Esc', does: 'Clear the line, or the selection' },
  { keys: 'Ctrl K', does: 'All actions, by name' },
  { keys: 'Ctrl Z', does: 'Undo' },
  { keys: 'Ctrl Shift Z', does: 'Redo' },
  { keys: '/', does: 'Find in the log' },
  { keys: 'D', does: 'Keypad: dial and number keys' },
  { keys: 'C', does: 'Pace counter' },
  { keys: '↑ ↓', does: 'In the log: select a line' },
  { keys: 'Enter, Delete', does: 'In the log: correct it, strike it out' },
  { keys: 'F', does: 'In the log: the next leg starts at the end of this one' },
  { keys: '+ - 0', does: 'In the sketch: zoom in, zoom out, fit' },
  { keys: '← → ↑ ↓', does: 'In the sketch: move it. On the dial: turn by 1°, with Shift by 10°' },
  { keys: '?', does: 'This list' },
];

const isTextField = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Keys that act in an empty entry line too. */
const IN_EMPTY_LINE = '/?';

/** What a key with Ctrl or Command does. Text has the browser's own undo while it is typed. */
function chordAction(event: KeyboardEvent, actions: KeyActions, lineEmpty: boolean) {
  const key = event.key.toLowerCase();
  if (key === 'k') return actions.palette;
  if (isTextField(event.target) && !lineEmpty) return undefined;
  if (key === 'y' || (key === 'z' && event.shiftKey)) return () => actions.step('redo');
  return key === 'z' ? () => actions.step('undo') : undefined;
}

/** What a single letter does, outside of text fields. */
function letterAction(event: KeyboardEvent, actions: KeyActions, lineEmpty: boolean) {
  const inField = isTextField(event.target);
  if (inField && !(lineEmpty && IN_EMPTY_LINE.includes(event.key))) return undefined;
  const letters: Readonly<Record<string, () => void>> = {
    '/': actions.find,
    '?': actions.shortcuts,
    d: actions.keypad,
    c: actions.counter,
  };
  return letters[event.key];
}

/** Listens to the shortcuts of the outing view, while no dialog is open. */
export function useKeys(actions: KeyActions, lineEmpty: boolean): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.altKey || document.querySelector('[role=dialog]')) return;
      const act =
        event.ctrlKey || event.metaKey
          ? chordAction(event, actions, lineEmpty)
          : letterAction(event, actions, lineEmpty);
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [actions, lineEmpty]);
}
