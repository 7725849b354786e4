import equal from 'fast-deep-equal';
import { isLeg } from '../core/entries/entry';
import type { Outing } from '../core/model/outing';
import { bearingDegrees } from '../core/readings/bearing';
import { writeDistance } from '../core/readings/distance';
import { nameKey } from '../core/readings/name';

/** Of legs that are in both, this share makes two outings of one day and start the same outing. */
const LEAST_SHARE = 1 / 2;
/** Without a day more has to agree. */
const LEAST_SHARE_UNDATED = 3 / 4;
const LEAST_LEGS_UNDATED = 3;

/** The readings of the legs, without what is often added later: names, notes, times. */
const legsOf = ({ entries }: Outing): string[] =>
  entries
    .filter(isLeg)
    .map(({ bearing, distance }) => `${bearingDegrees(bearing)} ${writeDistance(distance)}`);

/** How many of two lists are in both, each as often as in both. */
function inBoth(one: readonly string[], other: readonly string[]): number {
  const left = new Map<string, number>();
  for (const each of one) left.set(each, (left.get(each) ?? 0) + 1);
  return other.filter((each) => {
    const count = left.get(each) ?? 0;
    left.set(each, count - 1);
    return count > 0;
  }).length;
}

const keyOf = ({ start, date }: Outing) => `${nameKey(start.name)} ${date?.day ?? ''}`;

/** True for two texts of one outing: the same start and day, nobody else's, and legs in common. */
function isOneOuting(one: Outing, other: Outing): boolean {
  if (one.by && other.by && nameKey(one.by) !== nameKey(other.by)) return false;
  const [mine, theirs] = [legsOf(one), legsOf(other)];
  const fewer = Math.min(mine.length, theirs.length);
  const share = inBoth(mine, theirs) / fewer;
  if (one.date) return fewer > 0 && share >= LEAST_SHARE;
  return fewer >= LEAST_LEGS_UNDATED && share >= LEAST_SHARE_UNDATED;
}

/** True for the same outing in everything but its id, which a text doesn't have. */
export const isSameButId = (one: Outing, other: Outing): boolean =>
  equal({ ...one, id: '' }, { ...other, id: '' });

/** Finds the outing that another text of it is about, by its start, its day and its legs. */
export class Recognition {
  private readonly byKey = new Map<string, Outing[]>();

  constructor(outings: readonly Outing[]) {
    for (const outing of outings) {
      const key = keyOf(outing);
      this.byKey.set(key, [...(this.byKey.get(key) ?? []), outing]);
    }
  }

  /** The one that is equal but for its id, else the first that is the same outing; or null. */
  find(outing: Outing): Outing | null {
    const near = this.byKey.get(keyOf(outing)) ?? [];
    return (
      near.find((each) => isSameButId(each, outing)) ??
      near.find((each) => isOneOuting(each, outing)) ??
      null
    );
  }
}
