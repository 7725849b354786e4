import type { ReactNode } from 'react';
import { withFurniture } from '@/ui/theme/with-furniture';
import { ImportDialog } from './import-dialog';
import { offeredFiles } from './offered-file';

/** The dialog that shows what dropped files hold. */
export async function droppedDialog(
  files: readonly File[],
  onClose: () => void,
): Promise<ReactNode> {
  const [offered, Dialog] = await Promise.all([
    offeredFiles(files),
    withFurniture(Promise.resolve(ImportDialog)),
  ]);
  return <Dialog key={offered.id} offered={offered} onClose={onClose} />;
}
