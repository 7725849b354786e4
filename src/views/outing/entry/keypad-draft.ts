import type { Leg } from '@/core/entries/entry';
import { bearingDegrees } from '@/core/readings/bearing';
import { isCount, type DistanceReading } from '@/core/readings/distance';
import type { LengthSystem } from '@/core/units/figures';
import { isInPaces, figureUnits } from '@/ui/units/shown';
import { keepTyped } from '@/store/keep-choice';
import { keepCopy, keptChoice, keptNow, type Kept } from '@/store/kept-choice';
import { bearingKeys } from './bearing-keys';

/** What the keys of the keypad write to. */
export const PARTS = ['bearing', 'count'] as const;
export type Part = (typeof PARTS)[number];

const UNITS = ['p', 's', 'm', 'ft', 'lk', 'min'] as const;
export type Unit = (typeof UNITS)[number];

/** Whole figures are keyed: a forester's are links, a hundred to the chain. */
const OWN_LENGTH: Readonly<Record<LengthSystem, Unit>> = { metric: 'm', feet: 'ft', chains: 'lk' };
/** The person's own unit of length, as it is keyed. */
export const ownLength = (): Unit => OWN_LENGTH[figureUnits().lengths];
/** The units that the keypad changes between; in paces alone there are no others. */
export const unitsOfKeypad = (): readonly Unit[] =>
  isInPaces() ? ['p', 's'] : ['p', 's', ownLength(), 'min'];

/** The unit of a distance on the keypad; null where it has none. */
const UNIT_OF: Readonly<Partial<Record<DistanceReading['unit'], Unit>>> = {
  paces: 'p',
  steps: 's',
  metres: 'm',
  feet: 'ft',
  links: 'lk',
  minutes: 'min',
};
const whole = (value: number) => (Number.isInteger(value) ? String(value) : '');

/** A leg of the log as the keypad has it; what it can't show in whole figures is left empty. */
export function draftOfLeg({ bearing, distance, ground }: Leg): Draft {
  const unit = UNIT_OF[distance.unit] ?? null;
  const degrees = bearingDegrees(bearing);
  const isWhole = bearing.unit === 'mils' || Number.isInteger(degrees);
  return {
    bearing: isWhole ? bearingKeys().ofDegrees(degrees) : '',
    count: unit === null ? '' : whole(distance.value),
    unit,
    ground,
    part: 'bearing',
  };
}

/**
 * The leg as the keys have it now: what was not touched stays as it was read, to its last digit and
 * in its own unit and north, and so does all that the keypad doesn't show.
 */
export function correctedLeg(seen: Leg, draft: Draft, keyed: Leg): Leg {
  const before = draftOfLeg(seen);
  const { bearing, ground: _ground, distance, counted, ...rest } = seen;
  const isCounted = draft.count !== before.count || draft.unit !== before.unit;
  // A count beside a length goes where the leg is now counted itself.
  const keepsCount = counted && !(isCounted && isCount(keyed.distance));
  return {
    ...rest,
    ...(keepsCount && { counted }),
    bearing:
      draft.bearing === before.bearing ? bearing : { ...keyed.bearing, north: bearing.north },
    distance: isCounted ? keyed.distance : distance,
    ...(draft.ground !== undefined && { ground: draft.ground }),
  };
}

/** What is on the keypad and not yet logged; unit and ground stay from leg to leg. */
export interface Draft {
  readonly bearing: string;
  readonly count: string;
  /** Null until one is chosen: then it is what the outing can be counted in. */
  readonly unit: Unit | null;
  readonly ground: string | undefined;
  readonly part: Part;
}

const keyOf = (outing: string) => `cairn-keypad-${outing}`;

/** The draft of an outing's keypad: this tab's own, else the last of any tab; null for none. */
export function keptDraft(outing: string): Draft | null {
  const kept = keptChoice(keyOf(outing), 'tab') ?? keptChoice(keyOf(outing));
  try {
    const draft = JSON.parse(kept ?? 'null') as Partial<Record<keyof Draft, unknown>> | null;
    if (typeof draft !== 'object' || draft === null) return null;
    const digits = (value: unknown) =>
      typeof value === 'string' && /^\d*$/.test(value) ? value : '';
    return {
      bearing: digits(draft.bearing),
      count: digits(draft.count),
      unit: UNITS.find((unit) => unit === draft.unit) ?? null,
      ground: typeof draft.ground === 'string' ? draft.ground : undefined,
      part: draft.part === 'count' ? 'count' : 'bearing',
    };
  } catch {
    return null;
  }
}

/** Keeps a draft through a reload and a killed tab. */
export function keepDraft(outing: string, draft: Draft): void {
  const text = JSON.stringify(draft);
  keepCopy(keyOf(outing), text, 'tab');
  keepTyped(keyOf(outing), text);
}

/** A draft without the leg that is logged: written with it. */
export const draftLogged = (outing: string, draft: Draft): Kept =>
  keptNow(keyOf(outing), JSON.stringify(draft));
