import { figureUnits } from '@/ui/units/shown';
import { boxedWords } from '@/core/entries/describe';
import type { Entry, Leg } from '@/core/entries/entry';
import type { Fault } from '@/core/faults/fault';
import { contextAtEnd } from '@/core/log-text/interpret';
import { readLine } from '@/core/log-text/read-line';
import type { DistanceReading } from '@/core/readings/distance';
import { writeGround } from '@/core/readings/ground';
import { paceOn } from '@/core/survey/log-state';
import type { Solution } from '@/core/survey/solution';
import { fail, ok, type Result } from '@/core/units/result';
import { plainDecimal, type Metres } from '@/core/units/units';
import { clockMsAt, type Count, type CountedBox, type Tally } from '@/store/count';

/** What is counted: paces (every second step), single steps, or minutes. */
export const COUNTINGS = ['paces', 'steps', 'minutes'] as const;
export type Counting = (typeof COUNTINGS)[number];

/** How a person counts: what, and how fast they go by the clock. */
export interface CountingBy {
  readonly counting: Counting;
  readonly kilometresPerHour: number;
}

const tenths = (value: number) => Math.round(value * 10) / 10;
const METRES_PER_KILOMETRE_MINUTE = 1000 / 60;
const MINUTE_MS = 60_000;

/** Metres of a tally, along the ground; null where paces were counted and none is known. */
export function metresOf(
  solution: Solution,
  tally: Tally,
  ground: string | undefined,
): Metres | null {
  if (tally.paces === 0) return tally.metres;
  const { paceLength } = paceOn(solution.end, ground);
  return Number.isNaN(paceLength) ? null : tally.metres + tally.paces * paceLength;
}

/** Metres of the leg at some point of it: as counted, or by the clock. */
function metresAt(
  solution: Solution,
  point: Tally & { readonly clockMs: number },
  ground: string | undefined,
  { counting, kilometresPerHour }: CountingBy,
): Metres | null {
  if (counting !== 'minutes') return metresOf(solution, point, ground);
  return (point.clockMs / MINUTE_MS) * kilometresPerHour * METRES_PER_KILOMETRE_MINUTE;
}

/** Metres of the leg so far, at a moment. */
export const metresSoFar = (
  solution: Solution,
  count: Count,
  by: CountingBy,
  now: number,
): Metres | null =>
  metresAt(solution, { ...count, clockMs: clockMsAt(count, now) }, count.ground, by);

const less = (tally: Tally, part: Tally): Tally => ({
  paces: tally.paces - part.paces,
  metres: tally.metres - part.metres,
});

const isNothing = ({ paces, metres }: Tally) => paces === 0 && metres === 0;

/** The boxes that went out and along; one that was given up before is no box. */
const wholeBoxes = (count: Count): readonly CountedBox[] =>
  count.boxes.filter(({ out, along }) => !isNothing(out) && !isNothing(along));

/** What was counted on the line itself: boxes add their sides along by lines of their own. */
const onTheLine = (count: Count): Tally =>
  wholeBoxes(count).reduce<Tally>((rest, { along }) => less(rest, along), count);

/** A tally as it is read: as counted where possible, else in metres; null where unknown. */
function readingOf(
  solution: Solution,
  tally: Tally,
  ground: string | undefined,
  counting: Counting,
): DistanceReading | null {
  if (tally.metres === 0) {
    return counting === 'steps'
      ? { unit: 'steps', value: tally.paces * 2 }
      : { unit: 'paces', value: tally.paces };
  }
  const metres = metresOf(solution, tally, ground);
  return metres === null ? null : { unit: 'metres', value: tenths(metres) };
}

/** True where something was counted outside the boxes: a leg needs a length. */
const hasLine = (count: Count): boolean => !isNothing(onTheLine(count));

