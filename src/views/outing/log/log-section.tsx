import dynamic from 'next/dynamic';
import { useCallback, useMemo, useRef, type MouseEvent } from 'react';
import { stationName, type Solution, type SolvedLeg } from '@/core/survey/solution';
import { stationMarks } from '@/core/survey/station-marks';
import { visibleText } from '@/core/units/visible';
import { viewUrl } from '@/views/views';
import type { Dialog } from '../dialogs/dialog';
import { EntryLine } from '../entry/entry-line';
import type { KeypadState } from '../entry/use-keypad';
import styles from '../outing.module.css';
import type { OutingViewState } from '../use-outing-view';
import type { WayEnds } from '../way-home-strip';
import { editingWords, WORDS } from '../words';
import { HeaderWarnings } from './header-warnings';
import { LineTools } from './line-tools';
import { LogBar } from './log-bar';
import { LogPane } from './log-pane';
import { struckCount } from './log-rows';
import { withFurniture } from '@/ui/theme/with-furniture';
import type { RowsState } from './use-rows';

const Keypad = dynamic(() => withFurniture(import('../entry/keypad').then((it) => it.Keypad)), {
  ssr: false,
});

interface Props {
  solution: Solution;
  view: OutingViewState;
  list: RowsState;
  /** The selected leg. */
  leg: SolvedLeg | null;
  setDialog: (dialog: Dialog) => void;
  setEnds: (ends: WayEnds) => void;
  /** The keypad in place of the entry line; null while it is closed. */
  keypad: KeypadState | null;
  onKeypad: (open: boolean) => void;
  canUndo: boolean;
}

/** Lets the next leg leave from the station at the end of a leg; then that leg can be typed. */
const useLegFrom = (solution: Solution, { saveLine, setSelected }: OutingViewState) =>
  useCallback(
    (index: number) => {
      const from = solution.legs.atEntry(index);
      if (!from) return;
      setSelected(null);
      void saveLine({ kind: 'from', station: stationName(solution, from.to) });
    },
    [solution, saveLine, setSelected],
  );

/**
 * Pressing a row twice corrects it: the row that was under the first press, whatever has come to be
 * under the second. What is there then is not pressed.
 */
function useSecondPress(onEdit: (index: number) => void) {
  const first = useRef<number | null>(null);
  return (event: MouseEvent) => {
    if (event.detail > 1 && first.current !== null) {
      event.preventDefault();
      event.stopPropagation();
      if (event.detail === 2) onEdit(first.current);
      return;
    }
    const row = (event.target as Element).closest<HTMLElement>('[data-entry-index]');
    first.current = row ? Number(row.dataset.entryIndex) : null;
  };
}

/** The log with what is said about it, the tools of the selected line, and the entry line. */
export function LogSection(props: Props) {
  const { solution, view, list, leg, setDialog, setEnds } = props;
  const { outing } = solution;
  const { selected, setSelected, editing } = view;
  const entry = selected === null ? undefined : outing.entries[selected];
  const legFrom = useLegFrom(solution, view);
  const secondPress = useSecondPress(view.edit);
  return (
    <section
      id="pane-log"
      className={styles.logPane}
      aria-label={WORDS.log}
      onClickCapture={secondPress}
    >
      <HeaderWarnings
        warnings={list.warnings}
        onSettings={() => setDialog('settings')}
        onAccept={view.acceptOnHeader}
      />
      <LogBar
        struck={struckCount(solution)}
        showsStruck={list.showsStruck}
        onShowStruck={list.setShowsStruck}
        sought={list.sought}
        found={list.rows.length}
        onSeek={list.setSought}
      />
      <LogPane
        rows={list.rows}
        sought={list.sought?.trim() ?? ''}
        selected={selected}
        onSelect={setSelected}
        onEdit={view.edit}
        onStrike={view.strike}
        onLegFrom={legFrom}
      />
      {entry && selected !== null && !editing && (
        <LineTools
          outing={outing.id}
          entry={entry}
          leg={leg?.number ?? 0}
          warnings={list.warnings.filter(({ at }) => 'entry' in at && at.entry === selected)}
          onEdit={() => view.edit(selected)}
          onInsert={() => view.insertBefore(selected)}
          onStrike={() => view.strike(selected)}
          onMove={(way) => view.move(selected, way)}
          onName={() => setDialog('rename')}
          onWay={() => setEnds({ from: leg?.to ?? 0, to: 0 })}
          onLegFrom={() => legFrom(selected)}
          onAccept={(code) => view.accept(selected, code)}
          onCorrection={(correction) => view.useCorrection(selected, correction)}
          onReversed={() => setDialog('reversed')}
          onDone={() => setSelected(null)}
        />
      )}
      <EntryArea {...props} />
    </section>
  );
}

const SEEN: ReadonlySet<string> = new Set(['at', 'see', 'remark']);

/** After something seen at a station that is marked: whether its mark is still in sight. */
function markHint(solution: Solution): string {
  const { entries } = solution.outing;
  if (!SEEN.has(entries.at(-1)?.kind ?? '')) return '';
  const mark = stationMarks(solution).get(solution.current);
  return mark === undefined ? '' : WORDS.stillInSight(visibleText(mark));
}

/** Where lines are written: the entry line, or the keypad in its place. */
function EntryArea({ solution, view, leg, setDialog, keypad, onKeypad, canUndo }: Props) {
  const { editing, selected } = view;
  const words = editing && editingWords(editing.how, leg?.number ?? 0);
  const hint = useMemo(() => markHint(solution), [solution]);
  if (keypad && (editing || selected === null)) {
    return (
      <Keypad
        solution={solution}
        pad={keypad}
        status={view.status}
        editing={words}
        onClose={() => (editing ? view.clear() : onKeypad(false))}
      />
    );
  }
  return (
    <EntryLine
      counter={viewUrl('counter', solution.outing.id)}
      view={view}
      editing={words}
      onDialog={setDialog}
      onKeypad={() => onKeypad(true)}
      canUndo={canUndo}
      onUndo={() => void view.step('undo')}
      hint={hint}
    />
  );
}
