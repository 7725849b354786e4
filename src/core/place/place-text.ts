import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import type { TypedPlace } from '../readings/place/grid-reader';
import { fail, ok, type Result } from '../units/result';
import {
  decimalDegrees,
  degreesMinutesSeconds,
  readDegreesText,
} from '../readings/place/degrees-text';
import type { Metres } from '../units/units';
import { readGridText, squareText, utmText } from './grid-text';
import { nationalTexts } from './national-text';

/** An easting and a northing in metres, as a map prints them at its edge: `466000 6007500`. */
const EAST_NORTH =
  /^\s*(?:e\s*)?(\d{6}(?:\.\d+)?)\s*m?\s*e?[\s,;/]+(?:n\s*)?(\d{6,8}(?:\.\d+)?)\s*m?\s*n?\s*$/i;

/** What a text gives of UTM without its zone; null for any other text. */
export function eastNorthOf(text: string): string | null {
  const [, east, north] = EAST_NORTH.exec(text) ?? [];
  return east === undefined || north === undefined ? null : `${east} ${north}`;
}

/** Reads a place: degrees, with minutes and seconds, UTM, a grid square, or a national grid. */
export function readPlace(text: string): Result<Position, Fault> {
  const read = readTyped(text);
  return read.ok ? ok(read.value.position) : read;
}

/** The same with how finely it was read. */
export function readTyped(text: string): Result<TypedPlace, Fault> {
  if (eastNorthOf(text) !== null) return fail({ code: 'zone-missing', found: text.trim() });
  const byGrid = readGridText(text);
  if (byGrid) return byGrid;
  const read = readDegreesText(text);
  return read.ok ? ok({ position: read.value, withinMetres: undefined }) : read;
}

/** A place in one notation; a national grid also says how well its datum holds. */
export interface PlaceNotation {
  readonly name: string;
  readonly text: string;
  readonly withinMetres?: Metres;
}

/** The place in every notation, in the national grids of its country too. */
export const placeTexts = (position: Position): PlaceNotation[] => [
  ...[
    { name: 'Degrees', text: decimalDegrees(position) },
    { name: 'Minutes and seconds', text: degreesMinutesSeconds(position) },
    { name: 'UTM', text: utmText(position) },
    { name: 'Grid square', text: squareText(position) },
  ].filter((way): way is PlaceNotation => way.text !== null),
  ...nationalTexts(position),
];
