'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { addEntries, type Command } from '@/core/edit/command';
import { faultMessage } from '@/core/faults/messages';
import { usualSpeed } from '@/core/navigation/ways/ground-speeds';
import type { Solution } from '@/core/survey/solution';
import type { Metres } from '@/core/units/units';
import { isEmpty, openBox, type Count, type CountLine } from '@/store/count';
import type { Outcome } from '@/store/outing-session';
import type { StoreFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useOnce } from '@/views/shared/data/use-once';
import { beep, buzz } from './feedback';
import {
  boxedOf,
  entriesOf,
  lineOf,
  metresSoFar,
  type Counting,
  type CountingBy,
  type LegTexts,
} from './leg-of-count';
import { progressOf, signalBetween } from './progress';
import { useChoices, type Choices } from './use-choices';
import { WORDS } from '../words';

/**
 * Does something in one tab at a time. Where a browser has no locks (an address without TLS), it is
 * done without: what is done must still notice what another tab has written.
 */
function exclusively<Outcome>(name: string, act: () => Promise<Outcome>): Promise<Outcome> {
  const locks = (globalThis.navigator as { locks?: LockManager } | undefined)?.locks;
  return locks ? (locks.request(name, act) as Promise<Outcome>) : act();
}

/** The time, second by second while a stopwatch runs and the page is seen; else as it was. */
function useRunningClock(runs: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!runs) return;
    const tick = () => document.visibilityState === 'visible' && setNow(Date.now());
    tick();
    const timer = setInterval(tick, 1000);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [runs]);
  return now;
}

export type TapCounts = 'one' | 'ten' | 'hundred';

const HUNDRED_METRES = 100;

export interface CounterProps {
  solution: Solution;
  count: Count;
  /** The bearing to follow that the caller asks for, where the count has none of its own yet. */
  follow: string;
  /** How far to count, and to what, where the caller says so. */
  wanted: { readonly metres: Metres; readonly name: string } | null;
  /** Stores a tap; resolves to null when it is durable. */
  add: (line: CountLine) => Promise<StoreFault | null>;
  /** The count with every tap of this tab; null where another tab has gone on with it. */
  settled: () => Promise<Count | null>;
  run: (command: Command) => Promise<Outcome>;
  undo: () => Promise<Outcome>;
}

