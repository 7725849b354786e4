'use client';
import { useRef, useState } from 'react';
import type { Leg } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import { usualSpeed } from '@/core/navigation/ways/ground-speeds';
import { interpretLine } from '@/core/log-text/interpret';
import { writeGround } from '@/core/readings/ground';
import { generalPace } from '@/core/survey/log-state';
import type { Solution } from '@/core/survey/solution';
import { plainDecimal } from '@/core/units/units';
import type { Kept } from '@/store/kept-choice';
import { useOnce } from '@/views/shared/data/use-once';
import { interpretationWords } from '@/views/shared/words/entry-words';
import { bearingKeys } from './bearing-keys';
import {
  correctedLeg,
  draftLogged,
  draftOfLeg,
  keepDraft,
  keptDraft,
  ownLength,
  unitsOfKeypad,
  type Draft,
  type Part,
  type Unit,
} from './keypad-draft';

const MOST_COUNT_DIGITS = 5;
const mostDigits = (part: Part) => (part === 'bearing' ? bearingKeys().digits : MOST_COUNT_DIGITS);

const BLANK: Draft = {
  bearing: '',
  count: '',
  unit: null,
  ground: undefined,
  part: 'bearing',
};

/** What the next leg begins with. */
const NEXT = { bearing: '', count: '', part: 'bearing' } as const;

/** Paces, unless the log has lengths and no pace: then they would be refused. */
const usualUnit = ({ end }: Solution): Unit =>
  end.unit === 'metre' && generalPace(end) === null ? ownLength() : 'p';

/** A draft as a line of the log. */
const lineOf = ({ bearing, count, ground }: Draft, unit: Unit, speed: number): string =>
  [
    bearing && bearing + bearingKeys().unit,
    count === '' ? '' : count + (unit === 'min' ? `min@${plainDecimal(speed)}kmh` : unit),
    ground && writeGround(ground),
  ]
    .filter(Boolean)
    .join(' ');

/** A leg of the log that the keypad corrects, and the log as it was up to that leg. */
export interface Correcting {
  readonly leg: Leg;
  readonly place: Solution;
  readonly save: (leg: Leg) => Promise<string | null>;
}

/**
 * The draft of an outing, kept for after a reload; or that of the leg that is corrected, which goes
 * with its correction.
 */
function useDraft(id: string, leg: Leg | null, setRefused: (message: null) => void) {
  const first = () => (leg ? draftOfLeg(leg) : (keptDraft(id) ?? BLANK));
  const [shown, setShown] = useState(() => ({ leg, draft: first() }));
  const draft = shown.leg === leg ? shown.draft : first();
  // Two touches may come before the page is drawn again: each is on top of the one before.
  const newest = useRef(shown);
  const now = () => (newest.current.leg === leg ? newest.current.draft : first());
  const change = (next: Partial<Draft>) => {
    newest.current = { leg, draft: { ...now(), ...next } };
    setRefused(null);
    setShown(newest.current);
    if (!leg) keepDraft(id, newest.current.draft);
  };
  return { draft, now, change };
}

/** Digits that are pressed while a leg is being written: the thumb is faster than the store. */
function useHeldDigits() {
  const held = useRef<string[] | null>(null);
  return {
    /** True where it took the digit: it is to be pressed again after that. */
    takes: (digit: string): boolean => {
      held.current?.push(digit);
      return held.current !== null;
    },
    /** The result of an action, and the digits that were pressed during it. */
    during: async <Outcome>(act: () => Promise<Outcome>) => {
      const digits: string[] = [];
      held.current = digits;
      try {
        return [await act(), digits] as const;
      } finally {
        held.current = null;
      }
    },
  };
}

/** What the keys do to a draft. */
function keysOf(
  now: () => Draft,
  change: (next: Partial<Draft>) => void,
  held: ReturnType<typeof useHeldDigits>,
) {
  /** A whole bearing moves on to the count. */
  const setBearing = (bearing: string) =>
    change({ bearing, part: bearing.length === mostDigits('bearing') ? 'count' : 'bearing' });
  const press = (digit: string) => {
    if (held.takes(digit)) return;
    const { part, [part]: text } = now();
    const before = text.length < mostDigits(part) ? text : '';
    if (part === 'bearing') setBearing(before + digit);
    else change({ count: before + digit });
  };
  /** Takes the last digit away; from an empty count, of the bearing before it. */
  const erase = () => {
    const { part, count, bearing } = now();
    if (part === 'count' && count !== '') change({ count: count.slice(0, -1) });
    else change({ part: 'bearing', bearing: bearing.slice(0, -1) });
  };
  return { setBearing, press, erase };
}

/** The keypad's draft, how it reads as a leg, and what its keys do. */
export function useKeypad(
  solution: Solution,
  save: (leg: Leg, kept: Kept) => Promise<string | null>,
  correcting: Correcting | null,
) {
  const [refused, setRefused] = useState<string | null>(null);
  const { id } = solution.outing;
  const { draft, now, change } = useDraft(id, correcting?.leg ?? null, setRefused);
  const place = correcting?.place ?? solution;
  const unit = draft.unit ?? usualUnit(place);
  const found = interpretLine(lineOf(draft, unit, usualSpeed(place)), place);
  const leg = found.kind === 'entry' && found.entry.kind === 'leg' ? found.entry : null;
  const isBegun = draft.bearing !== '' && draft.count !== '';
  const fault = isBegun && found.kind === 'fault' ? faultMessage(found.fault) : null;

  const held = useHeldDigits();
  const { setBearing, press, erase } = keysOf(now, change, held);
  const [log, isLogging] = useOnce(async () => {
    if (!leg) return;
    if (correcting) {
      setRefused(await correcting.save(correctedLeg(correcting.leg, now(), leg)));
      return;
    }
    const kept = draftLogged(id, { ...now(), ...NEXT });
    const [failed, digits] = await held.during(() => save(leg, kept));
    if (failed === null) {
      change(NEXT);
      digits.forEach(press);
    }
    setRefused(failed);
  });
  return {
    draft,
    unit,
    leg,
    preview: found.kind === 'entry' ? found.preview : null,
    words: refused ?? (leg ? interpretationWords(found) : (fault ?? '')),
    isWrong: refused !== null || fault !== null,
    isLogging,
    press,
    erase,
    log,
    turn: (degrees: number) => change({ bearing: bearingKeys().ofDegrees(degrees) }),
    take: (degrees: number) => setBearing(bearingKeys().ofDegrees(degrees)),
    goTo: (part: Part) => change({ part }),
    nextUnit: () => {
      const units = unitsOfKeypad();
      change({ unit: units[(units.indexOf(unit) + 1) % units.length] ?? 'p' });
    },
    setGround: (ground: string | undefined) => change({ ground }),
  };
}
export type KeypadState = ReturnType<typeof useKeypad>;
