import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import type { Result } from '../units/result';
import {
  decimalDegrees,
  degreesMinutesSeconds,
  readDegreesText,
} from '../readings/place/degrees-text';
import { readGridText, squareText, utmText } from './grid-text';

/** Reads a place: decimal degrees, degrees with minutes and seconds, UTM, or a grid square. */
export const readPlace = (text: string): Result<Position, Fault> =>
  readGridText(text) ?? readDegreesText(text);

/** The place in every notation. */
export const placeTexts = (
  position: Position,
): { readonly name: string; readonly text: string }[] =>
  [
    { name: 'Degrees', text: decimalDegrees(position) },
    { name: 'Minutes and seconds', text: degreesMinutesSeconds(position) },
    { name: 'UTM', text: utmText(position) },
    { name: 'Grid square', text: squareText(position) },
  ].filter((way): way is { name: string; text: string } => way.text !== null);
