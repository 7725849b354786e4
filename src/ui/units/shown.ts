import type { PlaneUnit } from '@/core/units/plane';
import * as texts from '@/core/units/figures';
import type { FigureUnits, ShownUnits } from '@/core/units/figures';
import type { Degrees, Metres } from '@/core/units/units';

/**
 * The units of every text that a page makes. Like a language they belong to the person and not to a
 * figure: a page sets them before anything is drawn, and hands `figureUnits()` to the core.
 */
let current = texts.USUAL_FIGURES;

export const figureUnits = (): FigureUnits => current;

/** Sets the person's units. */
export const showIn = (units: ShownUnits): void => {
  current = { ...units, plane: current.plane };
};

/** Sets what lengths are in: a page says so of its outing before its texts are made. */
export const workIn = (plane: PlaneUnit): void => {
  current = texts.forPlane(current, plane);
};
export const isInPaces = (): boolean => texts.isInPaces(current);

export const lengthUnit = () => texts.lengthUnit(current);
export const longUnit = () => texts.longUnit(current);
export const speedUnit = () => texts.speedUnit(current);
export const bearingSign = () => texts.bearingSign(current);
export const lengthText = (metres: Metres) => texts.lengthText(metres, current);
export const fineLengthText = (metres: Metres) => texts.fineLengthText(metres, current);
export const distanceText = (metres: Metres) => texts.distanceText(metres, current);
export const uncertaintyText = (metres: Metres) => texts.uncertaintyText(metres, current);
export const shortLengthText = (metres: Metres) => texts.shortLengthText(metres, current);
export const roundLengthText = (metres: Metres) => texts.roundLengthText(metres, current);
export const lengthFigure = (metres: Metres) => texts.lengthFigure(metres, current);
export const speedText = (kmh: number) => texts.speedText(kmh, current);
export const bearingFigure = (bearing: Degrees) => texts.bearingFigure(bearing, current);
export const bearingText = (bearing: Degrees) => texts.bearingText(bearing, current);
export const withAngleName = (text: string) => texts.withAngleName(text, current);
export const withMetres = (text: string, metres: Metres) => texts.withMetres(text, metres, current);
export const withDegrees = (text: string, bearing: Degrees) =>
  texts.withDegrees(text, bearing, current);
export const inDegreesAndMetres = (bearing: Degrees, metres: Metres) =>
  texts.inDegreesAndMetres(bearing, metres, current);
