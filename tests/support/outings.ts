import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import fc from 'fast-check';
import { COMPASS_POINTS } from '@/core/units/angle';
import { blankOuting, type Outing } from '@/core/model/outing';
import { isStartName, isStationName } from '@/core/readings/name';
import { FEATURE_KINDS } from '@/core/entries/feature';
import type { BearingReading } from '@/core/readings/bearing';
import type { DistanceReading } from '@/core/readings/distance';
import type { Entry, Leg } from '@/core/entries/entry';
import { NORTHS } from '@/core/units/bearing';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import { readLog } from '@/core/log-text/read-log';
import type { EarthModels } from '@/core/north/earth-models';

/** A leg by bearing and metres. */
export const leg = (degrees: number, metres: number, more: Partial<Leg> = {}): Leg => ({
  kind: 'leg',
  bearing: { unit: 'degrees', value: degrees, north: 'magnetic' },
  distance: { unit: 'metres', value: metres },
  ...more,
});

export const outingOf = (entries: Entry[], more: Partial<Outing> = {}): Outing => ({
  ...blankOuting('test'),
  ...more,
  entries,
});

/** The solution of an outing that can be solved. */
export function solved(outing: Outing): Solution {
  const found = solve(outing, null, { tools: surveyTools });
  if (!found.ok) throw new Error(JSON.stringify(found.fault));
  return found.value;
}

/** The first fault of a log; null when it can be read and solved. */
export function refusal(text: string, models: EarthModels | null = null) {
  const log = readLog(text, 'test', models, surveyTools);
  return log.ok ? null : log.fault[0]!;
}

/** The solution of a log that can be read. */
export function solvedLog(text: string) {
  const found = readLog(text, 'test', null, surveyTools);
  if (!found.ok) throw new Error(JSON.stringify(found.fault));
  return found.value;
}

const north = fc.constantFrom(...NORTHS);
const wind = fc.constantFrom(...COMPASS_POINTS);
const upTo = (max: number) => fc.double({ min: 0, max, noNaN: true }).map((value) => value + 0);
const amount = fc.double({ min: 0.001, max: 99_999, noNaN: true });

export const bearingReading: fc.Arbitrary<BearingReading> = fc.oneof(
  fc.record({ unit: fc.constant('degrees' as const), value: upTo(360), north }),
  fc.record({
    unit: fc.constant('degrees' as const),
    value: fc.integer({ min: 0, max: 360 }),
    north,
  }),
  fc.record({ unit: fc.constant('mils' as const), value: upTo(6400), north }),
  fc.record({ unit: fc.constant('gon' as const), value: upTo(400), north }),
  fc.record({
    unit: fc.constant('quadrant' as const),
    from: fc.constantFrom('N' as const, 'S' as const),
    value: upTo(90),
    toward: fc.constantFrom('E' as const, 'W' as const),
    north,
  }),
  fc.record({ unit: fc.constant('wind' as const), wind, north }),
);

export const distanceReading: fc.Arbitrary<DistanceReading> = fc.oneof(
  fc.record({
    unit: fc.constantFrom('paces', 'steps', 'metres', 'kilometres', 'feet', 'yards', 'miles'),
    value: amount,
  }) as fc.Arbitrary<DistanceReading>,
  fc.record({ unit: fc.constant('minutes' as const), value: amount, kilometresPerHour: amount }),
);

const words = fc
  .string({ unit: 'grapheme', minLength: 1, maxLength: 24 })
  .map((text) => text.replace(/[\n\r\p{Cs}]/gu, '').trim());
const note = words.filter((text) => text.length > 0);
const name = words.filter((text) => isStationName(text) && !/^\d+$/.test(text));
const startName = name.filter(isStartName);
const optional = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { nil: undefined });

/** Drops keys that hold undefined, as reading a text leaves them out. */
export const tidy = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value;

const time = fc
  .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
  .map(([h, m]) => `${String(h).padStart(2, '0')}:${String(m).padStart(2, '0')}`);

const ground = fc.constantFrom('rough', 'snow', 'heather', 'old-moss');

