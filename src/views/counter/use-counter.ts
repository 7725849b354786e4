import { useCallback, useEffect, useRef, useState } from 'react';
import { addEntries, type Command } from '@/core/edit/command';
import { faultMessage } from '@/core/faults/messages';
import type { Solution } from '@/core/survey/solution';
import type { Metres } from '@/core/units/units';
import type { Count, CountLine } from '@/store/count';
import type { Outcome } from '@/store/outing-session';
import type { StoreFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { exclusively } from '@/views/shared/data/exclusively';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { beep, buzz } from './feedback';
import { entriesOf, lineOf, metresOf, type LegTexts } from './leg-of-count';
import { useChoices, type Choices } from './use-choices';
import { WORDS } from './words';

export type TapCounts = 'one' | 'ten' | 'hundred';

const BEAD_HUNDRED_METRES = 100;

export interface CounterProps {
  solution: Solution;
  count: Count;
  /** The bearing to follow that the caller asks for, where the count has none of its own yet. */
  follow: string;
  /** Stores a tap; resolves to null when it is durable. */
  add: (line: CountLine) => Promise<StoreFault | null>;
  /** The number of the newest record of the count, of any tab. */
  newest: () => Promise<number | null>;
  run: (command: Command) => Promise<Outcome>;
}

/** Buzzes or beeps when a tap is stored: it answers what is durable, not the finger. */
function useFeedback(count: Count, metres: Metres | null, choices: Choices) {
  const hundreds = Math.floor((metres ?? 0) / BEAD_HUNDRED_METRES);
  const total = count.paces + count.metres;
  const heard = useRef({ hundreds, total });
  useEffect(() => {
    if (total > heard.current.total) {
      const full = hundreds > heard.current.hundreds;
      if (choices.buzz) buzz(full);
      if (choices.sound) beep(full);
    }
    heard.current = { hundreds, total };
  }, [total, hundreds, choices.buzz, choices.sound]);
}

/** Stores records, and remembers why the last one was not stored. */
function useWrite(add: CounterProps['add']) {
  const [fault, setFault] = useState<string | null>(null);
  const write = useCallback(
    async (line: CountLine) => {
      const wrong = await add(line);
      setFault(wrong && `${WORDS.notSaved} ${STORE_MESSAGES[wrong]}`);
    },
    [add],
  );
  return { write, fault };
}

/** The count in the hand: what a tap does, what is followed, and the leg that it makes. */
export function useCounter({ solution, count, follow: wanted, add, newest, run }: CounterProps) {
  const [tapCounts, setTapCounts] = useState<TapCounts>('one');
  const [status, setStatus] = useState('');
  const { write, fault } = useWrite(add);
  const [choices, choose] = useChoices();
  const [bearing, setBearing] = useState(count.bearing || wanted);
  const metres = metresOf(solution, count, count.ground);
  useFeedback(count, metres, choices);

  /** What is typed shows at once; it is stored after that. */
  const follow = (next: string, ground: string | undefined) => {
    setBearing(next);
    void write({ kind: 'leg', bearing: next, ground });
  };
  const pace = choices.counting === 'steps' ? 0.5 : 1;
  const tap = useCallback(() => {
    setStatus('');
    void write(
      tapCounts === 'hundred'
        ? { kind: 'metres', by: BEAD_HUNDRED_METRES }
        : { kind: 'paces', by: tapCounts === 'ten' ? 10 * pace : pace },
    );
  }, [write, tapCounts, pace]);
  const undo = useCallback(() => void write({ kind: 'undo' }), [write]);
  const onPace = useCallback(() => void write({ kind: 'paces', by: 1 }), [write]);
  const line = (texts: LegTexts) => lineOf(solution, count, choices.counting, texts);

  /** Logs the count as a leg; resolves to why that failed, or null. */
  const log = async (texts: LegTexts): Promise<string | null> => {
    const entries = entriesOf(solution, count, line(texts));
    if (!entries.ok) return faultMessage(entries.fault);
    const failed = await exclusively(`cairn-count-${solution.outing.id}`, async () => {
      // Another tab may have logged the same count: then there is nothing left to log.
      if ((await newest()) !== count.number) return WORDS.countedElsewhere;
      const refused = outcomeMessage(await run(addEntries(entries.value)));
      if (refused === null) await write({ kind: 'end' });
      return refused;
    });
    if (failed !== null) return failed;
    setBearing('');
    setStatus(WORDS.logged(line(texts)));
    return null;
  };
  return {
    tapCounts,
    setTapCounts,
    status: fault ?? status,
    choices,
    choose,
    bearing,
    metres,
    write,
    follow,
    tap,
    undo,
    onPace,
    line,
    log,
  };
}

export type CounterState = ReturnType<typeof useCounter>;
