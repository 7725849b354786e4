'use client';
import { useEffect } from 'react';

const inTextField = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/**
 * Undo and redo by key (Ctrl or Command with Z, with Shift+Z or Y). In a text field that holds text the
 * browser's own undo of typing goes first.
 */
export function useKeys(step: (kind: 'undo' | 'redo') => void, lineEmpty: boolean): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const kind =
        key === 'y' || (key === 'z' && event.shiftKey) ? 'redo' : key === 'z' ? 'undo' : null;
      if (!kind || (inTextField(event.target) && !lineEmpty)) return;
      if (document.querySelector('[role=dialog]')) return;
      event.preventDefault();
      step(kind);
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [step, lineEmpty]);
}
