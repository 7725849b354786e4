import { shownUnits, type LengthSystem } from '@/core/units/shown';
import { keepTyped } from '@/store/keep-choice';
import { keepCopy, keptChoice, keptNow, type Kept } from '@/store/kept-choice';

/** What the keys of the keypad write to. */
export const PARTS = ['bearing', 'count'] as const;
export type Part = (typeof PARTS)[number];

const UNITS = ['p', 's', 'm', 'ft', 'lk'] as const;
export type Unit = (typeof UNITS)[number];

/** Whole figures are keyed: a forester's are links, a hundred to the chain. */
const OWN_LENGTH: Readonly<Record<LengthSystem, Unit>> = { metric: 'm', feet: 'ft', chains: 'lk' };
/** The person's own unit of length, as it is keyed. */
export const ownLength = (): Unit => OWN_LENGTH[shownUnits().lengths];
/** The units that the keypad changes between. */
export const unitsOfKeypad = (): readonly Unit[] => ['p', 's', ownLength()];

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
