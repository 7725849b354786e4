import type { PreviewLeg } from '@/core/navigation/preview';
import { placeOnMap, positionErrorEllipse } from '@/core/navigation/position-error';
import type { Solution } from '@/core/survey/solution';
import { lengthOf, vectorBetween, type PlanePoint } from '@/core/units/plane';
import { NO_LAYER, type Layer, type LayerEllipse, type LayerLine } from '../layer';

/** The stations between which a way is drawn. */
interface WayEnds {
  readonly from: number;
  readonly to: number;
}

/** Shorter ways are not drawn. */
const LEAST_METRES = 0.5;

const straight = (from: PlanePoint, to: PlanePoint): LayerLine[] =>
  lengthOf(vectorBetween(from, to)) < LEAST_METRES ? [] : [{ kind: 'home', points: [from, to] }];

/**
 * The straight way home, or between two stations, with the ellipse in which it ends with 95 %, and,
 * apart from that, one's place on the map.
 */
export function homeLayer(solution: Solution, ends: WayEnds | null = null): Layer {
  const { places, current } = solution;
  const { from, to } = ends ?? { from: current, to: 0 };
  if (from === to) return NO_LAYER;
  const [begin, end] = [places.at(from), places.at(to)];
  const ellipses: LayerEllipse[] = [
    { kind: 'home', ...end, ellipse: positionErrorEllipse(solution, from, to) },
  ];
  if (places.frame.north === 'true' && !ends) {
    ellipses.push({ kind: 'on-map', ...begin, ellipse: placeOnMap(solution, from) });
  }
  return { ...NO_LAYER, ellipses, lines: straight(begin, end) };
}

/** The way home from the end of a leg that is being typed. */
export const previewHome = ({ places }: Solution, { end }: PreviewLeg): Layer => ({
  ...NO_LAYER,
  lines: straight(end, places.at(0)),
});
