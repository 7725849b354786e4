'use client';
import equal from 'fast-deep-equal';
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { addEntry, type Command, indexNow } from '@/core/edit/command';
import { acceptWarning, correctEntry, insertEntry, moveLeg, strikeEntry } from '@/core/edit/ink';
import { apply } from '@/core/edit/operations';
import { renameStation } from '@/core/edit/rename-station';
import { addLines, changeHeader, changeSettings, type OutingSettings } from '@/core/edit/settings';
import { writeEntry, type Entry, type Leg } from '@/core/entries/entry';
import type { MoreLines } from '@/core/log-text/read-more';
import { writeLog } from '@/core/log-text/write-log';
import type { Header } from '@/core/model/header';
import type { Outing } from '@/core/model/outing';
import { northsChange } from '@/core/navigation/norths-change';
import type { EarthModels } from '@/core/north/earth-models';
import { solve } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';
import type { Kept } from '@/store/kept-choice';
import type { StoreFault } from '@/store/store-fault';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { changeWords } from '@/views/shared/declination/words';
import { northAt, strikeNow, usePlaceOf } from './entry/correction';
import { useEnter } from './entry/use-enter';
import { useInterpretation } from './entry/use-interpretation';
import { keepUnsentLine, lineForgotten, unsentLine } from './unsent-line';
import { lineWords, WORDS } from './words';

/** A change that the store would not take: what it was, and the log as it would be with it. */
interface Unsaved {
  readonly fault: StoreFault;
  readonly command: Command;
  readonly text: string;
}

/** A line that the entry line writes to instead of the end of the log. */
interface Editing {
  readonly how: 'replace' | 'insert';
  readonly index: number;
  readonly seen: Entry;
}

const LONGEST_SHOWN = 60;
const short = (entry: Entry) => writeEntry(entry, 'magnetic').trim().slice(0, LONGEST_SHOWN);

/** Runs commands, and keeps what the person is shown about them. */
function useCommands(open: OpenOuting, outing: Outing) {
  const [status, setStatus] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const [unsaved, setUnsaved] = useState<Unsaved | null>(null);

  /** Resolves to why it was not done, or null. */
  const run = useCallback(
    async (command: Command, said: string, kept: Kept | null = null): Promise<string | null> => {
      const outcome = await open.run(command, kept);
      if (outcome.kind === 'saved') {
        setUnsaved(null);
        setRefused(null);
        setStatus(said);
        return null;
      }
      const message = outcomeMessage(outcome);
      if (outcome.kind === 'refused') setRefused(message);
      else {
        const operations = command(outing, open.models);
        const after = operations.ok ? apply(outing, operations.value) : null;
        const text = writeLog(after?.ok ? after.value : outing);
        setUnsaved({ fault: outcome.fault, command, text });
      }
      return message;
    },
    [open, outing],
  );
  return { run, status: refused ?? status, setStatus, setRefused, unsaved };
}

/** The line that is corrected, where it is by now: setting a pace puts a line before all others. */
const useWhereNow = (editing: Editing | null, outing: Outing): Editing | null =>
  useMemo(() => {
    const index = editing && indexNow(outing, editing.index, editing.seen);
    return index === null || index === editing?.index ? editing : { ...editing!, index };
  }, [editing, outing]);

/** The text that is being typed; the one that was not logged before a reload is there again. */
function useText(id: string) {
  const [text, setText] = useState(() => unsentLine(id));
  /** The text as it is now: a handler of a moment ago still has the one before. */
  const newest = useRef(text);
  const put = useCallback(
    (next: string, isCorrection = false) => {
      newest.current = next;
      // At once: the tab may be gone before anything is painted. A correction belongs to its line.
      keepUnsentLine(id, isCorrection ? '' : next);
      setText(next);
    },
    [id],
  );
  const now = useCallback(() => newest.current, []);
  return { text, put, now };
}

