import type { Plan } from '@/core/navigation/route/plan';
import { planePointOf } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { polar, sumOf } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { NO_LAYER, type Layer, type LayerLine, type Mark } from '../layer';
import { nth } from '@/core/units/nth';

/** What a plan is drawn with: the track of an outing that follows it. */
export interface WalkedOn {
  readonly track: readonly Position[];
  readonly here: Position | null;
}

const isSame = (one: Position, other: Position) =>
  one.latitude === other.latitude && one.longitude === other.longitude;

/**
 * A planned route, in metres about its first point, true north up: its points with how far off each
 * one may arrive, its legs by their number, where it aims off, and what was walked on it.
 */
export function planLayer({ route, positions, legs }: Plan, walked: WalkedOn | null): Layer {
  const [origin] = positions;
  if (!origin) return NO_LAYER;
  const plane = (position: Position) => planePointOf(origin, position);
  const points = positions.map(plane);
  const marks = route.points.map(({ name, isAttack }, number): Mark => {
    // A name is said once where a route comes back to a place.
    const isRepeated = route.points
      .slice(0, number)
      .some(
        (earlier, index) =>
          earlier.name === name && isSame(nth(positions, index), nth(positions, number)),
      );
    return {
      key: `p${number}`,
      kind: isAttack ? 'attack' : 'point',
      text: isRepeated ? '' : visibleText(name),
      ...nth(points, number),
    };
  });
  const lines = legs.flatMap(({ number, aim }): LayerLine[] => {
    const [from, to] = [nth(points, number - 1), nth(points, number)];
    const leg: LayerLine = { kind: 'route', number, points: [from, to] };
    if (!aim?.ok) return [leg];
    const { bearingDegrees, distanceMetres } = aim.aim;
    const corner = sumOf(from, polar(bearingDegrees, distanceMetres));
    return [leg, { kind: 'aim', points: [from, corner, to] }];
  });
  const track = walked?.track.map(plane) ?? [];
  const here = walked?.here ? plane(walked.here) : null;
  return {
    ...NO_LAYER,
    ellipses: legs.map(({ number, ellipse }) => ({
      kind: 'place',
      ...nth(points, number),
      ellipse,
    })),
    lines: track.length > 1 ? [...lines, { kind: 'walked', points: track }] : lines,
    marks: here ? [...marks, { key: 'here', kind: 'here', text: '', ...here }] : marks,
  };
}

/** A thumb on the map: where one is after each hundred metres of a leg. */
const HUNDRED = 100;

/** Marks at each hundred metres of the legs of a plan, in metres about its first point. */
export function hundredsLayer({ positions, legs }: Plan): Layer {
  const [origin] = positions;
  if (!origin) return NO_LAYER;
  const marks = legs.flatMap(({ number, metres, bearing }) => {
    const from = planePointOf(origin, nth(positions, number - 1));
    const count = Math.max(0, Math.ceil(metres / HUNDRED) - 1);
    return Array.from({ length: count }, (_, index): Mark => ({
      key: `h${number} ${index}`,
      kind: 'hundred',
      text: '',
      ...sumOf(from, polar(bearing.true ?? 0, HUNDRED * (index + 1))),
    }));
  });
  return { ...NO_LAYER, marks };
}
