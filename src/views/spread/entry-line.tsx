'use client';
import { DashboardOutlined, FormOutlined, NumberOutlined, PlusOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useState, type KeyboardEvent, type RefObject } from 'react';
import type { Fault } from '@/core/faults';
import { faultWords, nearestReadings } from '@/core/fault-words';
import type { Understanding } from '@/core/log-text/understand';
import { entryWords } from '@/views/shared/entry-words';
import styles from './entry-line.module.css';
import { WORDS } from './words';

/** Faults that a setting of the whole outing would mend. */
const NEEDS_SET_UP: ReadonlySet<Fault['code']> = new Set(['no-declination', 'no-pace']);

interface Props {
  /** Where the counter of this outing is. */
  counter: string;
  input: RefObject<HTMLInputElement | null>;
  text: string;
  understanding: Understanding;
  /** What is being changed, when the line replaces one that stands. */
  editing: string | null;
  status: string;
  onText: (text: string) => void;
  onSave: () => void;
  onCancel: () => void;
  onForm: () => void;
  onSetUp: () => void;
  onPad: () => void;
  onMore: () => void;
  /** Why the line is changed; only while one is. */
  reason: string;
  onReason: (reason: string) => void;
}

/** Where a leg is typed as on paper; below it, how it is understood so far, or what stands in the way. */
export function EntryLine(props: Props) {
  const { counter, input, text, understanding, editing, status, reason } = props;
  const { onText, onSave, onCancel, onForm, onSetUp, onPad, onMore, onReason } = props;
  const [scrolled, setScrolled] = useState(0);
  const fault = understanding.kind === 'fault' ? understanding : null;

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter' && !event.nativeEvent.isComposing) {
      event.preventDefault();
      onSave();
    } else if (event.key === 'Escape') {
      onCancel();
    }
  };
  const replaceAtFault = (reading: string) => {
    onText(mended(text, reading, understanding));
    input.current?.focus();
  };

  return (
    <div className={styles.entry}>
      {editing && (
        <p className={styles.editing}>
          {editing}
          <input
            className={styles.why}
            value={reason}
            onChange={(event) => onReason(event.target.value)}
            placeholder={WORDS.why}
            aria-label={WORDS.why}
            autoComplete="off"
          />
          <button type="button" className={styles.take} onClick={onCancel}>
            {WORDS.cancel}
          </button>
        </p>
      )}
      <div className={styles.field}>
        <input
          ref={input}
          className={fault ? `${styles.input} ${styles.wrong}` : styles.input}
          value={text}
          onChange={(event) => onText(event.target.value)}
          onKeyDown={onKeyDown}
          onScroll={(event) => setScrolled(event.currentTarget.scrollLeft)}
          placeholder={WORDS.entryHint}
          aria-label={WORDS.entryLabel}
          aria-invalid={fault !== null}
          aria-describedby="understanding"
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
      <div className={styles.below}>
        <div id="understanding" className={styles.understanding} aria-live="polite">
          {fault ? (
            <FaultWords fault={fault} onTake={replaceAtFault} onSetUp={onSetUp} />
          ) : (
            understood(understanding) || status
          )}
        </div>
        <div className={styles.buttons}>
          {(
            [
              [WORDS.more, PlusOutlined, onMore],
              [WORDS.pad, DashboardOutlined, onPad],
              [WORDS.form, FormOutlined, onForm],
            ] as const
          ).map(([name, Icon, act]) => (
            <Button
              key={name}
              icon={<Icon aria-hidden="true" />}
              aria-label={name}
              title={name}
              onClick={act}
            />
          ))}
          <Button
            href={counter}
            icon={<NumberOutlined aria-hidden="true" />}
            aria-label={WORDS.counter}
            title={WORDS.counter}
          />
          <Button
            type="primary"
            className={styles.log}
            onClick={onSave}
            disabled={understanding.kind === 'nothing' || fault !== null}
          >
            {editing ? WORDS.saveThis : WORDS.save}
          </Button>
        </div>
      </div>
    </div>
  );
}

function FaultWords({
  fault,
  onTake,
  onSetUp,
}: {
  fault: Extract<Understanding, { kind: 'fault' }>;
  onTake: (reading: string) => void;
  onSetUp: () => void;
}) {
  return (
    <span className={styles.fault}>
      {faultWords(fault.fault)}{' '}
      {nearestReadings(fault.fault).map((reading) => (
        <button key={reading} type="button" className={styles.take} onClick={() => onTake(reading)}>
          {WORDS.take(reading)}
        </button>
      ))}
      {NEEDS_SET_UP.has(fault.fault.code) && (
        <button type="button" className={styles.take} onClick={onSetUp}>
          {WORDS.settings}
        </button>
      )}
    </span>
  );
}

/** The text with a reading in the place of what could not be read. */
function mended(text: string, reading: string, understanding: Understanding): string {
  if (understanding.kind !== 'fault') return text;
  const { fault, column } = understanding;
  const after = (from: number) => text.slice(from).replace(/^\S+/, '');
  if (fault.code === 'word-contradicts-number') {
    return `${reading}${after(column - 1)}`;
  }
  // A reading of the whole line replaces it; one of a part replaces that part.
  if (fault.code === 'unexpected' && fault.expected === 'leg-part') return reading;
  if (fault.code === 'unexpected' && fault.expected === 'line') return reading;
  if (fault.code === 'unknown-station') return `${text.slice(0, column - 1)}${reading}`;
  const start = text.slice(0, column - 1).search(/\S*\s*$/);
  const begins =
    fault.code === 'unexpected' && fault.found === '' ? Math.max(0, start) : column - 1;
  const glued = /\d$/.test(text.slice(0, column - 1)) ? Math.max(0, start) : begins;
  return `${text.slice(0, glued)}${reading}${after(column - 1)}`;
}

function understood(understanding: Understanding): string {
  if (understanding.kind === 'entry') {
    return entryWords(understanding.entry, understanding.ghost?.lengthMetres ?? null);
  }
  if (understanding.kind === 'header') {
    return `For the whole outing: ${Object.keys(understanding.header).join(', ')}`;
  }
  return '';
}
