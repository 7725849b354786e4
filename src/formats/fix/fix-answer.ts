import type { Fix } from '../../core/survey/fix/point/fix';
import type { FixWarning } from '../../core/survey/fix/point/warnings';
import { placeTexts } from '../../core/place/place-text';
import type { Position } from '../../core/readings/position';
import { implausibleDeclination, disagreementText } from '../../core/north/implausible-declination';
import type { OutingNorths } from '../../core/north/outing-norths';
import { ellipseFields } from '../home-answer';

/** A fix, and where it is on the earth; null for one in a plane. */
export interface Placed {
  readonly fix: Fix;
  readonly position: Position | null;
}

/** The place in every notation, or in the plane of the marks. */
const placeFields = ({ fix, position }: Placed) =>
  position
    ? {
        ...position,
        notations: Object.fromEntries(placeTexts(position).map(({ name, text }) => [name, text])),
      }
    : { x: fix.place.east, y: fix.place.north };

/** The answer of the endpoint `fix`: see docs/endpoints.md. */
export function fixAnswer(
  found: Placed | null,
  crossings: readonly Placed[],
  warnings: readonly FixWarning[],
  norths: OutingNorths,
) {
  const fix = found?.fix ?? null;
  const implausible = implausibleDeclination(norths);
  return {
    place: found && placeFields(found),
    ellipse: fix && ellipseFields(fix.ellipse),
    bearings: (fix?.bearings ?? []).map((each) => ({
      to: each.mark.name,
      true: (((each.readDegrees % 360) + 360) % 360) + 0,
      residual: each.residualDegrees,
      metres: each.metres,
    })),
    leastCut: fix?.cuts?.least ?? null,
    bias: fix?.compass ? { degrees: fix.compass.degrees, sigma: fix.compass.sigmaDegrees } : null,
    test: fix?.test
      ? { chiSquare: fix.test.chiSquare, degreesOfFreedom: fix.test.freedom, p: fix.test.p }
      : null,
    crossings: crossings.map((each) => ({
      place: placeFields(each),
      ellipse: ellipseFields(each.fix.ellipse),
    })),
    declination: {
      source: norths.declinationSource,
      east: norths.declinationEast,
      model: norths.field?.eastDegrees ?? null,
    },
    warnings: [
      ...(implausible
        ? [{ code: 'declination-doubtful', message: disagreementText(implausible) }]
        : []),
      ...warnings.map(({ code, message }) => ({ code, message })),
    ],
  };
}
