'use client';
import { visibleText } from '@/core/units/visible';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useState, type ComponentProps } from 'react';
import type { Outing } from '@/core/model/outing';
import type { Solution } from '@/core/survey/solution';
import { workIn } from '@/ui/units/shown';
import { writeLog } from '@/core/log-text/write-log';
import { STORE_MESSAGES } from '@/ui/store-messages';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { viewUrl } from '@/views/views';
import type { Dialog } from './dialogs/dialog';
import { useKeypad, type Correcting } from './entry/use-keypad';
import { useKeypadOpen } from './entry/use-keypad-open';
import { LogSection } from './log/log-section';
import { useRows } from './log/use-rows';
import { OutingHeader } from './outing-header';
import styles from './outing.module.css';
import { Rescue } from './rescue';
import { SketchPane } from './sketch/sketch-pane';
import { useKeys, type KeyActions } from './use-keys';
import { useRoom } from '@/views/shared/page/use-room';
import { useOutingView, type OutingViewState } from './use-outing-view';
import { beThere } from '@/core/edit/back-here';
import { WayHomeStrip, type WayEnds } from './way-home-strip';
import { WORDS } from './words';
import { leaveFor } from '@/store/browser-database';

/** The dialogs come with the first that is opened: most visits open none. */
const OutingDialogs = dynamic(() => import('./dialogs/dialogs').then((it) => it.OutingDialogs), {
  ssr: false,
});

interface Props {
  open: OpenOuting;
  outing: Outing;
  solution: Solution;
}

const PANES = ['log', 'sketch'] as const;
type Pane = (typeof PANES)[number];

/** The ends of a chosen way; stations that a change removed can't stay its ends. */
function useEnds({ legs }: Solution) {
  const [chosen, setEnds] = useState<WayEnds | null>(null);
  const exists = chosen !== null && Math.max(chosen.from, chosen.to) <= legs.count;
  return [exists ? chosen : null, setEnds] as const;
}

/** The name of the outing in the title of the page. */
function useTitle(name: string): void {
  useEffect(() => {
    document.title = `${name} · Cairn Back`;
  }, [name]);
}

/** What the shortcuts of the view do. */
const useKeyActions = (
  id: string,
  step: (kind: 'undo' | 'redo') => unknown,
  setDialog: (dialog: Dialog) => void,
  setSought: (words: string) => void,
  setKeypad: (open: boolean) => void,
) =>
  useMemo<KeyActions>(
    () => ({
      step: (kind) => void step(kind),
      palette: () => setDialog('palette'),
      find: () => setSought(''),
      shortcuts: () => setDialog('shortcuts'),
      keypad: () => setKeypad(true),
      counter: () => void leaveFor(viewUrl('counter', id)),
    }),
    [id, step, setDialog, setSought, setKeypad],
  );

/** The keypad while it is open, and the leg that it or the entry line would log. */
function usePreview(view: OutingViewState, solution: Solution) {
  const { editing, found, saveLine, saveEntry, setSelected, place } = view;
  const [isOpen, setOpen] = useKeypadOpen();
  /** The tools of a selected line and the keys together leave no room for the log. */
  const setKeypad = useCallback(
    (open: boolean) => {
      if (open && !editing) setSelected(null);
      setOpen(open);
    },
    [editing, setSelected, setOpen],
  );
  const seen = editing?.how === 'replace' && editing.seen.kind === 'leg' ? editing.seen : null;
  const correcting = useMemo<Correcting | null>(
    () =>
      seen && {
        leg: seen,
        place,
        save: async (leg) => {
          // What was refused is said below the keys, as it is for the line.
          if (await saveEntry(leg)) setSelected(null);
          return null;
        },
      },
    [seen, place, saveEntry, setSelected],
  );
  const keypad = useKeypad(solution, saveLine, correcting);
  const typed = found.kind === 'entry' ? found.preview : null;
  const preview = editing ? null : isOpen ? keypad.preview : typed;
  // The first leg tells what a log without a pace is worked in: also while it is typed.
  workIn(preview?.unit ?? solution.places.frame.unit);
  // Where another kind of line is corrected, it is typed.
  const isKeyed = isOpen && (editing === null || seen !== null);
  return { keypad: isKeyed ? keypad : null, setKeypad, preview };
}