/** A count's distance as a line of the log has it; empty for none. */
function distanceText(solution: Solution, count: Count, by: CountingBy, now: number): string {
  if (by.counting === 'minutes') {
    const minutes = tenths(clockMsAt(count, now) / MINUTE_MS);
    return minutes === 0
      ? ''
      : `${plainDecimal(minutes)}min@${plainDecimal(by.kilometresPerHour)}kmh`;
  }
  const tally = hasLine(count) ? onTheLine(count) : count;
  const reading = readingOf(solution, tally, count.ground, by.counting);
  if (!reading || reading.value === 0) return '';
  const letters = { paces: 'p', steps: 's', metres: 'm' } as const;
  return plainDecimal(reading.value) + letters[reading.unit as keyof typeof letters];
}

/** What was counted, with what of it was round obstacles; null where none was boxed. */
export function boxedOf(solution: Solution, count: Count, { counting }: CountingBy): string | null {
  if (counting === 'minutes' || !hasLine(count)) return null;
  const boxes = wholeBoxes(count);
  const reading = (tally: Tally) => readingOf(solution, tally, count.ground, counting);
  const [onLine, ...alongs] = [onTheLine(count), ...boxes.map(({ along }) => along)].map(reading);
  const known = alongs.filter((along) => along !== null);
  return onLine && known.length > 0 ? boxedWords(onLine, known, figureUnits()) : null;
}

/** What a person adds to a count to make a leg of it. */
export interface LegTexts {
  readonly bearing: string;
  readonly station: string;
  readonly note: string;
}

/** The line of the log that a count makes at a moment. */
export function lineOf(
  solution: Solution,
  count: Count,
  by: CountingBy,
  { bearing, station, note }: LegTexts,
  now: number,
): string {
  const part = (sign: string, text: string) => (text.trim() === '' ? '' : `${sign} ${text.trim()}`);
  return [
    bearing.trim(),
    distanceText(solution, count, by, now),
    count.ground === undefined ? '' : writeGround(count.ground),
    part('>', station),
    part(';', note),
  ]
    .filter(Boolean)
    .join(' ');
}

/** The leg that a line of the log says, or why it can't be read. */
function legOf(solution: Solution, line: string): Result<Leg, Fault> {
  const read = readLine(line, contextAtEnd(solution));
  if (!read.ok) return fail(read.fault.fault);
  return 'entry' in read.value && read.value.entry.kind === 'leg'
    ? ok(read.value.entry)
    : fail({ code: 'unexpected', found: '', expected: 'bearing' });
}

/** The entries that a count makes: the leg, its boxes and its features; or why it can't be read. */
export function entriesOf(
  solution: Solution,
  count: Count,
  by: CountingBy,
  line: string,
): Result<Entry[], Fault> {
  const leg = legOf(solution, line);
  if (!leg.ok) return leg;
  const isTimed = by.counting === 'minutes';
  const boxes = isTimed || !hasLine(count) ? [] : wholeBoxes(count);
  const features = count.seen.map((feature): Entry => {
    const { what, thing, side, sideMetres = 0 } = feature;
    const about = { ...(side && { side }), ...(thing && { thing }), what };
    // In paces alone a length in metres would be refused.
    if (!isTimed && solution.end.unit !== 'metre') {
      const along = { unit: 'paces', value: tenths(feature.paces) } as const;
      const aside = { unit: 'paces', value: sideMetres } as const;
      return { kind: 'at', along, ...(side && { aside }), ...about };
    }
    const metres = metresAt(solution, feature, count.ground, by) ?? 0;
    return { kind: 'at', metres: tenths(metres), ...(side && { sideMetres }), ...about };
  });
  const boxEntries = boxes.flatMap((box): Entry[] => {
    const [out, along] = [box.out, box.along].map((tally) =>
      readingOf(solution, tally, count.ground, by.counting),
    );
    return out && along ? [{ kind: 'box', side: box.side, out, along }] : [];
  });
  return ok([leg.value, ...boxEntries, ...features]);
}
