import { warningsOf } from '../core/checks';
import type { WarningPlace } from '../core/checks/check';
import type { Ellipse } from '../core/error-model';
import { missAtHome, placeOnMap, way } from '../core/home';
import { positionOf } from '../core/positions';
import { stationName, stationPoints, type Solution } from '../core/solve';

const ellipseFields = (ellipse: Ellipse) => ({
  semiMajor: ellipse.semiMajorMetres,
  semiMinor: ellipse.semiMinorMetres,
  azimuth: ellipse.azimuthDegrees,
});

/** The answer of the endpoint `home`: see docs/log-format.md. `lineOf` gives the line of a place on the page, where there is one. */
export function homeAnswer(
  solution: Solution,
  from: number,
  to: number,
  lineOf: (place: WarningPlace) => number | undefined,
) {
  const { outing, norths, traverse } = solution;
  const home = way(solution, from, to);
  return {
    outing: outing.name,
    declination: { east: norths.declinationEast, source: norths.declinationSource },
    correction: norths.correction,
    stations: stationPoints(solution).map((point) => ({
      name: stationName(solution, point),
      x: traverse.east[point],
      y: traverse.north[point],
      ...positionOf(solution, point),
    })),
    walkedMetres: solution.walkedMetres,
    home: {
      from: stationName(solution, from),
      to: stationName(solution, to),
      magnetic: home.bearing.magnetic,
      true: home.bearing.true,
      grid: home.bearing.grid,
      show: outing.show.north,
      distanceMetres: home.distanceMetres,
      paces: home.paces,
    },
    missAtHome: ellipseFields(missAtHome(solution, from, to)),
    placeOnMap: ellipseFields(placeOnMap(solution, from)),
    closures: solution.closures.map((closure) => ({
      station: closure.station,
      line: lineOf({ entry: closure.entry }),
      dx: closure.dxMetres,
      dy: closure.dyMetres,
      metres: closure.metres,
      ofWalked: closure.ofWalked,
    })),
    warnings: warningsOf(solution).map(({ code, at, message }) => ({
      code,
      line: lineOf(at),
      message,
    })),
  };
}