/** Log on the left, sketch on the right, the way home across the foot. */
export function OutingView({ open, outing, solution }: Props) {
  const view = useOutingView(open, outing, solution);
  const list = useRows(solution);
  const [dialog, setDialog] = useState<Dialog>(null);
  const [pane, setPane] = useState<Pane>('log');
  const [ends, setEnds] = useEnds(solution);
  const { keypad, setKeypad, preview } = usePreview(view, solution);
  const { selected, setSelected, step } = view;
  const name = visibleText(outing.name) || WORDS.untitled;
  useTitle(name);
  useRoom();
  const keys = useKeyActions(outing.id, step, setDialog, list.setSought, setKeypad);
  useKeys(keys, view.text === '');
  const leg = selected === null ? null : solution.legs.atEntry(selected);
  const shared = { solution, view, setDialog, setEnds };
  return (
    <div className={styles.outing}>
      <Head {...shared} name={name} open={open} />
      <UnsavedChange view={view} />
      <EmptiedStore open={open} />
      <main className={styles.main}>
        <PaneTabs pane={pane} onPane={setPane} />
        <div className={styles.panes} data-pane={pane}>
          <LogSection
            {...shared}
            list={list}
            leg={leg}
            keypad={keypad}
            onKeypad={setKeypad}
            canUndo={(open.state?.undoable.length ?? 0) > 0}
          />
          <SketchSection
            solution={solution}
            leg={leg}
            preview={preview}
            ends={ends}
            selected={selected}
            onSelect={setSelected}
          />
        </div>
      </main>
      <WayHomeStrip
        solution={solution}
        ends={ends}
        preview={preview?.home ?? null}
        onChoose={() => setDialog('ends')}
        onStraightHome={() => setEnds(null)}
        onThere={() => void open.run(beThere)}
      />
      {dialog !== null && (
        <OutingDialogs {...shared} {...{ dialog, open, keys, ends }} station={leg?.to ?? 0} />
      )}
    </div>
  );
}

interface HeadProps {
  name: string;
  solution: Solution;
  open: OpenOuting;
  view: OutingViewState;
  setDialog: (dialog: Dialog) => void;
}

const Head = ({ name, solution, open, view, setDialog }: HeadProps) => (
  <OutingHeader
    name={name}
    solution={solution}
    state={open.state}
    onStep={view.step}
    onSettings={() => setDialog('settings')}
  />
);

const SketchSection = (props: ComponentProps<typeof SketchPane>) => (
  <section id="pane-sketch" className={styles.sketchPane} aria-label={WORDS.sketch}>
    <SketchPane {...props} />
  </section>
);

/** A change that the store refused, with the log as text. */
const UnsavedChange = ({ view: { unsaved, retry } }: { view: OutingViewState }) =>
  unsaved && <Rescue words={STORE_MESSAGES[unsaved.fault]} text={unsaved.text} onRetry={retry} />;

/** Said once the browser had emptied its store under this tab. */
function EmptiedStore({ open: { session } }: { open: OpenOuting }) {
  const [isSeen, setSeen] = useState(false);
  if (session.status !== 'ready' || !session.rewritten || isSeen) return null;
  const text = writeLog(session.state.document);
  return <Rescue words={WORDS.emptied} text={text} onDismiss={() => setSeen(true)} />;
}

/** Log or sketch, where there is room for one. */
const PaneTabs = ({ pane, onPane }: { pane: Pane; onPane: (pane: Pane) => void }) => (
  <div className={styles.tabs} role="tablist" aria-label={WORDS.panes}>
    {PANES.map((each) => (
      <button
        key={each}
        type="button"
        role="tab"
        id={`tab-${each}`}
        aria-controls={`pane-${each}`}
        aria-selected={pane === each}
        className={styles.tab}
        onClick={() => onPane(each)}
      >
        {WORDS[each]}
      </button>
    ))}
  </div>
);
