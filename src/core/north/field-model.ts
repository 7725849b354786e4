import geomagnetism from 'geomagnetism';
import type { Position } from '../readings/position';
import { signedDifference } from '../units/angle';
import { fail, ok } from '../units/result';
import type { Degrees } from '../units/units';
import type { EarthModels } from './earth-models';

const DAY = 86_400_000;
const YEAR = 365.2425 * DAY;
/** Beyond a window the declination is extrapolated for this long; after that it is a guess. */
const LONGEST_EXTRAPOLATION = 5 * YEAR;

/**
 * One-sigma error of the model's declination in degrees, from the horizontal intensity in
 * nanotesla: sqrt(0.26² + (5417/H)²). Source: the WMM2025 technical report (memory).
 */
const declinationSigma = (horizontal: number) => Math.hypot(0.26, 5417 / horizontal);

const dayOf = (time: number) => new Date(time).toISOString().slice(0, 10);
const modelAt = (time: number) => geomagnetism.model(new Date(time));

/** The last moment that the windows cover in one direction from 2020: they overlap or touch. */
function coveredUntil(side: 'start_date' | 'end_date', step: number): number {
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
const COVERED = { from: coveredUntil('start_date', -DAY), until: coveredUntil('end_date', DAY) };

/** Annual change of the declination around a moment, by one model on both sides. */
function annualChange(position: Position, time: number): Degrees {
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

/** The World Magnetic Model (package geomagnetism). */
export const fieldModel: Pick<EarthModels, 'declination' | 'reach'> = {
  reach: { from: dayOf(COVERED.from), until: dayOf(COVERED.until) },

  declination(position, day) {
    const noon = Date.parse(`${day}T12:00:00Z`);
    const held = Math.min(COVERED.until, Math.max(COVERED.from, noon));
    const model = modelAt(held);
    const [from, until] = [dayOf(model.start_date.getTime()), dayOf(model.end_date.getTime())];
    if (Math.abs(noon - held) > LONGEST_EXTRAPOLATION) {
      return fail({ code: 'model-out-of-window', model: model.name, from, until });
    }
    const field = model.point([position.latitude, position.longitude]);
    const change = annualChange(position, held);
    return ok({
      eastDegrees: signedDifference(0, field.decl + (change * (noon - held)) / YEAR),
      sigmaDegrees: declinationSigma(field.h),
      changePerYearDegrees: change,
      horizontalNanotesla: field.h,
      model: model.name.replace('-', ''),
      validFrom: from,
      validUntil: until,
      extrapolated: noon !== held,
    });
  },
};
