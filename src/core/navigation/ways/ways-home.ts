import type { Covariance } from '../../errors/covariance';
import { within95 } from '../../errors/ellipse';
import { homeMeans } from '../../survey/home-means';
import { stationName, type Solution } from '../../survey/solution';
import { normalised } from '../../units/angle';
import type { Bearing, North } from '../../units/bearing';
import { polar, type PlanePoint } from '../../units/plane';
import type { Result } from '../../units/result';
import type { Degrees, Metres } from '../../units/units';
import { aimOff, type AimOff, type AimOffFault } from './aim-off';
import { positionError } from '../position-error';
import { missOf, totalOf, walkErrors } from '../walk-errors';
import { way, wayAlong, type Way } from './way';

/** One stretch of a way home. */
export interface Stretch extends Way {
  /** The station that it leads to; null for a place on a line. */
  readonly to: string | null;
}

/** A way home, to be compared with the others. */
export interface WayHome {
  readonly kind: 'straight' | 'aim-off' | 'retrace' | 'via-station';
  readonly stretches: readonly Stretch[];
  readonly metres: Metres;
  /** Covariance of where it ends, against home or against the aim on a line. */
  readonly positionError: Covariance;
  readonly within95Metres: Metres;
  readonly aim?: AimOff;
}

const stretchAlong = (solution: Solution, vector: PlanePoint, to: string | null): Stretch => ({
  ...wayAlong(solution.places.frame, vector, homeMeans(solution.end).paceMetres),
  to,
});

const stretchBetween = (solution: Solution, from: number, to: number): Stretch => ({
  ...way(solution, from, to),
  to: stationName(solution, to),
});

function wayHomeOf(
  kind: WayHome['kind'],
  stretches: readonly Stretch[],
  error: Covariance,
  aim?: AimOff,
): WayHome {
  const metres = stretches.reduce((sum, { distanceMetres }) => sum + distanceMetres, 0);
  const common = { kind, stretches, metres, positionError: error, within95Metres: within95(error) };
  return aim ? { ...common, aim } : common;
}

/** The straight way from where the traveller is. */
export const straightHome = (solution: Solution): WayHome =>
  wayHomeOf(
    'straight',
    [stretchBetween(solution, solution.current, 0)],
    positionError(solution, solution.current, 0),
  );

/** Aiming off onto a line through home, whose azimuth is from the frame's north. */
export function aimOffHome(
  solution: Solution,
  lineDegrees: Degrees,
  side: 'left' | 'right',
): Result<WayHome, AimOffFault> {
  const found = aimOff(solution, solution.current, 0, lineDegrees, side);
  if (!found.ok) return found;
  const aim = found.value;
  const out = polar(aim.bearingDegrees, aim.distanceMetres);
  const along = polar(aim.lineDegrees, aim.alongMetres);
  const stretches = [
    stretchAlong(solution, out, null),
    stretchAlong(solution, along, stationName(solution, 0)),
  ];
  return { ok: true, value: wayHomeOf('aim-off', stretches, aim.positionError, aim) };
}

/** The miss of a walk home over several stretches. */
function missOver(solution: Solution, stretches: readonly PlanePoint[]): Covariance {
  const path = solution.places.relative(solution.current, 0);
  return totalOf(missOf(path, walkErrors(solution, stretches)));
}

/** Back along the legs on their back bearings, by the means of the walk home. */
export function retraceLegs(solution: Solution): WayHome {
  const path = solution.legs.pathTo(solution.current).reverse();
  const stretches = path.map(({ to, from }) => stretchBetween(solution, to, from));
  const vectors = path.map(({ to, from }) => solution.places.relative(to, from));
  return wayHomeOf('retrace', stretches, missOver(solution, vectors));
}

/** To another station first, then straight home. */
export function viaStation(solution: Solution, station: number): WayHome {
  const { places, current } = solution;
  const stretches = [
    stretchBetween(solution, current, station),
    stretchBetween(solution, station, 0),
  ];
  const vectors = [places.relative(current, station), places.relative(station, 0)];
  return wayHomeOf('via-station', stretches, missOver(solution, vectors));
}

/** A bearing of a map or a compass as one from the reference north; null where it isn't known. */
export const azimuthFrom = (
  bearing: Bearing,
  offset: Readonly<Record<North, Degrees>>,
): Degrees | null => {
  const turn = offset[bearing.north];
  return Number.isNaN(turn) ? null : normalised(bearing.degrees + turn);
};
