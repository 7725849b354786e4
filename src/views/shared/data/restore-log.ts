import { readLines } from '@/core/log-text/read-log';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { addOuting } from '@/store/outings';
import { viewUrl } from '@/views/views';

/** Makes the outing again whose log was kept in the second place, and opens it. */
export async function restoreLog(text: string): Promise<void> {
  const read = readLines(text, crypto.randomUUID());
  if (!read.ok) return;
  const { outing } = read.value;
  await addOuting(browserDatabase(), outing, new Date());
  await leaveFor(viewUrl('outing', outing.id));
}
