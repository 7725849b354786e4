import geomagnetism from 'geomagnetism';
import proj4 from 'proj4';
import type { EarthModels } from './earth-models';
import { fail, ok } from './result';
import { degrees } from './units';

/**
 * One-sigma error of the model's declination in degrees, from the horizontal intensity in nanotesla:
 * sqrt(0.26² + (5417/H)²). Source: the WMM2025 technical report's error model (memory).
 */
const declinationSigma = (horizontal: number) => Math.hypot(0.26, 5417 / horizontal);

const dayOf = (date: Date) => date.toISOString().slice(0, 10);

/** The UTM zone by longitude alone, 1 to 60; the exceptions off Norway are a matter of maps, not of the projection. */
const utmZone = (longitude: number) => Math.min(60, Math.floor((longitude + 180) / 6) + 1);

/** Step toward true north for the numerical convergence: far above rounding, far below curvature. */
const STEP_DEGREES = 1e-4;

/** The World Magnetic Model (package geomagnetism) and the UTM grid (package proj4). */
export const earthModels: EarthModels = {
  declination(position, day) {
    const noon = new Date(`${day}T12:00:00Z`);
    const model = geomagnetism.model(noon, { allowOutOfBoundsModel: true });
    if (noon < model.start_date || noon > model.end_date) {
      return fail({
        code: 'model-out-of-window',
        model: model.name,
        from: dayOf(model.start_date),
        until: dayOf(model.end_date),
      });
    }
    const field = model.point([position.latitude, position.longitude]);
    return ok({
      eastDegrees: field.decl,
      sigmaDegrees: declinationSigma(field.h),
      horizontalNanotesla: field.h,
      model: model.name,
    });
  },

  convergence({ latitude, longitude }) {
    if (latitude < -80 || latitude > 84) return fail({ code: 'convergence-unknown' });
    const grid = `+proj=utm +zone=${utmZone(longitude)} ${latitude < 0 ? '+south ' : ''}+datum=WGS84`;
    const [east, north] = proj4(grid, [longitude, latitude]) as [number, number];
    const [eastAbove, northAbove] = proj4(grid, [longitude, latitude + STEP_DEGREES]) as [
      number,
      number,
    ];
    return ok(-degrees(Math.atan2(eastAbove - east, northAbove - north)));
  },
};
