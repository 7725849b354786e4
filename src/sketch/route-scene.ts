import type { Ellipse } from '@/core/errors/ellipse';
import type { Plan } from '@/core/navigation/route/plan';
import { planePointOf } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { boundsOf, polar, sumOf, type PlanePoint } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { viewOfBounds, type Size, type View } from './view';

/** A point of the route on the drawing's plane, and how far off it one may arrive. */
interface DrawnPoint {
  readonly number: number;
  readonly name: string;
  readonly at: PlanePoint;
  readonly ellipse: Ellipse | null;
  readonly isAttack: boolean;
  /** The name has been told by an earlier point at the same place. */
  readonly isRepeated: boolean;
}

/** A leg that is aimed to one side: to the line, and along it. */
interface DrawnAim {
  readonly from: PlanePoint;
  readonly corner: PlanePoint;
  readonly to: PlanePoint;
}

/** The drawing of a plan, in metres about its first point, true north up. */
export interface RouteScene {
  readonly points: readonly DrawnPoint[];
  readonly aims: readonly DrawnAim[];
  /** What was walked on it, and where one is. */
  readonly walked: readonly PlanePoint[];
  readonly here: PlanePoint | null;
}

/** What a plan is drawn with: the track of an outing that follows it. */
export interface WalkedOn {
  readonly track: readonly Position[];
  readonly here: Position | null;
}

const isSame = (one: Position, other: Position) =>
  one.latitude === other.latitude && one.longitude === other.longitude;

export function routeScene({ route, positions, legs }: Plan, walked: WalkedOn | null): RouteScene {
  const [origin] = positions;
  if (!origin) return { points: [], aims: [], walked: [], here: null };
  const plane = (position: Position) => planePointOf(origin, position);
  const points = route.points.map(({ name, isAttack }, number) => ({
    number,
    name,
    at: plane(positions[number]!),
    ellipse: legs[number - 1]?.ellipse ?? null,
    isAttack: isAttack === true,
    isRepeated: route.points
      .slice(0, number)
      .some(
        (before, index) => before.name === name && isSame(positions[index]!, positions[number]!),
      ),
  }));
  const aims = legs.flatMap(({ number, aim }) => {
    if (!aim?.ok) return [];
    const from = points[number - 1]!.at;
    const { bearingDegrees, distanceMetres } = aim.aim;
    const corner = sumOf(from, polar(bearingDegrees, distanceMetres));
    return [{ from, corner, to: points[number]!.at }];
  });
  return {
    points,
    aims,
    walked: walked?.track.map(plane) ?? [],
    here: walked?.here ? plane(walked.here) : null,
  };
}

const MARGIN = 56;

/** The view that shows all of a route. */
export function routeView({ points, aims, walked, here }: RouteScene, size: Size): View {
  const corners = [
    ...points.map(({ at }) => at),
    ...aims.map(({ corner }) => corner),
    ...walked,
    ...(here ? [here] : []),
  ];
  return viewOfBounds(boundsOf(corners), size, MARGIN);
}

/** The side of a point on which its name lies clear of its legs: away from their mean direction. */
export function labelSide(scene: RouteScene, number: number): 'left' | 'right' {
  const here = scene.points[number]!.at;
  const beside = [scene.points[number - 1], scene.points[number + 1]];
  const east = beside.reduce((sum, each) => sum + (each ? each.at.east - here.east : 0), 0);
  return east > 0 ? 'left' : 'right';
}

/** The turn of an ellipse's long axis on the screen, from the direction right. */
export const axisTurn = ({ azimuthDegrees }: Ellipse): Degrees => azimuthDegrees - 90;
