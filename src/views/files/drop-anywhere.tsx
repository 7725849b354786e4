'use client';
import { useEffect, useState, type ReactNode } from 'react';

const filesIn = ({ dataTransfer }: DragEvent) =>
  dataTransfer?.types.includes('Files') ? [...dataTransfer.files] : null;

/**
 * Files that are dropped on any page are looked at right there. The parts of a page that take files
 * themselves come first. A browser would leave the page for the file.
 */
export function DropAnywhere() {
  const [dialog, setDialog] = useState<ReactNode>(null);
  useEffect(() => {
    const onDrag = (event: DragEvent) => {
      const files = filesIn(event);
      if (!files || event.defaultPrevented) return;
      event.preventDefault();
      if (event.type !== 'drop' || files.length === 0) return;
      void import('./import/dropped').then(async ({ droppedDialog }) =>
        setDialog(await droppedDialog(files, () => setDialog(null))),
      );
    };
    for (const type of ['dragover', 'drop'] as const) window.addEventListener(type, onDrag);
    return () => {
      for (const type of ['dragover', 'drop'] as const) window.removeEventListener(type, onDrag);
    };
  }, []);
  return dialog;
}
