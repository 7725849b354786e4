'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { withFurniture } from '@/ui/theme/with-furniture';
import { offeredFiles, type Offered } from './import/offered-file';

const ImportDialog = dynamic(
  () => withFurniture(import('./import/import-dialog').then((it) => it.ImportDialog)),
  { ssr: false },
);

const filesOf = ({ dataTransfer }: DragEvent): readonly File[] => [...(dataTransfer?.files ?? [])];
const hasFiles = ({ dataTransfer }: DragEvent) => dataTransfer?.types.includes('Files') === true;

/**
 * Files that are dropped on any page are looked at right there. The parts of a page that take files
 * themselves come first. A browser would leave the page for the file.
 */
export function DropAnywhere() {
  const [offered, setOffered] = useState<Offered | null>(null);
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (hasFiles(event)) event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      if (event.defaultPrevented || !hasFiles(event)) return;
      event.preventDefault();
      const files = filesOf(event);
      if (files.length > 0) void offeredFiles(files).then(setOffered);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, []);
  return (
    offered && <ImportDialog key={offered.id} offered={offered} onClose={() => setOffered(null)} />
  );
}
