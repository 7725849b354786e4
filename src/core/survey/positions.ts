import { positionAt } from '../place/geodesic';
import type { Position } from '../readings/position';
import type { PlanePoint } from '../units/plane';
import type { Places } from './places';

/** The position of a point of the plane; null where the frame has no origin on the earth. */
const positionOf = ({ frame }: Places, point: PlanePoint): Position | null =>
  frame.origin && positionAt(frame.origin, point);

/** The position of a station. */
export const positionOfStation = (places: Places, station: number): Position | null =>
  positionOf(places, places.at(station));
