'use client';
import dynamic from 'next/dynamic';
import DashboardOutlined from '@ant-design/icons-svg/es/asn/DashboardOutlined';
import FormOutlined from '@ant-design/icons-svg/es/asn/FormOutlined';
import NumberOutlined from '@ant-design/icons-svg/es/asn/NumberOutlined';
import PlusOutlined from '@ant-design/icons-svg/es/asn/PlusOutlined';
import UndoOutlined from '@ant-design/icons-svg/es/asn/UndoOutlined';
import { useState, type KeyboardEvent } from 'react';
import type { Fault } from '@/core/faults/fault';
import { faultMessage } from '@/core/faults/messages';
import type { Interpretation } from '@/core/log-text/interpret';
import { ToolButton } from '@/ui/controls/tool-button';
import { interpretationWords } from '@/views/shared/words/entry-words';
import type { Dialog } from '../dialogs/dialog';
import type { OutingViewState } from '../use-outing-view';
import { WORDS } from '../words';
import { PressButton } from '@/ui/controls/press-button';
import styles from './entry-line.module.css';
import { SHARED_WORDS } from '@/views/shared/words/words';

const PaceAsk = dynamic(() => import('./pace-ask').then((it) => it.PaceAsk), { ssr: false });

/** Faults that a setting of the whole outing would mend. */
const NEEDS_SETTINGS: ReadonlySet<Fault['code']> = new Set(['no-declination']);
const NEEDS_PACE: ReadonlySet<Fault['code']> = new Set(['no-pace', 'metres-beside-paces']);

interface Props {
  /** The address of this outing's pace counter. */
  counter: string;
  view: OutingViewState;
  /** What is being changed, when the line isn't a new one. */
  editing: string | null;
  onDialog: (dialog: Dialog) => void;
  onKeypad: () => void;
  canUndo: boolean;
  onUndo: () => void;
  /** What is asked while nothing is typed; empty for nothing. */
  hint: string;
}

type FoundFault = Extract<Interpretation, { kind: 'fault' }>;

/** Where a line is typed as on paper; below it, how it is read, or what is wrong. */
export function EntryLine(props: Props) {
  const { view, editing, onDialog, hint } = props;
  const { input, text, type, found, status } = view;
  const fault = found.kind === 'fault' ? found : null;
  const take = (line: string) => {
    type(line);
    input.current?.focus();
  };
  return (
    <div className={styles.entry} data-entry>
      {editing && <EditingBar view={view} words={editing} />}
      <EntryField view={view} fault={fault} onLines={(pasted) => onDialog({ pasted })} />
      <div className={styles.below}>
        <div id="interpretation" className={styles.interpretation} aria-live="polite">
          {fault ? (
            <>
              <FaultWords fault={fault} onTake={take} onSettings={() => onDialog('settings')} />
              {NEEDS_PACE.has(fault.fault.code) && <PaceAsk {...view} />}
            </>
          ) : (
            <ReadingWords
              found={found}
              text={text}
              status={[status, hint].filter(Boolean).join(' ')}
            />
          )}
        </div>
        <Buttons {...props} isFault={fault !== null} />
      </div>
    </div>
  );
}

/** The other ways to write a line, undo under the thumb, and the button that logs it. */
function Buttons(props: Props & { isFault: boolean }) {
  const { counter, view, editing, onDialog, onKeypad, canUndo, onUndo, isFault } = props;
  return (
    <div className={styles.buttons}>
      <ToolButton
        icon={PlusOutlined}
        label={WORDS.more}
        about={WORDS.moreAbout}
        onClick={() => onDialog('palette')}
      />
      <ToolButton
        icon={DashboardOutlined}
        label={WORDS.keypad}
        about={WORDS.keypadAbout}
        onClick={onKeypad}
      />
      <span className={styles.atDesk}>
        <ToolButton
          icon={FormOutlined}
          label={WORDS.form}
          about={WORDS.formAbout}
          onClick={() => onDialog('form')}
        />
      </span>
      <span className={styles.inHand}>
        <ToolButton
          icon={UndoOutlined}
          label={SHARED_WORDS.undo}
          about={WORDS.undoLast}
          disabled={!canUndo}
          onClick={onUndo}
        />
      </span>
      <ToolButton
        icon={NumberOutlined}
        label={WORDS.counter}
        about={WORDS.counterAbout}
        href={counter}
      />
      <PressButton
        look="primary"
        className={styles.log}
        onClick={view.save}
        busy={view.saving}
        disabled={view.found.kind === 'nothing' || isFault}
      >
        {editing ? WORDS.saveThis : WORDS.save}
      </PressButton>
    </div>
  );
}

