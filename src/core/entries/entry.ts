import type { FigureUnits } from '../units/figures';
import { visibleText } from '../units/visible';
import * as z from 'zod/mini';
import type { NO_NORTH } from '../readings/bearing';
import type { North } from '../units/bearing';
import type { EntryKind, EntrySchema } from './entry-kind';
import type { InForce } from './reckoning';
import { aimKind } from './kinds/in-force/aim';
import { compassKind } from './kinds/in-force/compass';
import { haltKind } from './kinds/halt';
import { homeKind } from './kinds/in-force/home';
import { atKind } from './kinds/at';
import { boxKind } from './kinds/box';
import { expectKind } from './kinds/expect';
import { fallsKind } from './kinds/falls';
import { fromKind } from './kinds/from';
import { heightKind } from './kinds/height';
import { hereKind } from './kinds/here';
import { knownKind } from './kinds/known';
import { landmarkKind } from './kinds/landmark';
import { legKind } from './kinds/leg';
import { markKind } from './kinds/mark';
import { outKind } from './kinds/out';
import { paceKind } from './kinds/in-force/pace';
import { passedKind } from './kinds/passed';
import { readKind } from './kinds/in-force/read';
import { remarkKind } from './kinds/remark';
import { rightKind } from './kinds/right';
import { routeKind } from './kinds/route';
import { seeKind } from './kinds/see';
import { struckKind } from './kinds/struck';

/** Every kind of line that a log has below its header. A new one is one more file and line here. */
export const ENTRY_KINDS = [
  legKind,
  fromKind,
  hereKind,
  atKind,
  seeKind,
  heightKind,
  fallsKind,
  knownKind,
  landmarkKind,
  markKind,
  boxKind,
  passedKind,
  outKind,
  expectKind,
  haltKind,
  remarkKind,
  routeKind,
  rightKind,
  struckKind,
  readKind,
  aimKind,
  compassKind,
  paceKind,
  homeKind,
] as const;

type SchemasOf<Kinds> = {
  -readonly [K in keyof Kinds]: Kinds[K] extends { schema: infer Schema } ? Schema : never;
};
type Schemas = SchemasOf<typeof ENTRY_KINDS>;
// `map` loses which schema stands where in the tuple, which the union needs for its types.
const schemas = ENTRY_KINDS.map(({ schema }) => schema) as unknown as Schemas;

export const entrySchema = z.discriminatedUnion('kind', schemas).check(
  z.refine(
    (entry) => entry.kind !== 'at' || (entry.metres === undefined) !== (entry.along === undefined),
    'how far along the leg, in metres or in another unit',
  ),
  z.refine(
    (entry) =>
      entry.kind !== 'pace' || entry.walks === undefined || entry.spreadPercent !== undefined,
    'walks only beside the spread that is from them',
  ),
  z.refine(
    (entry) =>
      entry.kind !== 'halt' ||
      (entry.minutes === undefined) === (entry.from !== undefined && entry.until !== undefined),
    'how long the halt was, or from when until when',
  ),
  z.refine(
    (entry) =>
      entry.kind !== 'leg' || entry.slopeDegrees === undefined || entry.slopeRatio === undefined,
    'a slope in degrees or as rise over run, not both',
  ),
  z.refine(
    (entry) =>
      entry.kind !== 'falls' ||
      [entry.steepness, entry.slopeDegrees, entry.slopeRatio].filter((each) => each !== undefined)
        .length <= 1,
    'how steep the ground is in one way, not in two',
  ),
);

/** A line of the log below its header, as it was read. */
export type Entry = z.infer<typeof entrySchema>;
export type EntryOf<Kind extends Entry['kind']> = Extract<Entry, { kind: Kind }>;
export type Leg = EntryOf<'leg'>;

export const isLeg = (entry: Entry | undefined): entry is Leg => entry?.kind === 'leg';

/** A kind of line whose entries are of any type, as the registry returns it. */
type AnyKind = EntryKind<EntrySchema, Entry>;

/** Kinds of line by name and by keyword. */
export class EntryRegistry {
  private readonly byKind = new Map<string, AnyKind>();
  readonly byKeyword: ReadonlyMap<string, AnyKind>;
  /** The kind that nearly every line is of. */
  readonly leg: AnyKind;

  /**
   * The kinds' own entry types can't be distinguished by a name, so each is asked only for its own.
   */
  constructor(kinds: readonly object[]) {
    const byKeyword = new Map<string, AnyKind>();
    for (const kind of kinds as readonly AnyKind[]) {
      this.byKind.set(kind.kind, kind);
      if (kind.keyword !== null) byKeyword.set(kind.keyword, kind);
    }
    this.byKeyword = byKeyword;
    this.leg = this.of({ kind: 'leg' });
  }

  /** The kind of an entry, which must be registered. */
  of({ kind }: { readonly kind: string }): AnyKind {
    const found = this.byKind.get(kind);
    if (!found) throw new RangeError(`no kind of line is called ${kind}`);
    return found;
  }

  /** What an entry sets for the lines that follow; nothing, too, for one of another registry. */
  setBy(entry: Entry): Partial<InForce> {
    return this.byKind.get(entry.kind)?.sets?.(entry) ?? {};
  }
}

export const ENTRIES = new EntryRegistry(ENTRY_KINDS);

/**
 * One line of the log without the line break. `north` is the north of bearings without a letter.
 */
export function writeEntry(
  entry: Entry,
  north: North | typeof NO_NORTH,
  entries: EntryRegistry = ENTRIES,
): string {
  const text = entries.of(entry).write(entry, north);
  return 'note' in entry && entry.note !== undefined ? `${text} ; ${entry.note}` : text;
}

/** What an entry says, as a short sentence. */
export const describeEntry = (entry: Entry, units: FigureUnits): string =>
  visibleText(ENTRIES.of(entry).describe(entry, units));

/** What an entry belongs to; null for one that stands by itself. */
export const attachesTo = (entry: Entry): AnyKind['attachesTo'] => ENTRIES.of(entry).attachesTo;

/** True for a line that only remarks on another one, and counts for nothing. */
export const isRemark = (entry: Entry): boolean => attachesTo(entry) === 'line';
