import { mostAlong, type AimOff } from './aim-off';
import { walkOf, type LineHome, type Walk } from './monte-carlo';
import type { Solution } from './solve';
import { radians } from './units';

/** The walk out and the aimed-off walk home, to be walked many times. */
export function aimedWalk(solution: Solution, { bearingDegrees, distanceMetres }: AimOff): Walk {
  const heading = radians(bearingDegrees);
  return walkOf(solution, distanceMetres * Math.sin(heading), distanceMetres * Math.cos(heading));
}

/** The line as many walks follow it: the aim lies the other way along it than home does. */
export const lineHome = (aim: AimOff): LineHome => ({
  azimuth: radians(aim.lineDegrees + 180),
  mostMetres: mostAlong(aim),
});
