import { blankOuting, type Outing } from '@/core/model/outing';
import { areaStationOf } from '@/core/survey/party/area-members';
import type { Survey } from '@/core/survey/party/survey';
import { positionOfStation } from '@/core/survey/positions';
import { addOuting } from '@/store/outings';
import { askToKeep, browserDatabase } from '@/store/browser-database';
import { ownPaces } from '@/views/shared/data/own-paces';
import dayjs from 'dayjs';
import type { OpenArea } from './use-area';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';

/**
 * Stores a new outing that begins at a place of the area, and joins it there; resolves to its id,
 * or null where it could not be stored. Its declination is that of the outing that is followed.
 */
export async function startFrom(
  open: OpenArea,
  survey: Survey,
  node: number,
  walker: number,
): Promise<string | null> {
  const { party, places } = survey;
  const { name, stations } = nth(party.nodes.all, node);
  const like = nth(party.members, walker).solution.outing;
  const position = positionOfStation(places, node);
  const id = crypto.randomUUID();
  const outing: Outing = {
    ...blankOuting(id, WORDS.startedFrom(name)),
    date: { day: dayjs().format('YYYY-MM-DD') },
    start: { name, ...(position && { position }) },
    declination: like.declination,
    ...(like.correction && { correction: like.correction }),
    show: like.show,
    entries: await ownPaces(),
  };
  try {
    await addOuting(browserDatabase(), outing, new Date());
  } catch {
    return null;
  }
  askToKeep();
  const here = areaStationOf(open.answer.found, nth(stations, 0));
  const outcome = await open.actions.change((area) => ({
    ...area,
    outings: [...area.outings, id],
    same: [...area.same, { stations: [here, { outing: id, station: name }] }],
  }));
  return outcome.kind === 'saved' ? id : null;
}
