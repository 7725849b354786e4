'use client';
import equal from 'fast-deep-equal';
import { useCallback, useMemo, useRef, useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { addEntry, type Command } from '@/core/edit/command';
import {
  correctEntry,
  insertEntry,
  moveLeg,
  remarkOn,
  strikeEntry,
  type Strike,
} from '@/core/edit/ink';
import { changeHeader, setUpOuting, type SetUp } from '@/core/edit/set-up';
import { renameStation } from '@/core/edit/rename-station';
import { applied } from '@/core/edit/operations';
import { understand, type Understanding } from '@/core/log-text/understand';
import { writeEntry, writeLog } from '@/core/log-text/write-log';
import type { Entry, Header, Outing } from '@/core/logbook';
import { solve, type Solution } from '@/core/solve';
import { whatChanged } from '@/core/what-changed';
import type { Outcome } from '@/store/outing-session';
import type { StoreFault } from '@/store/store-fault';
import type { OpenOuting } from '@/views/shared/use-outing';
import { changeWords } from '@/views/shared/norths/words';
import { lineWords, WORDS } from './words';

/** A change that the store would not take: what it was, and the log as it would stand with it. */
export interface Unsaved {
  readonly fault: StoreFault;
  readonly command: Command;
  readonly text: string;
}

/** What the entry line writes to instead of the end of the page: the place of a line, or the one before it. */
interface Editing {
  readonly how: 'replace' | 'insert';
  readonly index: number;
  readonly seen: Entry;
}

const short = (entry: Entry) => writeEntry(entry, 'magnetic').trim().slice(0, 60);

/** A line that is struck out now, for a reason if there is one. */
const struckNow = (reason: string): Strike => {
  const why = reason
    .replace(/[\s|]+/g, ' ')
    .trim()
    .slice(0, 2000);
  return { at: new Date().toISOString(), ...(why === '' ? {} : { reason: why }) };
};

/** What goes on while someone works on a spread: the line being typed, what is chosen, what was saved. */
export function useSpread(open: OpenOuting, outing: Outing, solution: Solution | null) {
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [editing, setEditing] = useState<Editing | null>(null);
  /** Why the line is changed, if the person says. */
  const [reason, setReason] = useState('');
  const [selected, setSelected] = useState<number | null>(null);
  const [status, setStatus] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const [unsaved, setUnsaved] = useState<Unsaved | null>(null);

  const understanding = useMemo<Understanding>(
    () => (solution ? understand(text, solution) : { kind: 'nothing' }),
    [text, solution],
  );

  const report = useCallback(
    (outcome: Outcome, command: Command, said: string): string | null => {
      if (outcome.kind === 'saved') {
        setUnsaved(null);
        setRefused(null);
        setStatus(said);
        return null;
      }
      if (outcome.kind === 'refused') {
        setRefused(faultWords(outcome.fault));
        return faultWords(outcome.fault);
      }
      const operations = command(outing, open.models);
      const after = operations.ok ? applied(outing, operations.value) : null;
      const log = writeLog(after?.ok ? after.value : outing);
      setUnsaved({ fault: outcome.fault, command, text: log });
      return WORDS.log;
    },
    [open.models, outing],
  );

  const run = useCallback(
    async (command: Command, said: string) => report(await open.run(command), command, said),
    [open, report],
  );

  const clearLine = useCallback(() => {
    setText('');
    setEditing(null);
    setReason('');
    setRefused(null);
    input.current?.focus();
  }, []);

  const saveEntry = useCallback(
    async (entry: Entry) => {
      const command =
        editing === null
          ? addEntry(entry)
          : editing.how === 'replace'
            ? correctEntry(editing.index, editing.seen, entry, struckNow(reason))
            : insertEntry(editing.index, editing.seen, entry);
      if ((await run(command, WORDS.saved(short(entry)))) !== null) return;
      // The struck line stays where it was; the corrected one stands below it and is the chosen one.
      if (editing?.how === 'replace' && !equal(editing.seen, entry)) setSelected(editing.index + 1);
      clearLine();
    },
    [editing, reason, run, clearLine],
  );

  /** What another header does to the way home, in words; nothing where a page has no legs or nothing moves. */
  const effectOf = useCallback(
    (header: Partial<Header>): string => {
      if (!solution || solution.traverse.legs === 0) return '';
      const after = solve({ ...outing, ...header }, open.models);
      const change = after.ok ? whatChanged(solution, after.value) : null;
      return change ? changeWords(change) : '';
    },
    [solution, outing, open.models],
  );

  /** Writes a line down without touching the one that is being typed. */
  const saveLine = useCallback(
    (entry: Entry) => run(addEntry(entry), WORDS.saved(short(entry))),
    [run],
  );

  const save = useCallback(async () => {
    if (understanding.kind === 'entry') await saveEntry(understanding.entry);
    if (understanding.kind === 'header') {
      const { header } = understanding;
      const command = changeHeader((before) => ({ ...before, ...header }) as Header);
      const said = `${WORDS.saved(text.trim())} ${effectOf(header)}`;
      if ((await run(command, said)) === null) clearLine();
    }
  }, [understanding, saveEntry, run, text, clearLine, effectOf]);

  const edit = useCallback(
    (index: number) => {
      const seen = outing.entries[index];
      if (!seen || !solution) return;
      setSelected(index);
      setEditing({ how: 'replace', index, seen });
      setText(writeEntry(seen, solution.end.read).trim());
      input.current?.focus();
    },
    [outing, solution],
  );

  const insertBefore = useCallback(
    (index: number) => {
      const seen = outing.entries[index];
      if (!seen) return;
      setEditing({ how: 'insert', index, seen });
      setText('');
      input.current?.focus();
    },
    [outing],
  );

  const strike = useCallback(
    async (index: number, why = '') => {
      const seen = outing.entries[index];
      if (!seen || seen.kind === 'struck') return;
      const done = await run(
        strikeEntry(index, seen, struckNow(why)),
        `Struck out: ${lineWords(seen)}. Undo brings it back.`,
      );
      if (done === null) setSelected(null);
    },
    [outing, run],
  );

  const move = useCallback(
    async (index: number, way: 'up' | 'down') => {
      const seen = outing.entries[index];
      if (!seen) return;
      const done = await run(moveLeg(index, seen, way), `Moved ${way}: ${lineWords(seen)}.`);
      if (done === null) setSelected(null);
    },
    [outing, run],
  );

  /** Says that what the page remarks on a line is right; `index` null speaks of the header. */
  const sayRight = useCallback(
    (index: number | null, code: string) => {
      const remark = { kind: 'right', code } as const;
      const seen = index === null ? undefined : outing.entries[index];
      const command = seen ? remarkOn(index!, seen, remark) : addEntry(remark);
      return run(command, 'Noted: it is right.');
    },
    [outing, run],
  );

  /** Takes the reading that a remark offers, in the place of the one that stands. */
  const mend = useCallback(
    (index: number, leg: Entry) => {
      const seen = outing.entries[index];
      if (!seen) return;
      const said = WORDS.saved(short(leg));
      return run(correctEntry(index, seen, leg, struckNow('compass disturbed there')), said);
    },
    [outing, run],
  );

  const rename = (from: string, to: string) =>
    run(renameStation(from, to), `${from} is now called ${to}.`);

  const setUp = (wanted: SetUp) => run(setUpOuting(wanted), `Saved. ${effectOf(wanted.header)}`);

  const step = useCallback(
    async (kind: 'undo' | 'redo') => {
      const outcome = await open[kind]();
      if (outcome.kind === 'saved') setStatus(kind === 'undo' ? 'Undone.' : 'Done again.');
      setSelected(null);
      setEditing(null);
    },
    [open],
  );

  return {
    input,
    text,
    setText: useCallback((next: string) => {
      setText(next);
      setRefused(null);
    }, []),
    understanding,
    editing,
    selected,
    setSelected,
    status: refused ?? status,
    unsaved,
    retry: () =>
      unsaved && run(unsaved.command, 'Saved.').then((done) => done === null && clearLine()),
    save,
    saveEntry,
    saveLine,
    edit,
    insertBefore,
    reason,
    setReason,
    strike,
    move,
    sayRight,
    mend,
    rename,
    setUp,
    step,
    clearLine,
  };
}

export type SpreadState = ReturnType<typeof useSpread>;
