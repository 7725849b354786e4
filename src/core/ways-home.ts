import { normalised, type Wind } from './angle';
import { aimOff, type AimOff, type AimOffFault } from './aim-off';
import { acrossVariance, added, ellipse, legCovariance, type Covariance } from './error-model';
import { missCovariance, pathCovariance, wayAcross } from './home';
import type { Bearing, North } from './north';
import type { Result } from './result';
import { stationName, type Solution } from './solve';
import { degrees, type Degrees, type Metres } from './units';

/** One stretch of a way home. */
export interface Stretch {
  /** From each north; null where the declination that it takes is not known. */
  readonly bearing: Readonly<Record<North, Degrees | null>>;
  readonly metres: Metres;
  readonly paces: number | null;
  readonly wind: Wind;
  /** The station that it leads to; null for a place on a line. */
  readonly to: string | null;
}

/** A way home to weigh against the others. */
export interface WayHome {
  readonly kind: 'straight' | 'aimed-off' | 'back-over-legs' | 'by-station';
  readonly stretches: readonly Stretch[];
  readonly metres: Metres;
  /** Covariance of where it ends against home. */
  readonly miss: Covariance;
  /** Nineteen times in twenty within this of home, or of the aim on the line. */
  readonly withinMetres: Metres;
  readonly aim?: AimOff;
}

function stretch(solution: Solution, dx: Metres, dy: Metres, to: string | null): Stretch {
  const { bearing, distanceMetres, paces, wind } = wayAcross(solution, 0, 0, dx, dy);
  return { bearing, metres: distanceMetres, paces, wind, to };
}

const between = (solution: Solution, from: number, to: number): Stretch => {
  const { east, north } = solution.traverse;
  return stretch(
    solution,
    east[to]! - east[from]!,
    north[to]! - north[from]!,
    stationName(solution, to),
  );
};

const finished = (
  kind: WayHome['kind'],
  stretches: readonly Stretch[],
  miss: Covariance,
  aim?: AimOff,
): WayHome => ({
  kind,
  stretches,
  metres: stretches.reduce((sum, { metres }) => sum + metres, 0),
  miss,
  withinMetres: ellipse(miss).semiMajorMetres,
  ...(aim ? { aim } : {}),
});

/** The straight way from where one stands. */
export const straightHome = (solution: Solution, to = 0): WayHome =>
  finished(
    'straight',
    [between(solution, solution.current, to)],
    missCovariance(solution, solution.current, to),
  );

/** Aimed off onto a line through home; its azimuth from the working north. */
export function aimedOffHome(
  solution: Solution,
  lineDegrees: Degrees,
  side: 'left' | 'right',
): Result<WayHome, AimOffFault> {
  const found = aimOff(solution, solution.current, 0, lineDegrees, side);
  if (!found.ok) return found;
  const aim = found.value;
  const turned = (bearing: Degrees, metres: Metres): [Metres, Metres] => [
    metres * Math.sin((bearing * Math.PI) / 180),
    metres * Math.cos((bearing * Math.PI) / 180),
  ];
  const out = stretch(solution, ...turned(aim.bearingDegrees, aim.distanceMetres), null);
  const along = stretch(
    solution,
    ...turned(aim.lineDegrees, aim.alongMetres),
    stationName(solution, 0),
  );
  return { ok: true, value: finished('aimed-off', [out, along], aim.miss, aim) };
}

/** The points from where one stands back to the start, leg by leg. */
function pointsBack(solution: Solution): number[] {
  const points = [solution.current];
  while (points.at(-1)! > 0) points.push(solution.traverse.from[points.at(-1)!]!);
  return points;
}

/** Back over the legs with their back bearings; each leg is walked again with the errors of its kind. */
export function backOverLegs(solution: Solution): WayHome {
  const points = pointsBack(solution);
  const stretches = points.slice(1).map((to, index) => between(solution, points[index]!, to));
  const out = pathCovariance(solution, solution.current, 0);
  return finished('back-over-legs', stretches, added(out, out));
}

/** To an earlier station first, then straight home. */
export function homeBy(solution: Solution, station: number): WayHome {
  const { east, north } = solution.traverse;
  const stretches = [between(solution, solution.current, station), between(solution, station, 0)];
  const walk = (from: number, to: number) =>
    legCovariance(
      east[to]! - east[from]!,
      north[to]! - north[from]!,
      solution.end.paceVariance,
      acrossVariance(solution.end.aim),
    );
  const miss = added(
    pathCovariance(solution, solution.current, 0),
    added(walk(solution.current, station), walk(station, 0)),
  );
  return finished('by-station', stretches, miss);
}

/** A bearing as a person measures it on the map or reads it off the needle, as one from the working north; null where it can't be known. */
export const azimuthOf = (
  bearing: Bearing,
  offset: Readonly<Record<North, Degrees>>,
): Degrees | null => {
  const turn = offset[bearing.north];
  return Number.isNaN(turn) ? null : normalised(bearing.degrees + turn);
};

/** What each leg on the way back adds to the doubt at home, as a share of the variance, the largest first. */
export function doubtByLeg(solution: Solution): { leg: number; share: number }[] {
  const { traverse } = solution;
  const total = missCovariance(solution, solution.current, 0);
  const sum = total.xx + total.yy;
  return pointsBack(solution)
    .filter((leg) => leg > 0)
    .map((leg) => {
      const origin = traverse.from[leg]!;
      const dx = traverse.east[leg]! - traverse.east[origin]!;
      const dy = traverse.north[leg]! - traverse.north[origin]!;
      const own = legCovariance(
        dx,
        dy,
        traverse.alongVariance[leg]!,
        traverse.acrossVariance[leg]!,
      );
      return { leg, share: (own.xx + own.yy) / sum };
    })
    .sort((a, b) => b.share - a.share);
}

/** Degrees of a vector, clockwise from the working north. */
export const azimuthAcross = (dx: Metres, dy: Metres): Degrees =>
  normalised(degrees(Math.atan2(dx, dy)));
