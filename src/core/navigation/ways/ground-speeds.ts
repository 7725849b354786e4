import { homeMeans } from '../../survey/home-means';
import { timesOf, walkedStretches, type TimedStretch } from '../../survey/leg-times';
import type { Solution } from '../../survey/solution';
import { NAISMITH_KMH } from './walk-time';

/**
 * Speeds on the level in km/h, by the ground: 175 m of brush take seven minutes and not two.
 * Common practice, no source. Climbs come on top; a ground that is not here is walked as usual.
 */
const SPEEDS: Readonly<Record<string, number>> = {
  track: 5,
  rough: 3,
  brush: 1.5,
  snow: 2.5,
  night: 3,
  loaded: 4,
};

/** The usual speed on a ground, in km/h; without one, on open ground. */
export const speedOn = (ground: string | undefined): number => SPEEDS[ground ?? ''] ?? NAISMITH_KMH;

/** Times nearer than this tell no speed. */
const LEAST_MINUTES = 5;

function speedOf(stretches: readonly TimedStretch[]): number | null {
  const minutes = stretches.reduce((sum, stretch) => sum + stretch.minutes, 0);
  const metres = stretches.reduce((sum, stretch) => sum + stretch.metres, 0);
  return minutes < LEAST_MINUTES || metres === 0 ? null : (metres / 1000 / minutes) * 60;
}

/**
 * The outing's own speed in km/h while walking: by the stretches between times noted, without those
 * that hold a halt; on one ground, by those that are of that ground alone. Null where the times
 * tell none.
 */
export function ownSpeed(solution: Solution, ground?: string): number | null {
  const walked = walkedStretches(timesOf(solution));
  return speedOf(ground === undefined ? walked : walked.filter((each) => each.ground === ground));
}

/** The usual speed over the grounds of the legs that were walked. */
function speedOverLegs({ legs }: Solution): number {
  let [metres, hours] = [0, 0];
  for (const leg of legs) {
    metres += leg.metres;
    hours += leg.metres / speedOn(leg.reading.ground);
  }
  return hours > 0 ? metres / hours : NAISMITH_KMH;
}

const tenths = (value: number) => Math.round(value * 10) / 10;

/**
 * The speed of the walk home until a person says another, in km/h to a tenth: on the ground that a
 * `home` line names; else their own by the times noted; else by the grounds that were walked.
 */
export function speedHome(solution: Solution): number {
  const { ground } = homeMeans(solution.end);
  const onGround = ground === undefined ? null : (ownSpeed(solution, ground) ?? speedOn(ground));
  return tenths(onGround ?? ownSpeed(solution) ?? speedOverLegs(solution));
}

/** The same for a leg by the clock, whose own speed counts first. */
export const usualSpeed = (solution: Solution): number =>
  tenths(homeMeans(solution.end).kilometresPerHour ?? speedHome(solution));
