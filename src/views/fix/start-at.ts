import dayjs from 'dayjs';
import type { DeclinationSetting } from '@/core/model/header';
import { blankOuting } from '@/core/model/outing';
import { roundedPosition, type Position } from '@/core/readings/position';
import { addOuting } from '@/store/outings';
import { errorsOfNewOuting } from '@/store/own-errors';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { askToKeep, browserDatabase, leaveFor } from '@/store/browser-database';
import { ownPaces } from '@/views/shared/data/own-paces';
import { viewUrl } from '@/views/views';

/**
 * Begins an outing at a position, by the declination of the fix, and opens it; resolves to why it
 * could not be stored.
 */
export async function startAt(
  at: Position,
  declination: DeclinationSetting,
): Promise<string | null> {
  const now = dayjs();
  const id = crypto.randomUUID();
  const position = roundedPosition(at);
  try {
    const outing = {
      ...blankOuting(id, ''),
      ...errorsOfNewOuting(),
      date: { day: now.format('YYYY-MM-DD'), time: now.format('HH:mm') },
      start: { name: 'Start', position },
      declination,
      entries: await ownPaces(),
    };
    await addOuting(browserDatabase(), outing, now.toDate());
  } catch (error) {
    return STORE_MESSAGES[storeFault(error)];
  }
  askToKeep();
  void leaveFor(viewUrl('outing', id));
  return null;
}
