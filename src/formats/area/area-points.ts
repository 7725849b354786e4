import { ellipse, type Ellipse } from '../../core/errors/ellipse';
import type { Position } from '../../core/readings/position';
import { nameOf } from '../../core/survey/party/party';
import type { Survey } from '../../core/survey/party/survey';
import { positionOfStation } from '../../core/survey/positions';
import type { PlanePoint } from '../../core/units/plane';
import { visibleText } from '../../core/units/visible';
import { nth } from '../../core/units/nth';

/** A place of an area, as every format and the printed list have it. */
export interface AreaPoint extends PlanePoint {
  readonly name: string;
  /** The outings that have it as a station. */
  readonly outings: readonly string[];
  /** At 95 %, against the origin. */
  readonly ellipse: Ellipse;
  readonly position: Position | null;
}

/** The places of an area, the origin first. */
export function areaPoints(survey: Survey): AreaPoint[] {
  const covariances = survey.places.fromOrigin();
  return survey.party.nodes.all.map(({ name, stations }, node) => ({
    name: visibleText(name),
    outings: [...new Set(stations.map(({ outing }) => outing))].map((outing) =>
      visibleText(nameOf(survey.party, outing)),
    ),
    ...survey.places.at(node),
    ellipse: ellipse(nth(covariances, node)),
    position: positionOfStation(survey.places, node),
  }));
}
