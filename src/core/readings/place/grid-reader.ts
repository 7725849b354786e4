import type { Fault } from '../../faults/fault';
import type { Position } from '../position';
import type { Metres } from '../../units/units';
import type { Result } from '../../units/result';

/** A place as it was typed, and the width of the square that it names. */
export interface TypedPlace {
  readonly position: Position;
  /** Undefined where the notation doesn't tell. */
  readonly withinMetres: Metres | undefined;
  /** The national grid that it was read in, by its name. */
  readonly grid?: string;
}

/** Reads a place by a grid; null for a text that looks like none. */
export type GridReader = (text: string) => Result<TypedPlace, Fault> | null;

const FIGURE = String.raw`[en]?\s*\d{5,7}(?:\.\d+)?\s*m?\s*[en]?`;
/** What a text by a grid begins with, or is as a whole: with a zone, with letters, with a name. */
const GRID_TEXTS = [
  String.raw`\d{1,2}\s*(?:[c-hj-np-x]|north|south)`,
  String.raw`[hjnost][a-hj-z]\s?(?:\d{2,5}[ ,]\s?\d{2,5}|\d{4,10})\s*$`,
  String.raw`[a-hj-z]\s?(?:\d{3,5}[ ,]\s?\d{3,5}|\d{6,10})\s*$`,
  String.raw`[a-z][a-z0-9]*[\s:]+${FIGURE}[\s,;/]+${FIGURE}\s*$`,
];
/** The pattern of a text that a grid may have; to be tried without regard to letter case. */
export const GRID_TEXT = `(?:${GRID_TEXTS.join('|')})`;
/** The same where a zone without its figures is too little to tell it from a name. */
export const LETTERED_TEXT = `(?:${GRID_TEXTS.slice(1).join('|')})`;
