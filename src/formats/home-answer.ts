import { USUAL_FIGURES } from '../core/units/figures';
import { warningsOf } from '../core/checks';
import type { WarningPlace } from '../core/checks/check';
import type { Ellipse } from '../core/errors/ellipse';
import type { SourceId } from '../core/errors/sources/source';
import { placeOnMap, positionErrorEllipse } from '../core/navigation/position-error';
import { contributions, sharesOf } from '../core/navigation/uncertainty-sources';
import { way } from '../core/navigation/ways/way';
import { positionOfStation } from '../core/survey/positions';
import { northShown, stationName, type Solution } from '../core/survey/solution';
import type { Metres } from '../core/units/units';

/** An ellipse as the endpoints give it. */
export const ellipseFields = (ellipse: Ellipse) => ({
  semiMajor: ellipse.semiMajorMetres,
  semiMinor: ellipse.semiMinorMetres,
  azimuth: ellipse.azimuthDegrees,
});

function stationFields(solution: Solution, station: number) {
  const { east, north } = solution.places.at(station);
  return {
    name: stationName(solution, station),
    x: east,
    y: north,
    ...positionOfStation(solution.places, station),
  };
}

/** A length in metres; null where an outing is worked in paces. */
const inMetres = ({ places }: Solution, length: Metres): Metres | null =>
  places.frame.unit === 'pace' ? null : length;

function homeFields(solution: Solution, from: number, to: number) {
  const { bearing, distanceMetres, paces } = way(solution, from, to);
  return {
    from: stationName(solution, from),
    to: stationName(solution, to),
    ...bearing,
    show: northShown(solution),
    distance: distanceMetres,
    distanceMetres: inMetres(solution, distanceMetres),
    paces: solution.places.frame.unit === 'pace' ? distanceMetres : paces,
  };
}

/** The shares of the sources in the miss at home, the largest first; each source once. */
function sourcesOf(solution: Solution, from: number, to: number) {
  const found = new Map<SourceId, { source: SourceId; shared: boolean; share: number }>();
  for (const { source, shared, share } of sharesOf(contributions(solution, from, to))) {
    found.set(source, { source, shared, share: share + (found.get(source)?.share ?? 0) });
  }
  return [...found.values()].sort((a, b) => b.share - a.share);
}

/**
 * The answer of the endpoint `home`: see docs/endpoints.md. `lineOf` gives the line of the log
 * that a warning is about, where there is one.
 */
export function homeAnswer(
  solution: Solution,
  from: number,
  to: number,
  lineOf: (place: WarningPlace) => number | undefined,
) {
  const { outing, places } = solution;
  const { norths } = places.frame;
  return {
    outing: outing.name,
    declination: { east: norths.declinationEast, source: norths.declinationSource },
    correction: norths.correction,
    stations: places.stations().map((station) => stationFields(solution, station)),
    unit: places.frame.unit,
    walked: solution.walkedMetres,
    walkedMetres: inMetres(solution, solution.walkedMetres),
    home: homeFields(solution, from, to),
    missAtHome: ellipseFields(positionErrorEllipse(solution, from, to)),
    placeOnMap: ellipseFields(placeOnMap(solution, from)),
    sources: sourcesOf(solution, from, to),
    closures: solution.closures.map(({ station, entry, misclosure, metres, ofWalked }) => ({
      station,
      line: lineOf({ entry }),
      dx: misclosure.east,
      dy: misclosure.north,
      metres: inMetres(solution, metres),
      ofWalked,
    })),
    warnings: warningsOf(solution, USUAL_FIGURES).map(({ code, at, message }) => ({
      code,
      line: lineOf(at),
      message,
    })),
  };
}
