import geomagnetism from 'geomagnetism';
import proj4 from 'proj4';
import { signedDifference } from './angle';
import type { EarthModels, FieldAtPlace } from './earth-models';
import type { Position } from './logbook';
import { fail, ok } from './result';
import { degrees, type Degrees } from './units';
import { utmZone } from './utm-zone';

const DAY = 86_400_000;
const YEAR = 365.2425 * DAY;
/** Beyond a window the declination is carried on linearly for this long; after that it is a guess. */
const MOST_CARRIED = 5 * YEAR;

/**
 * One-sigma error of the model's declination in degrees, from the horizontal intensity in nanotesla:
 * sqrt(0.26² + (5417/H)²). Source: the WMM2025 technical report's error model (memory).
 */
const declinationSigma = (horizontal: number) => Math.hypot(0.26, 5417 / horizontal);

const dayOf = (time: number) => new Date(time).toISOString().slice(0, 10);
const modelAt = (time: number) => geomagnetism.model(new Date(time));

/** The last moment that the windows cover going one way from a day in any of them: they overlap or touch. */
function covered(side: 'start_date' | 'end_date', step: number): number {
  let reached = modelAt(Date.parse('2020-01-01'))[side].getTime();
  for (;;) {
    try {
      const farther = modelAt(reached + step)[side].getTime();
      if (farther === reached) return reached;
      reached = farther;
    } catch {
      // The package throws for a day that no window holds.
      return reached;
    }
  }
}
const COVERED = { from: covered('start_date', -DAY), until: covered('end_date', DAY) };

/** Declination's change in a year around a moment, by one model on both sides. */
function changePerYear(position: Position, time: number): Degrees {
  const { name, start_date, end_date } = modelAt(time);
  const side = (offset: number) => {
    const at = Math.min(end_date.getTime(), Math.max(start_date.getTime(), time + offset));
    return modelAt(at).name === name ? at : time;
  };
  const [early, late] = [side(-YEAR / 2), side(YEAR / 2)];
  const at = (moment: number) =>
    modelAt(moment).point([position.latitude, position.longitude]).decl;
  return (signedDifference(at(early), at(late)) * YEAR) / (late - early);
}

/** Step toward true north for the numerical convergence: far above rounding, far below curvature. */
const STEP_DEGREES = 1e-4;

/** The World Magnetic Model (package geomagnetism) and map grids (package proj4). */
export const earthModels: EarthModels = {
  reach: { from: dayOf(COVERED.from), until: dayOf(COVERED.until) },

  declination(position, day) {
    const noon = Date.parse(`${day}T12:00:00Z`);
    const held = Math.min(COVERED.until, Math.max(COVERED.from, noon));
    const model = modelAt(held);
    const window = {
      from: dayOf(model.start_date.getTime()),
      until: dayOf(model.end_date.getTime()),
    };
    if (Math.abs(noon - held) > MOST_CARRIED) {
      return fail({ code: 'model-out-of-window', model: model.name, ...window });
    }
    const field = model.point([position.latitude, position.longitude]);
    const change = changePerYear(position, held);
    const found: FieldAtPlace = {
      eastDegrees: signedDifference(0, field.decl + (change * (noon - held)) / YEAR),
      sigmaDegrees: declinationSigma(field.h),
      changePerYearDegrees: change,
      horizontalNanotesla: field.h,
      model: model.name.replace('-', ''),
      validFrom: window.from,
      validUntil: window.until,
      extrapolated: noon !== held,
    };
    return ok(found);
  },

  convergence({ latitude, longitude }, projection) {
    if (projection === undefined && (latitude < -80 || latitude > 84)) {
      return fail({ code: 'convergence-unknown' });
    }
    const south = latitude < 0 ? '+south ' : '';
    const grid =
      projection ?? `+proj=utm +zone=${utmZone({ latitude, longitude })} ${south}+datum=WGS84`;
    try {
      const onGrid = proj4(grid);
      const step = latitude > 89 ? -STEP_DEGREES : STEP_DEGREES;
      const [east, north] = onGrid.forward([longitude, latitude]);
      const [eastAfter, northAfter] = onGrid.forward([longitude, latitude + step]);
      const sign = Math.sign(step);
      const found = -degrees(
        Math.atan2(sign * (eastAfter! - east!), sign * (northAfter! - north!)),
      );
      if (Number.isFinite(found) && (east !== eastAfter || north !== northAfter)) return ok(found);
    } catch {
      // The package throws strings and errors alike for what it can't project.
    }
    return fail({ code: 'bad-projection', definition: grid });
  },
};
