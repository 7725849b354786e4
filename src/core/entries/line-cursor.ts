import type { Expected } from '../faults/fault';
import type { BearingReading } from '../readings/bearing';
import { readChoice } from '../readings/choice';
import { Cursor } from '../readings/cursor';
import type { DistanceReading, LengthReading, LengthUnit } from '../readings/distance';
import { readAmount } from '../readings/number';
import { readNameUntil, readPosition } from '../readings/place/read-place';
import type { GridReader, TypedPlace } from '../readings/place/grid-reader';
import { readBearing, takeCompassPoint } from '../readings/read-bearing';
import { readDistance, readLength, readSpeedFigure } from '../readings/read-distance';
import type { SlopeReading } from '../readings/slope';
import { readGround, takeUsualGround } from '../readings/texts/read-ground';
import { readStationName } from '../readings/texts/read-name';
import { readSlope } from '../readings/texts/read-slope';
import { readTime } from '../readings/texts/read-time';
import type { CompassPoint } from '../units/angle';
import type { North } from '../units/bearing';
import { FEATURE_KINDS, SIDES, type FeatureKind, type Side } from './feature';
import {
  finishWithNote,
  takeMarkedNote,
  takeNoteToEnd,
  takeTrailingNote,
  whatSeen,
} from './trailing-note';

const FEATURE_KIND = new RegExp(`(${FEATURE_KINDS.join('|')})(?![a-z])`, 'iy');
const SIDE = /(left|right)(?![a-z])/iy;

/**
 * Reads a line of a log: it knows every reading that a kind of line may hold. The kinds know it by
 * its type alone, so that what only replays what was read does without the readers.
 */
export class LineCursor extends Cursor {
  constructor(
    text: string,
    end: number,
    /** Reads places by a grid; null where it is not loaded. */
    readonly grids: GridReader | null,
  ) {
    super(text, end);
  }

  /** A bearing; without a letter it is from `north`. */
  bearing(north: North, expected?: Parameters<typeof readBearing>[2]): BearingReading {
    return readBearing(this, north, expected);
  }

  /** A compass point, if it is written here. */
  compassPoint(): CompassPoint | undefined {
    return takeCompassPoint(this);
  }

  /** A distance above 0; a bare number is paces. */
  distance(): DistanceReading {
    return readDistance(this);
  }

  /** A count or a length, or 0; a bare number is in the unit given. */
  length(bare: LengthUnit): LengthReading {
    return readLength(this, bare);
  }

  /** A speed with its unit, in km/h. */
  speed(): number {
    return readSpeedFigure(this);
  }

  /** A number as a person writes it. */
  amount(expected: Expected): number {
    return readAmount(this, expected);
  }

  /** One of a few words to the end of the line. */
  choice<Choice extends string>(choices: readonly Choice[], expected: Expected): Choice {
    return readChoice(this, choices, expected);
  }

  stationName(): string {
    return readStationName(this);
  }

  /** The name before a column; null where there is none. */
  nameUntil(end: number): string | null {
    return readNameUntil(this, end);
  }

  /** The place between two columns, in degrees or by a grid. */
  place(from: number, to: number): TypedPlace {
    return readPosition(new Cursor(this.text, to), from, this.grids);
  }

  slope(direction: 'up' | 'down'): SlopeReading {
    return readSlope(this, direction);
  }

  /** The name of a ground. */
  ground(): string {
    return readGround(this);
  }

  /** One of the usual grounds, if it is written here. */
  usualGround(): string | undefined {
    return takeUsualGround(this);
  }

  /** A time of day, HH:MM. */
  time(): string {
    return readTime(this);
  }

  /** The kind of a feature as the field `thing`, if it is written here. */
  featureKind(): { thing?: FeatureKind } {
    const found = this.takeAfterSpace(FEATURE_KIND)?.[1]?.toLowerCase();
    const thing = FEATURE_KINDS.find((kind) => kind === found);
    return thing === undefined ? {} : { thing };
  }

  side(): Side {
    this.skipSpace();
    const found = this.take(SIDE)?.[1]?.toLowerCase();
    return SIDES.find((side) => side === found) ?? this.expected('side');
  }

  /** The note after a dash or in brackets; null, and nothing taken, where it may be a reading. */
  markedNote(): string | null {
    return takeMarkedNote(this);
  }

  /** The note from here to the end of the line; null where it may be a reading. */
  noteToEnd(): string | null {
    return takeNoteToEnd(this);
  }

  /** The note that plain words are; null, and nothing taken, where they may be anything else. */
  trailingNote(): string | null {
    return takeTrailingNote(this);
  }

  /** The note of a line whose other parts are read: after a `;`, or plain words. */
  finishWithNote(note: string | undefined): string | undefined {
    return finishWithNote(this, note);
  }

  /** What was seen, which the line can't do without. */
  whatSeen(note: string | undefined, thing?: FeatureKind): string {
    return whatSeen(this, note, thing);
  }
}