const slopedLeg = fc.record({
  kind: fc.constant('leg' as const),
  bearing: bearingReading,
  distance: distanceReading,
  slopeRatio: fc.record({
    rise: fc.integer({ min: -50, max: 50 }).map((value) => value + 0),
    run: amount,
  }),
});
const legEntry = fc.record({
  kind: fc.constant('leg' as const),
  bearing: bearingReading,
  distance: distanceReading,
  back: optional(bearingReading),
  slopeDegrees: optional(fc.integer({ min: -89, max: 89 }).map((value) => value + 0)),
  slopeRatio: fc.constant(undefined),
  ground: optional(ground),
  time: optional(time),
  to: optional(name),
  note: optional(note),
});
const seen = fc.oneof(
  fc.record({
    kind: fc.constant('see' as const),
    bearing: bearingReading,
    what: note,
  }),
  fc.record({ kind: fc.constant('at' as const), metres: upTo(5000), what: note }),
  fc.record({
    kind: fc.constant('at' as const),
    along: fc.record({
      unit: fc.constantFrom('paces' as const, 'feet' as const),
      value: upTo(500),
    }),
    side: fc.constant('right' as const),
    aside: fc.record({ unit: fc.constant('steps' as const), value: upTo(500) }),
    what: note,
  }),
  fc.record({ kind: fc.constant('remark' as const), text: note }),
  fc.record({
    kind: fc.constant('at' as const),
    metres: upTo(5000),
    side: fc.constantFrom('left' as const, 'right' as const),
    sideMetres: upTo(500),
    thing: optional(fc.constantFrom(...FEATURE_KINDS)),
    what: note,
  }),
  fc.record({
    kind: fc.constant('box' as const),
    side: fc.constantFrom('left' as const, 'right' as const),
    out: distanceReading,
    along: distanceReading,
    note: optional(note),
  }),
);
const remark = fc.oneof(
  fc.record({
    kind: fc.constant('landmark' as const),
    thing: optional(fc.constantFrom(...FEATURE_KINDS)),
    what: note,
  }),
  fc.record({
    kind: fc.constant('passed' as const),
    side: fc.constantFrom('left' as const, 'right' as const),
    what: note,
  }),
  fc.record({
    kind: fc.constant('out' as const),
    bearing: bearingReading,
    time: optional(time),
    note: optional(note),
  }),
  fc.record({ kind: fc.constant('expect' as const), wind, note: optional(note) }),
  fc.record({
    kind: fc.constant('height' as const),
    unit: fc.constantFrom('metres' as const, 'feet' as const),
    value: fc.double({ min: -900, max: 9000, noNaN: true }),
    set: optional(fc.constant(true as const)),
    note: optional(note),
  }),
  fc.record({
    kind: fc.constant('falls' as const),
    bearing: bearingReading,
    steepness: optional(fc.constantFrom('level' as const, 'gentle' as const, 'steep' as const)),
    note: optional(note),
  }),
  fc.record({
    kind: fc.constant('falls' as const),
    bearing: bearingReading,
    slopeDegrees: fc.double({ min: 0, max: 89.9, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('halt' as const),
    minutes: fc.double({ min: 0.01, max: 1440, noNaN: true }),
    note: optional(note),
  }),
  fc.record({ kind: fc.constant('halt' as const), from: time, until: time, note: optional(note) }),
  fc.record({
    kind: fc.constant('route' as const),
    route: fc.constantFrom('r-1', 'a1b2'),
    note: optional(note),
  }),
  fc.record({
    kind: fc.constant('right' as const),
    code: fc.constantFrom('leg-short', 'angle-old'),
    note: optional(note),
  }),
  fc.record({
    kind: fc.constant('struck' as const),
    at: fc.constant('2026-08-14T10:20:00.000Z'),
    reason: optional(note.filter((text) => !text.includes('|'))),
    was: note,
  }),
);
const setting = fc.oneof(
  fc.record({ kind: fc.constant('read' as const), north, note: optional(note) }),
  fc.record({
    kind: fc.constant('aim' as const),
    aim: fc.constantFrom('needle' as const, 'landmark' as const, 'sighted' as const),
    note: optional(note),
  }),
  fc.record({
    kind: fc.constant('pace' as const),
    unit: fc.constantFrom('per-100-m' as const, 'metres' as const, 'feet' as const),
    value: amount,
    ground: optional(ground),
    spreadPercent: optional(fc.double({ min: 0.001, max: 100, noNaN: true })),
    note: optional(note),
  }),
  fc.record({
    kind: fc.constant('pace' as const),
    unit: fc.constant('metres' as const),
    value: amount,
    spreadPercent: fc.double({ min: 0.001, max: 100, noNaN: true }),
    walks: fc.integer({ min: 1, max: 1000 }),
  }),
  fc.record({ kind: fc.constant('compass' as const), name, note: optional(note) }),
  fc.record({
    kind: fc.constant('home' as const),
    aim: fc.constantFrom('needle' as const, 'landmark' as const, 'sighted' as const),
    ground: optional(ground),
    note: optional(note),
  }),
  fc.record({ kind: fc.constant('home' as const), kilometresPerHour: amount }),
);
const errors = fc.record({
  sigmas: fc.uniqueArray(
    fc.oneof(
      fc.record({
        of: fc.constantFrom('needle' as const, 'iron' as const, 'slope-reader' as const),
        unit: fc.constant('degrees' as const),
        value: upTo(100),
      }),
      fc.record({
        of: fc.constantFrom('paced' as const, 'pace-length' as const, 'speed' as const),
        unit: fc.constant('percent' as const),
        value: upTo(100),
      }),
    ),
    { minLength: 1, maxLength: 6, selector: ({ of }) => of },
  ),
  note: optional(note),
});
const angle = fc.oneof(
  fc.record({ degrees: upTo(180), toward: fc.constantFrom('E' as const, 'W' as const) }),
  fc.record({
    degrees: fc.integer({ min: 0, max: 179 }),
    minutes: fc.integer({ min: 0, max: 59 }),
    toward: fc.constantFrom('E' as const, 'W' as const),
  }),
);

/** Outings that can be solved, with every kind of line: a pace, a leg in metres, then anything. */
export const anyOuting: fc.Arbitrary<Outing> = fc
  .record({
    name: words,
    date: optional(
      fc.record({ day: fc.constant('2026-08-14'), time: optional(time), note: optional(note) }),
    ),
    start: fc.record({
      name: startName,
      position: optional(
        fc.record({
          latitude: fc.double({ min: -90, max: 90, noNaN: true }).map((value) => value + 0),
          longitude: fc.double({ min: -180, max: 180, noNaN: true }).map((value) => value + 0),
        }),
      ),
      note: optional(note),
    }),
    declination: fc.record({ source: fc.constant('typed' as const), angle, note: optional(note) }),
    correction: optional(
      fc.record({
        how: fc.constantFrom('by-sum', 'compass-set', 'by-mark', 'left-out', 'magnetic-map'),
        note: optional(note),
      }),
    ),
    convergence: optional(
      fc.record({ source: fc.constant('typed' as const), angle, note: optional(note) }),
    ),
    show: fc.record({ north, note: optional(note) }),
    errors: optional(errors),
    lines: fc.array(
      fc.oneof({ weight: 4, arbitrary: legEntry }, slopedLeg, seen, setting, remark),
      {
        maxLength: 30,
      },
    ),
    froms: fc.array(fc.nat(), { maxLength: 4 }),
  })
  .map(({ lines, froms, ...header }) => {
    const pace: Entry = { kind: 'pace', unit: 'per-100-m', value: 65 };
    const entries: Entry[] = [pace, leg(90, 100), ...(lines as Entry[])];
    // A few lines go back to a station that stands: the start, or a leg's own.
    for (const at of froms) {
      const index = 2 + (at % Math.max(1, entries.length - 2));
      entries.splice(index, 0, { kind: 'from', station: header.start.name });
    }
    return tidy({ id: 'test', ...header, entries }) as Outing;
  });

/** Legs by bearing and metres. */
export const someLegs = fc.array(
  fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 1, max: 500 })),
  { minLength: 1, maxLength: 20 },
);

/** Freezes a value and everything in it, so that changing any of it throws. */
export function deepFreeze<Value>(value: Value): Value {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    if (!ArrayBuffer.isView(value)) Object.freeze(value);
    for (const each of Object.values(value)) deepFreeze(each);
  }
  return value;
}
