import proj4 from 'proj4';
import { utmDefinition } from '../place/map-grid';
import type { Position } from '../readings/position';
import { fail, ok } from '../units/result';
import { degrees, type Degrees } from '../units/units';
import type { EarthModels } from './earth-models';
import { isMapProjection } from '../place/map-projections';

/** Step toward true north for the numerical convergence: above rounding, below curvature. */
const STEP_DEGREES = 1e-4;
/** Nearer to the pole the step is taken toward the south. */
const POLE_DEGREES = 89;
const UTM_SOUTH = -80;
const UTM_NORTH = 84;

/** Convergence of a projection at a place, by a small step along the meridian; NaN where none. */
function numericalConvergence(definition: string, { latitude, longitude }: Position): Degrees {
  const grid = proj4(definition);
  const sign = latitude > POLE_DEGREES ? -1 : 1;
  const [east = NaN, north = NaN] = grid.forward([longitude, latitude]);
  const stepped = latitude + sign * STEP_DEGREES;
  const [eastAfter = NaN, northAfter = NaN] = grid.forward([longitude, stepped]);
  if (east === eastAfter && north === northAfter) return NaN;
  return -degrees(Math.atan2(sign * (eastAfter - east), sign * (northAfter - north)));
}

/** Map grids (package proj4). */
export const gridModel: Pick<EarthModels, 'convergence'> = {
  convergence(position, projection) {
    const outsideUtm = position.latitude < UTM_SOUTH || position.latitude > UTM_NORTH;
    if (projection === undefined && outsideUtm) return fail({ code: 'convergence-unknown' });
    const definition = projection ?? utmDefinition(position);
    if (!isMapProjection(definition)) return fail({ code: 'bad-projection', definition });
    try {
      const found = numericalConvergence(definition, position);
      if (Number.isFinite(found)) return ok(found);
    } catch {
      // The package throws strings and errors alike for what it can't project.
    }
    return fail({ code: 'bad-projection', definition });
  },
};
