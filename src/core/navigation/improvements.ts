import { NO_COVARIANCE, sumCovariance } from '../errors/covariance';
import { within95 } from '../errors/ellipse';
import type { Means } from '../errors/means';
import { OTHER_GROUND } from '../model/error-settings';
import { AIMS, type Aim } from '../entries/reckoning';
import { homeMeans } from '../survey/home-means';
import { generalPace, paceOn } from '../survey/log-state';
import type { Solution } from '../survey/solution';
import type { Metres } from '../units/units';
import { positionError } from './position-error';
import { contributions, type Contribution } from './uncertainty-sources';

/** Something that would make the uncertainty at home smaller, and what it would come down to. */
export type Improvement = { readonly within95Metres: Metres } & (
  | { readonly kind: 'aim'; readonly aim: Aim }
  | { readonly kind: 'calibrate'; readonly ground: string }
  | { readonly kind: 'back-bearings' }
  | { readonly kind: 'count-paces' }
  | { readonly kind: 'same-ground'; readonly ground: string }
);

/** What ten good walks over a course make of a pace: own and shared. Common practice, no source. */
const CALIBRATED = 0.03;
const CALIBRATED_LENGTH = Math.hypot(CALIBRATED / Math.sqrt(11), OTHER_GROUND);
/** Below this share of the uncertainty it isn't worth the trouble. */
const LEAST_GAIN = 0.1;

/** What would help most on the straight way from one station to another, the best first. */
export function improvements(solution: Solution, from: number, to: number): Improvement[] {
  const means = homeMeans(solution.end);
  const now = within95(positionError(solution, from, to));
  const found = contributions(solution, from, to);
  const walked = (other: Means) => within95(positionError(solution, from, to, other));
  const aims = AIMS.slice(AIMS.indexOf(means.aim) + 1).map((aim): Improvement => ({
    kind: 'aim',
    aim,
    within95Metres: walked({ ...means, aim }),
  }));
  return [
    ...aims,
    ...calibrations(solution, found),
    backBearings(found),
    ...otherPaces(solution, means, walked),
  ]
    .filter(({ within95Metres }) => within95Metres < (1 - LEAST_GAIN) * now)
    .sort((a, b) => a.within95Metres - b.within95Metres);
}

/** The uncertainty with some contributions made smaller, each by a factor of its variance. */
const scaled = (found: readonly Contribution[], factor: (each: Contribution) => number): Metres =>
  within95(
    found.reduce((sum, each) => {
      const { xx, xy, yy } = each.covariance;
      const k = factor(each);
      return sumCovariance(sum, { xx: k * xx, xy: k * xy, yy: k * yy });
    }, NO_COVARIANCE),
  );

/** A calibration on each ground that has none. */
function calibrations({ end, errors }: Solution, found: readonly Contribution[]): Improvement[] {
  const own = (CALIBRATED / errors.paced) ** 2;
  const shared = (CALIBRATED_LENGTH / errors['pace-length']) ** 2;
  const grounds = new Set(
    found.flatMap(({ source, about }) => {
      const isOpen = paceOn(end, about === '' ? undefined : about).inUse.spread === null;
      return source === 'paced' && isOpen ? about : [];
    }),
  );
  return [...grounds].map((ground) => ({
    kind: 'calibrate',
    ground,
    within95Metres: scaled(found, ({ source, about }) => {
      if (about !== ground) return 1;
      return source === 'paced' ? own : source === 'pace-length' ? shared : 1;
    }),
  }));
}

/** Back bearings on all legs: a second reading of each line, which halves what one leaves. */
const backBearings = (found: readonly Contribution[]): Improvement => ({
  kind: 'back-bearings',
  within95Metres: scaled(found, ({ source, isWalk }) =>
    source === 'following' && !isWalk ? 1 / 2 : 1,
  ),
});

/** Counting rather than the clock, and on the ground that the way out was on. */
function otherPaces(
  { end }: Solution,
  means: Means,
  walked: (other: Means) => Metres,
): Improvement[] {
  if (means.distance === 'timed' && generalPace(end) !== null) {
    const paced: Means = { ...means, distance: 'paced', pace: end.general.inUse };
    return [{ kind: 'count-paces', within95Metres: walked(paced) }];
  }
  const { pace } = end.means;
  if (!means.pace || !pace || pace.key === means.pace.key) return [];
  const within95Metres = walked({ ...means, pace });
  return [{ kind: 'same-ground', ground: pace.ground, within95Metres }];
}