/** The line that is being typed, and how it is read. */
function useEntryText(
  solution: Solution,
  models: EarthModels | null,
  setRefused: (message: null) => void,
) {
  const input = useRef<HTMLInputElement>(null);
  const { id } = solution.outing;
  const { text, put, now } = useText(id);
  const [begun, setEditing] = useState<Editing | null>(null);
  const editing = useWhereNow(begun, solution.outing);
  /** Why the line is corrected, if the person says. */
  const [reason, setReason] = useState('');
  const place = usePlaceOf(editing?.index ?? null, solution, models);
  const { found, settled } = useInterpretation(text, place);
  const type = useCallback(
    (next: string) => {
      put(next, editing !== null);
      setRefused(null);
    },
    [put, editing, setRefused],
  );
  const begin = useCallback(
    (next: Editing, line: string) => {
      setEditing(next);
      put(line, true);
      input.current?.focus();
    },
    [put],
  );
  const clear = useCallback(() => {
    put('');
    setEditing(null);
    setReason('');
    setRefused(null);
    input.current?.focus();
  }, [put, setRefused]);
  /** Ends what was logged or corrected. What was typed while it was written is the next line. */
  const finish = useCallback(
    (logged: string) => {
      const typed = now();
      clear();
      put(typed.startsWith(logged) ? typed.slice(logged.length) : typed);
    },
    [now, clear, put],
  );
  const correction = { editing, setEditing, reason, setReason, place };
  return { input, text, now, type, begin, found, settled, clear, finish, ...correction };
}

/** The effect of another header on the way home; empty where nothing moves. */
function useHeaderEffect(open: OpenOuting, outing: Outing, solution: Solution) {
  return useCallback(
    (header: Partial<Header>): string => {
      if (solution.legs.count === 0) return '';
      const after = solve({ ...outing, ...header }, open.models, { tools: solution.tools });
      const change = after.ok ? northsChange(solution, after.value) : null;
      return change ? changeWords(change) : '';
    },
    [solution, outing, open.models],
  );
}

/**
 * Undo and redo, and their result. `endEditing` is what ends the correction of a line: that line
 * may be gone or another after the step.
 */
const useStep = (
  open: OpenOuting,
  endEditing: (() => void) | null,
  onDone: (failed: string | null, done: string) => void,
) => {
  const latest = useRef({ endEditing, onDone });
  useEffect(() => {
    latest.current = { endEditing, onDone };
  });
  return useCallback(
    async (kind: 'undo' | 'redo') => {
      // Its words come with the first step: few visits take one.
      const { stepWords } = await import('@/views/shared/words/history-words');
      const done = stepWords(kind, open.state);
      const failed = outcomeMessage(await open[kind]());
      latest.current.endEditing?.();
      latest.current.onDone(failed, done);
    },
    [open],
  );
};

/** The entry that is selected: at first that of the leg which the address names. */
function useSelected({ legs }: Solution) {
  const leg = Math.trunc(Number(useSearchParams().get('leg')));
  return useState<number | null>(() => (leg > 0 && leg <= legs.count ? legs.leg(leg).entry : null));
}