interface ReadingProps {
  found: Interpretation;
  text: string;
  status: string;
}

/** How the line is read: as it will be written, where it was typed otherwise, and in words. */
function ReadingWords({ found, text, status }: ReadingProps) {
  const written = 'written' in found && found.written !== text.trim() ? found.written : null;
  return (
    <>
      {written && (
        <>
          <code className={styles.written}>{written}</code>{' '}
        </>
      )}
      {interpretationWords(found) || status}
    </>
  );
}

interface FieldProps {
  view: OutingViewState;
  fault: FoundFault | null;
  /** Several lines were pasted. */
  onLines: (text: string) => void;
}

/** The field itself, with a mark under the column of a fault. */
function EntryField({ view, fault, onLines }: FieldProps) {
  const { input, text, type, save, clear } = view;
  const [scrolled, setScrolled] = useState(0);
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter' && !event.nativeEvent.isComposing) {
      event.preventDefault();
      // Held down, the key repeats: one press logs one line.
      if (!event.repeat) void save();
    } else if (event.key === 'Escape') {
      clear();
    }
  };
  return (
    <div className={styles.field}>
      <input
        ref={input}
        className={fault ? `${styles.input} ${styles.wrong}` : styles.input}
        value={text}
        onChange={(event) => type(event.target.value)}
        onKeyDown={onKeyDown}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData('text');
          if (!/\S[^\n]*\n\s*\S/.test(pasted)) return;
          event.preventDefault();
          onLines(text.trim() === '' ? pasted : `${text}\n${pasted}`);
        }}
        onScroll={(event) => setScrolled(event.currentTarget.scrollLeft)}
        placeholder={WORDS.entryHint}
        aria-label={WORDS.entryLabel}
        aria-invalid={fault !== null}
        aria-describedby="interpretation"
        autoComplete="off"
        autoCapitalize="off"
        autoCorrect="off"
        spellCheck={false}
        enterKeyHint="done"
      />
      {fault && (
        <span
          className={styles.marker}
          data-column={fault.column}
          aria-hidden="true"
          style={{ '--column': fault.column - 1, '--scrolled': `${scrolled}px` } as object}
        />
      )}
    </div>
  );
}

/** Which line is being changed, why, and the way out. */
const EditingBar = ({ view, words }: { view: OutingViewState; words: string }) => (
  <p className={styles.editing}>
    {words}
    <input
      className={styles.why}
      value={view.reason}
      onChange={(event) => view.setReason(event.target.value)}
      placeholder={WORDS.why}
      aria-label={WORDS.why}
      autoComplete="off"
    />
    <button type="button" className={styles.take} onClick={view.clear}>
      {WORDS.cancel}
    </button>
  </p>
);

interface FaultProps {
  fault: FoundFault;
  onTake: (line: string) => void;
  onSettings: () => void;
}

/** What is wrong, and what mends it with one tap. */
const FaultWords = ({ fault: { fault, repairs }, onTake, onSettings }: FaultProps) => (
  <span className={styles.fault}>
    {faultMessage(fault)}{' '}
    {repairs.map(({ reading, line }) => (
      <button key={line} type="button" className={styles.take} onClick={() => onTake(line)}>
        {WORDS.take(reading)}
      </button>
    ))}
    {NEEDS_SETTINGS.has(fault.code) && (
      <button type="button" className={styles.take} onClick={onSettings}>
        {WORDS.settings}
      </button>
    )}
  </span>
);
