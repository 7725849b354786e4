import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import { fail, type Result } from '../units/result';
import {
  decimalDegrees,
  degreesMinutesSeconds,
  readDegreesText,
} from '../readings/place/degrees-text';
import { readGridText, squareText, utmText } from './grid-text';

/** An easting and a northing in metres, as a map prints them at its edge: `466000 6007500`. */
const EAST_NORTH =
  /^\s*(?:e\s*)?(\d{6}(?:\.\d+)?)\s*m?\s*e?[\s,;/]+(?:n\s*)?(\d{6,8}(?:\.\d+)?)\s*m?\s*n?\s*$/i;

/** What a text gives of UTM without its zone; null for any other text. */
export function eastNorthOf(text: string): string | null {
  const [, east, north] = EAST_NORTH.exec(text) ?? [];
  return east === undefined || north === undefined ? null : `${east} ${north}`;
}

/** Reads a place: decimal degrees, degrees with minutes and seconds, UTM, or a grid square. */
export function readPlace(text: string): Result<Position, Fault> {
  if (eastNorthOf(text) !== null) return fail({ code: 'zone-missing', found: text.trim() });
  return readGridText(text) ?? readDegreesText(text);
}

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
