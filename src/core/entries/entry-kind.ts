import type * as z from 'zod/mini';
import type { Field } from '../faults/fault';
import type { NO_NORTH } from '../readings/bearing';
import type { LengthUnit } from '../readings/distance';
import type { GridReader } from '../readings/place/grid-reader';
import type { North } from '../units/bearing';
import type { FigureUnits } from '../units/figures';
import type { LineCursor } from './line-cursor';
import type { FieldFault, InForce, Reckoning } from './reckoning';

/** Columns, from 0, of the parts of a line that a later check may object to. */
export type Columns = Partial<Record<Field, number>>;

/** A line of the log as it was read. */
interface ReadEntry<Value> {
  readonly entry: Value;
  readonly columns: Columns;
}

/** What the lines before have set for the reading of a line. */
export interface ReadingContext {
  /** The north of bearings without a letter. */
  readonly north: North;
  /** The unit of a length without one, on a line that belongs to a leg. */
  readonly bareUnit: LengthUnit;
  /** Reads places by a grid; null where it is not loaded. */
  readonly grids: GridReader | null;
}

/** The schema of one kind of line: an object that names its kind. */
export type EntrySchema = z.ZodMiniObject<{ kind: z.ZodMiniLiteral<string> } & z.core.$ZodShape>;

/**
 * One kind of line of the log. A new one is a file in `kinds/` and a line in `entry.ts`; the
 * compiler refuses one with a part missing.
 */
export interface EntryKind<Schema extends EntrySchema = EntrySchema, Value = z.infer<Schema>> {
  readonly kind: z.infer<Schema>['kind'] & string;
  /** The word that the line begins with; null for a leg, which begins with its bearing. */
  readonly keyword: string | null;
  readonly schema: Schema;
  /** True when a `;` on the line belongs to its text and starts no note. */
  readonly takesWholeLine: boolean;
  /** Reads what follows the keyword. `note` is what stands after the `;`. */
  read(cursor: LineCursor, note: string | undefined, context: ReadingContext): ReadEntry<Value>;
  /** The canonical line without its note; bearings from `north` are written without its letter. */
  write(entry: Value, north: North | typeof NO_NORTH): string;
  /** What the line says, as a short sentence. */
  describe(entry: Value, units: FigureUnits): string;
  /**
   * What the line belongs to: the leg before it, the station where one stands, or another line (an
   * acceptance, a struck line). It goes where that goes. Null for a line that stands by itself.
   */
  readonly attachesTo: 'leg' | 'station' | 'line' | null;
  /**
   * The station that the line names, and the same line with another name; null if it names none.
   */
  readonly station: {
    get(entry: Value): string | undefined;
    set(entry: Value, name: string): Value;
  } | null;
  /** What it sets for the lines that follow; without it, nothing that reading or sights need. */
  sets?(entry: Value): Partial<InForce>;
  /** What the line does to the reckoning; returns what is wrong, or null. */
  apply(entry: Value, reckoning: Reckoning): FieldFault | null;
}

/** The name of a kind, which is the only value that its schema allows there. */
const kindOf = <Schema extends EntrySchema>({ shape }: Schema) =>
  shape.kind._zod.def.values[0] as z.infer<Schema>['kind'] & string;

/** A kind of line by its schema; the compiler checks its other parts against that. */
export const entryKind =
  <Schema extends EntrySchema>(schema: Schema) =>
  (parts: Omit<EntryKind<Schema>, 'kind' | 'schema'>): EntryKind<Schema> => ({
    kind: kindOf(schema),
    schema,
    ...parts,
  });

/** The note as a field, or nothing: an absent note leaves no key behind. */
export const withNote = (note: string | undefined): { note?: string } =>
  note === undefined ? {} : { note };

/** The parts of a kind that stands by itself and only sets something for the lines that follow. */
export const setting = <Value>(sets: (entry: Value) => Partial<InForce>) => ({
  attachesTo: null,
  station: null,
  sets,
  apply(entry: Value, reckoning: Reckoning) {
    reckoning.set(sets(entry));
    return null;
  },
});