/** The state of the outing view: the line being typed, what is selected, what was saved. */
export function useOutingView(open: OpenOuting, outing: Outing, solution: Solution) {
  const { run, status, setStatus, setRefused, unsaved } = useCommands(open, outing);
  const line = useEntryText(solution, open.models, setRefused);
  const [selected, setSelected] = useSelected(solution);
  const effectOf = useHeaderEffect(open, outing, solution);
  const { editing, reason, settled, text, now, clear, finish, begin } = line;

  const saveEntry = useCallback(
    async (entry: Entry, typed = now()) => {
      const command = commandFor(editing, entry, reason);
      const forgotten = editing === null ? lineForgotten(outing.id) : null;
      if ((await run(command, WORDS.saved(short(entry)), forgotten)) !== null) return false;
      // The struck line stays where it was; the corrected one is below it, and selected.
      if (editing?.how === 'replace' && !equal(editing.seen, entry)) setSelected(editing.index + 1);
      finish(typed);
      return true;
    },
    [editing, reason, run, now, finish, outing.id, setSelected],
  );

  const log = async (): Promise<boolean> => {
    if (now() !== text) return false;
    const read = await settled();
    if (read.kind === 'entry') return saveEntry(read.entry, text);
    if (read.kind !== 'header') return false;
    const { header } = read;
    const command = changeHeader((before) => ({ ...before, ...header }));
    const said = `${WORDS.saved(text.trim())} ${effectOf(header)}`;
    if ((await run(command, said, lineForgotten(outing.id))) !== null) return false;
    finish(text);
    return true;
  };
  const [save, saving] = useEnter(log, text, now);

  const entries = useEntryActions(outing, run, setSelected, begin);
  const step = useStep(open, editing ? clear : null, (failed, done) => {
    setSelected(null);
    setRefused(failed);
    if (failed === null) setStatus(done);
  });

  const shown = { outing, selected, setSelected, status, unsaved };
  return {
    ...shown,
    ...line,
    ...entries,
    retry: () => unsaved && run(unsaved.command, 'Saved.').then((done) => done === null && clear()),
    save,
    saving,
    saveEntry,
    saveLines: (more: MoreLines) =>
      run(addLines(more.entries, more.header), WORDS.savedLines(more.entries.length)),
    rename: (from: string, to: string) => run(renameStation(from, to), WORDS.renamed(from, to)),
    changeSettings: (settings: OutingSettings) =>
      run(changeSettings(settings), WORDS.savedEffect(effectOf(settings.header))),
    step,
  };
}

/** The command that puts an entry where the entry line writes. */
function commandFor(editing: Editing | null, entry: Entry, reason: string): Command {
  if (editing === null) return addEntry(entry);
  const { how, index, seen } = editing;
  return how === 'replace'
    ? correctEntry(index, seen, entry, strikeNow(reason))
    : insertEntry(index, seen, entry);
}

/** What can be done with a line of the log. */
function useEntryActions(
  outing: Outing,
  run: (command: Command, said: string, kept?: Kept | null) => Promise<string | null>,
  setSelected: (index: number | null) => void,
  begin: (editing: Editing, line: string) => void,
) {
  return useMemo(() => {
    const deselect = (done: string | null) => {
      if (done === null) setSelected(null);
    };
    /** Does something with the line at an index, as the person sees it now. */
    const withLine =
      <More extends unknown[]>(act: (seen: Entry, index: number, ...more: More) => unknown) =>
      (index: number, ...more: More) => {
        const seen = outing.entries[index];
        if (seen) void act(seen, index, ...more);
      };
    return {
      edit: withLine((seen, index) => {
        setSelected(index);
        begin({ how: 'replace', index, seen }, writeEntry(seen, northAt(outing, index)).trim());
      }),
      insertBefore: withLine((seen, index) => begin({ how: 'insert', index, seen }, '')),
      strike: withLine(async (seen, index) => {
        if (seen.kind === 'struck') return;
        const said = WORDS.struckOut(lineWords(seen));
        deselect(await run(strikeEntry(index, seen, strikeNow('')), said));
      }),
      move: withLine(async (seen, index, way: 'up' | 'down') => {
        deselect(await run(moveLeg(index, seen, way), WORDS.moved(way, lineWords(seen))));
      }),
      /** Accepts a warning on a line. */
      accept: withLine((seen, index, code: string) =>
        run(acceptWarning(index, seen, { kind: 'right', code }), WORDS.accepted),
      ),
      /** Accepts a warning on the header. */
      acceptOnHeader: (code: string) => void run(addEntry({ kind: 'right', code }), WORDS.accepted),
      /** Takes the reading that a warning offers. */
      useCorrection: withLine((seen, index, leg: Leg) =>
        run(correctEntry(index, seen, leg, strikeNow(WORDS.attraction)), WORDS.saved(short(leg))),
      ),
      /** Logs a line without touching the one that is being typed. */
      saveLine: (entry: Entry, kept: Kept | null = null) =>
        run(addEntry(entry), WORDS.saved(short(entry)), kept),
    };
  }, [outing, run, setSelected, begin]);
}

export type OutingViewState = ReturnType<typeof useOutingView>;
