import type { Fault } from '../faults';
import type { Position } from '../logbook';
import type { Result } from '../result';
import { decimalDegrees, degreesMinutesSeconds, readDegreesText } from './degrees-text';
import { readGridText, squareText, utmText } from './grid-text';

/** Reads a place in any of the four ways in which people write one: decimal degrees, degrees with minutes and seconds, UTM, or a grid square. */
export const readPlace = (text: string): Result<Position, Fault> =>
  readGridText(text) ?? readDegreesText(text);

/** The place in each way that it can be written. */
export const placeTexts = (
  position: Position,
): { readonly name: string; readonly text: string }[] =>
  [
    { name: 'Degrees', text: decimalDegrees(position) },
    { name: 'Minutes and seconds', text: degreesMinutesSeconds(position) },
    { name: 'UTM', text: utmText(position) },
    { name: 'Grid square', text: squareText(position) },
  ].filter((way): way is { name: string; text: string } => way.text !== null);
