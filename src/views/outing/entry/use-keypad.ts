'use client';
import { useRef, useState } from 'react';
import type { Leg } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import { interpretLine } from '@/core/log-text/interpret';
import { writeGround } from '@/core/readings/ground';
import { generalPace } from '@/core/survey/log-state';
import type { Solution } from '@/core/survey/solution';
import type { Kept } from '@/store/kept-choice';
import { useOnce } from '@/views/shared/data/use-once';
import { interpretationWords } from '@/views/shared/words/entry-words';
import { bearingKeys } from './bearing-keys';
import {
  draftLogged,
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

/** Without a pace a count of paces is no leg. */
/** Paces, unless the log has lengths and no pace: then they would be refused. */
const usualUnit = ({ end }: Solution): Unit =>
  end.unit === 'metre' && generalPace(end) === null ? ownLength() : 'p';

/** A draft as a line of the log. */
const lineOf = ({ bearing, count, ground }: Draft, unit: Unit): string =>
  [
    bearing && bearing + bearingKeys().unit,
    count === '' ? '' : count + unit,
    ground && writeGround(ground),
  ]
    .filter(Boolean)
    .join(' ');

/** The draft of an outing, kept for after a reload. */
function useDraft(id: string, setRefused: (message: null) => void) {
  const [draft, setDraft] = useState(() => keptDraft(id) ?? BLANK);
  // Two touches may come before the page is drawn again: each is on top of the one before.
  const newest = useRef(draft);
  const change = (next: Partial<Draft>) => {
    newest.current = { ...newest.current, ...next };
    setRefused(null);
    setDraft(newest.current);
    keepDraft(id, newest.current);
  };
  return { draft, newest, change };
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
    /** What came of an action, and the digits that were pressed during it. */
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

/** The keypad's draft, how it reads as a leg, and what its keys do. */
export function useKeypad(
  solution: Solution,
  save: (leg: Leg, kept: Kept) => Promise<string | null>,
) {
  const [refused, setRefused] = useState<string | null>(null);
  const { draft, newest, change } = useDraft(solution.outing.id, setRefused);
  const unit = draft.unit ?? usualUnit(solution);
  const found = interpretLine(lineOf(draft, unit), solution);
  const leg = found.kind === 'entry' && found.entry.kind === 'leg' ? found.entry : null;
  const isBegun = draft.bearing !== '' && draft.count !== '';
  const fault = isBegun && found.kind === 'fault' ? faultMessage(found.fault) : null;

  /** A whole bearing moves on to the count. */
  const setBearing = (bearing: string) =>
    change({ bearing, part: bearing.length === mostDigits('bearing') ? 'count' : 'bearing' });
  const held = useHeldDigits();
  const press = (digit: string) => {
    if (held.takes(digit)) return;
    const { part, [part]: text } = newest.current;
    const before = text.length < mostDigits(part) ? text : '';
    if (part === 'bearing') setBearing(before + digit);
    else change({ count: before + digit });
  };
  /** Takes the last digit away; from an empty count, of the bearing before it. */
  const erase = () => {
    const { part, count, bearing } = newest.current;
    if (part === 'count' && count !== '') change({ count: count.slice(0, -1) });
    else change({ part: 'bearing', bearing: bearing.slice(0, -1) });
  };
  const [log, isLogging] = useOnce(async () => {
    if (!leg) return;
    const kept = draftLogged(solution.outing.id, { ...newest.current, ...NEXT });
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
