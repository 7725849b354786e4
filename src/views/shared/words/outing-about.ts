import dayjs from 'dayjs';
import { plural } from '@/core/entries/describe';
import { isLeg } from '@/core/entries/entry';
import type { Outing } from '@/core/model/outing';
import { visibleText } from '@/core/units/visible';

/** What tells outings of one name apart. */
interface About {
  readonly day: string | undefined;
  readonly by: string | undefined;
  readonly legs: number;
}

/** The day, the person and the legs of an outing, as lists of outings say them. */
export const outingAbout = ({ day, by, legs }: About): string =>
  [
    day && dayjs(day).format('D MMMM YYYY'),
    by && `by ${visibleText(by)}`,
    plural(legs, 'leg', 'legs'),
  ]
    .filter(Boolean)
    .join(' · ');

/** The same of an outing that is here. */
export const aboutOuting = ({ date, by, entries }: Outing): string =>
  outingAbout({ day: date?.day, by, legs: entries.filter(isLeg).length });

/** Its name with them, for a list that has one line for each. */
export const outingInList = (outing: Outing, untitled: string): string =>
  `${visibleText(outing.name) || untitled} · ${aboutOuting(outing)}`;