/** Buzzes or beeps when a tap is stored: it answers what is durable, not the finger. */
function useFeedback(solution: Solution, count: Count, metres: Metres | null, choices: Choices) {
  const progress = progressOf(solution, count, metres);
  const heard = useRef(progress);
  useEffect(() => {
    const signal = signalBetween(heard.current, progress);
    heard.current = progress;
    if (signal && choices.buzz) buzz(signal);
    if (signal && choices.sound) beep(signal);
  });
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

/** Sets the target that the address asks for, once, where nothing is counted yet. */
function useWantedTarget({ wanted, count }: CounterProps, write: (line: CountLine) => unknown) {
  const asked = useRef(false);
  useEffect(() => {
    if (asked.current || !wanted) return;
    asked.current = true;
    const query = new URLSearchParams(location.search);
    query.delete('metres');
    history.replaceState(history.state, '', `${location.pathname}?${query}`);
    if (isEmpty(count)) void write({ kind: 'target', ...wanted });
  });
}

/** The result of logging a count: the line of the log, or why there is none. */
type Logged = { readonly line: string } | { readonly failed: string };

/** Logs a count as a leg, and takes it back. */
function useLogging(
  props: CounterProps,
  by: CountingBy,
  write: (line: CountLine) => Promise<void>,
) {
  const { solution, settled, run, undo } = props;
  const log = (texts: LegTexts) =>
    exclusively(`cairn-count-${solution.outing.id}`, async (): Promise<Logged> => {
      // A tap or an undo may still be being written: the leg is what is counted after it.
      const count = await settled();
      // Another tab may have logged the same count: then there is nothing left to log.
      if (!count || isEmpty(count)) return { failed: WORDS.countedElsewhere };
      if (openBox(count)) return { failed: WORDS.boxFirst };
      const line = lineOf(solution, count, by, texts, Date.now());
      const made = entriesOf(solution, count, by, line);
      if (!made.ok) return { failed: faultMessage(made.fault) };
      const failed = outcomeMessage(await run(addEntries(made.value)));
      if (failed !== null) return { failed };
      await write({ kind: 'end' });
      const boxed = boxedOf(solution, count, by);
      return { line: boxed === null ? line : `${line} (${boxed})` };
    });
  /** Takes the leg that was logged last out of the log, and goes on with its count. */
  const takeBack = async (): Promise<string | null> => {
    const refused = outcomeMessage(await undo());
    if (refused === null) await write({ kind: 'resume' });
    return refused;
  };
  return { log, takeBack };
}

/** The bearing that is followed: what is typed shows at once, and is stored after that. */
function useFollowed({ count, follow: wanted }: CounterProps, write: (line: CountLine) => unknown) {
  // A bearing that is only kept from the leg before gives way to the one that is asked for.
  const isFree = count.bearing === '' || count.isKept;
  const [bearing, setBearing] = useState(isFree && wanted !== '' ? wanted : count.bearing);
  const follow = (next: string, ground: string | undefined) => {
    setBearing(next);
    void write({ kind: 'leg', bearing: next, ground });
  };
  return [bearing, follow] as const;
}

/** What a tap stands for, and what it writes; `forget` is informed of each. */
function useTaps(
  counting: Counting,
  write: (line: CountLine) => Promise<void>,
  forget: () => void,
) {
  const [tapCounts, setTapCounts] = useState<TapCounts>('one');
  const pace = counting === 'steps' ? 0.5 : 1;
  const tap = useCallback(() => {
    forget();
    void write(
      tapCounts === 'hundred'
        ? { kind: 'metres', by: HUNDRED_METRES }
        : { kind: 'paces', by: tapCounts === 'ten' ? 10 * pace : pace },
    );
  }, [write, forget, tapCounts, pace]);
  const undo = useCallback(() => void write({ kind: 'undo' }), [write]);
  const onPace = useCallback(() => void write({ kind: 'paces', by: 1 }), [write]);
  return { tapCounts, setTapCounts, tap, undo, onPace };
}

/** The count in the hand: what a tap does, what is followed, and the leg that it makes. */
export function useCounter(props: CounterProps) {
  const { solution, count, add } = props;
  const [status, setStatus] = useState('');
  const [canTakeBack, setCanTakeBack] = useState(false);
  const { write, fault } = useWrite(add);
  const [choices, choose] = useChoices();
  const { counting } = choices;
  const forget = useCallback(() => {
    setStatus('');
    setCanTakeBack(false);
  }, []);
  const taps = useTaps(counting, write, forget);
  const by = { counting, kilometresPerHour: choices.kilometresPerHour ?? usualSpeed(solution) };
  const now = useRunningClock(count.runsSince !== null);
  const [bearing, follow] = useFollowed(props, write);
  const metres = metresSoFar(solution, count, by, now);
  useFeedback(solution, count, metres, choices);
  useWantedTarget(props, write);

  const line = (texts: LegTexts) => lineOf(solution, count, by, texts, Date.now());
  const { log, takeBack } = useLogging(props, by, write);
  /** Resolves to why that failed, or null. */
  const logged = async (texts: LegTexts): Promise<string | null> => {
    const came = await log(texts);
    const failed = 'failed' in came ? came.failed : null;
    setStatus('line' in came ? WORDS.logged(came.line) : came.failed);
    setCanTakeBack(failed === null);
    return failed;
  };
  const [arrive, isLogging] = useOnce(() => logged({ bearing, station: '', note: '' }));
  const [unlog] = useOnce(async () => {
    const failed = await takeBack();
    setStatus(failed ?? WORDS.takenBack);
    setCanTakeBack(false);
  });
  return {
    ...taps,
    status: fault ?? status,
    setStatus,
    canTakeBack,
    choices,
    choose,
    by,
    now,
    bearing,
    metres,
    write,
    follow,
    line,
    boxed: boxedOf(solution, count, by),
    log: logged,
    arrive,
    isLogging,
    unlog,
  };
}

export type CounterState = ReturnType<typeof useCounter>;
