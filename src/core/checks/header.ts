import { inForceAt } from '../survey/in-force';
import { disagreementText, statedBeside } from '../north/implausible-declination';
import type { Check } from './check';
import { yearsSinceMargin } from '../north/outing-norths';
import { angleEast } from '../readings/angle';
import { angleText } from '../units/angle';
import { readDegreesText } from '../readings/place/degrees-text';
import { isLikeReference } from './legs/name-like-reference';

/** How far a stated angle may be from the model's. Common practice, no source. */
const TOLERANCE_DEGREES = 1;

/** `angle-disagrees`: a margin's or a typed declination is more than 1° from the model's. */
export const angleDisagrees: Check = ({ places }) => {
  const { norths } = places.frame;
  const beside = statedBeside(norths, norths.field);
  if (!beside || beside.apartDegrees <= TOLERANCE_DEGREES) return [];
  const message = disagreementText(beside);
  return [{ code: 'angle-disagrees', at: { header: 'declination' }, message }];
};

/** A margin's annual change holds for about this long. Common practice, no source. */
const MOST_YEARS = 10;

/** `angle-old`: the declination is from a map margin more than ten years from the outing's day. */
export const angleOld: Check = ({ outing }) => {
  const { declination, date } = outing;
  if (declination.source !== 'margin' || !date) return [];
  const years = yearsSinceMargin(declination, date.day);
  if (Math.abs(years) <= MOST_YEARS) return [];
  const age = `${Math.abs(Math.round(years))} years ${years > 0 ? 'old' : 'ahead'}`;
  const message =
    `The map’s declination is ${age}, and its annual change holds for about ten. ` +
    'Use the model, or a newer map.';
  return [{ code: 'angle-old', at: { header: 'declination' }, message }];
};

/** Nowhere that compasses work does declination change faster. Common practice, no source. */
const MOST_DEGREES_A_YEAR = 0.5;

/** `annual-change-large`: a margin's annual change of more than half a degree. */
export const annualChangeLarge: Check = ({ outing: { declination } }) => {
  if (declination.source !== 'margin') return [];
  const change = Math.abs(angleEast(declination.changePerYear));
  if (change <= MOST_DEGREES_A_YEAR) return [];
  const message =
    `An annual change of ${change.toFixed(1)}° is too much: maps print it in minutes. Is it ` +
    `${Math.round(change)}′? Then write the minute sign.`;
  return [{ code: 'annual-change-large', at: { header: 'declination' }, message }];
};

/**
 * Horizontal intensity in nanotesla below which a compass is unreliable, and below which it is not
 * to be used (zones of the WMM2025 report; memory).
 */
const UNRELIABLE = 6000;
const UNUSABLE = 2000;

/** `far-north-compass`: so near a magnetic pole that a compass is unreliable. */
export const farNorthCompass: Check = ({ places }) => {
  const horizontal = places.frame.norths.field?.horizontalNanotesla;
  if (horizontal === undefined || horizontal >= UNRELIABLE) return [];
  const figure = `${Math.round(horizontal / 100) * 100} nT`;
  const advice =
    horizontal < UNUSABLE
      ? 'a compass is not to be used. Navigate by other means.'
      : 'the needle swings slowly and is unreliable. Tap it, read twice, and check by sun and ' +
        'landmarks.';
  const message = `The horizontal field is only ${figure} here: ${advice}`;
  return [{ code: 'far-north-compass', at: { header: 'start' }, message }];
};

/** `model-outside-window`: the declination is extrapolated beyond the days the model holds for. */
export const modelOutsideWindow: Check = ({ places }) => {
  const { field, declinationSource } = places.frame.norths;
  if (!field?.extrapolated || declinationSource !== 'model') return [];
  const message =
    `${field.model} is valid from ${field.validFrom} to ${field.validUntil}. The outing’s day is ` +
    'outside, so the declination is extrapolated by its annual change and may be off by more ' +
    'than the model says. Compare it with a new map.';
  return [{ code: 'model-outside-window', at: { header: 'declination' }, message }];
};

/** Nearer to a pole than this, directions turn within a day's walk. */
const MOST_LATITUDE = 85;

/** `near-pole`: the start is above 85° of latitude, where a plane and a compass no longer serve. */
export const nearPole: Check = ({ outing: { start } }) => {
  if (!start.position || Math.abs(start.position.latitude) <= MOST_LATITUDE) return [];
  const message =
    `The start is at ${start.position.latitude.toFixed(1)}°: so near a pole north turns as you ` +
    'walk. The sketch and the way home hold in the plane about the start; positions and true ' +
    'bearings a few kilometres away do not. Use a receiver.';
  return [{ code: 'near-pole', at: { header: 'start' }, message }];
};

/** `north-contradicts`: a dial set for the declination, and bearings or ways as magnetic. */
export const northContradicts: Check = ({ outing, places }) => {
  const { compassNorth, correction, declinationEast } = places.frame.norths;
  if (compassNorth === 'magnetic') return [];
  const magnetic = outing.entries.filter(
    (entry) => (entry.kind === 'leg' || entry.kind === 'see') && entry.bearing.north === 'magnetic',
  ).length;
  const isShown = outing.show.north === 'magnetic';
  const readsMagnetic = inForceAt(outing).readingNorth === 'magnetic';
  if (magnetic === 0 && !isShown && !readsMagnetic) return [];
  const dial = correction === 'by-mark' ? 'The declination scale' : 'The adjusted compass';
  const turned = declinationEast === null ? '' : `, turned by ${angleText(declinationEast)}`;
  const logged = magnetic === 1 ? '1 bearing is' : `${magnetic} bearings are`;
  const said = [
    ...(magnetic > 0 ? [`${logged} logged as magnetic${turned}`] : []),
    ...(readsMagnetic ? ['the next ones are read as magnetic'] : []),
    ...(isShown ? ['the way home is given as magnetic'] : []),
  ].join(', and ');
  const message =
    `${dial} reads from ${compassNorth} north, yet ${said}. Which is it? Read and show ` +
    `${compassNorth} north, or choose Apply declination.`;
  return [{ code: 'north-contradicts', at: { header: 'declination' }, message }];
};

const isLikePosition = (name: string) =>
  /\d/.test(name) && (isLikeReference(name) || readDegreesText(name).ok);

/** `start-like-position`: the start has a name that reads as a position, and no position. */
export const startLikePosition: Check = ({ outing: { start } }) => {
  if (start.position || !isLikePosition(start.name)) return [];
  const message =
    `The start is called “${start.name}”, which looks like a position. If it is one, write ` +
    `start Start at ${start.name}.`;
  return [{ code: 'start-like-position', at: { header: 'start' }, message }];
};
