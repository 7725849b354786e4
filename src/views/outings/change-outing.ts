import { changeHeader } from '@/core/edit/settings';
import type { Outing } from '@/core/model/outing';
import { browserDatabase } from '@/store/browser-database';
import { addOuting } from '@/store/outings';
import { OutingSession } from '@/store/outing-session';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { loadEarthModels } from '@/views/shared/data/use-earth-models';

/** Gives an outing another name; resolves to why it was not written, or null. */
export async function renameOuting(id: string, name: string): Promise<string | null> {
  const session = new OutingSession(browserDatabase(), id);
  const command = changeHeader((header) => ({ ...header, name }));
  return outcomeMessage(await session.run(command, await loadEarthModels()));
}

/** Stores the same outing once more under another name. */
export const duplicateOuting = (outing: Outing, name: string): Promise<void> =>
  addOuting(browserDatabase(), { ...outing, id: crypto.randomUUID(), name }, new Date());
