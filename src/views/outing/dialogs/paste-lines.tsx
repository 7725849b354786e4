'use client';
import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import { Input, Modal } from 'antd';
import { useMemo, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import {
  MOST_PASTED,
  readMoreLines,
  type LineOfMany,
  type MoreLines,
} from '@/core/log-text/read-more';
import type { EarthModels } from '@/core/north/earth-models';
import type { Solution } from '@/core/survey/solution';
import { useOnce } from '@/views/shared/data/use-once';
import { WORDS } from '../words';
import styles from './paste-lines.module.css';

interface Props {
  text: string;
  solution: Solution;
  models: EarthModels | null;
  /** Resolves to what went wrong, or null when the lines are logged. */
  onLog: (more: MoreLines) => Promise<string | null>;
  onClose: () => void;
}

/** Several lines at once, each shown as it will be written before any is logged. */
export function PasteLines({ text: pasted, solution, models, onLog, onClose }: Props) {
  const [text, setText] = useState(pasted);
  const [refused, setRefused] = useState<string | null>(null);
  const tooMany = text.split('\n').length > MOST_PASTED;
  const more = useMemo(
    () => readMoreLines(tooMany ? '' : text, solution, models, surveyTools),
    [text, tooMany, solution, models],
  );
  const faulty = more.lines.some(({ fault }) => fault !== null);
  const [log, busy] = useOnce(async () => {
    const fault = await onLog(more);
    if (fault === null) onClose();
    else setRefused(fault);
  });
  /** The text with one of its lines in other words. */
  const mend = (line: number, words: string) =>
    setText(
      text
        .split('\n')
        .with(line - 1, words)
        .join('\n'),
    );
  return (
    <Modal
      open
      title={WORDS.paste}
      okText={WORDS.logLines(more.lines.length)}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: faulty || more.lines.length === 0, loading: busy }}
      onOk={log}
      onCancel={onClose}
      width={640}
    >
      <p className={styles.how}>{WORDS.pasteHow}</p>
      <Input.TextArea
        aria-label={WORDS.pasteText}
        value={text}
        onChange={(event) => setText(event.target.value)}
        autoSize={{ minRows: 3, maxRows: 8 }}
        className={styles.text}
        spellCheck={false}
      />
      <p aria-live="polite" className={styles.refused}>
        {tooMany ? WORDS.tooMany(MOST_PASTED) : refused}
      </p>
      <Lines lines={more.lines} onMend={mend} />
    </Modal>
  );
}

interface LinesProps {
  lines: readonly LineOfMany[];
  onMend: (line: number, words: string) => void;
}

/** Each line as it will be written, or what is wrong with it and what would mend it. */
const Lines = ({ lines, onMend }: LinesProps) => (
  <ol className={styles.lines} data-testid="lines">
    {lines.map(({ line, text, written, fault, repairs }) => (
      <li key={line} value={line}>
        <code>{fault ? text : written}</code>
        {fault && (
          <span className={styles.fault}>
            {faultMessage(fault)}{' '}
            {repairs.map((repair) => (
              <button
                key={repair.line}
                type="button"
                className={styles.take}
                onClick={() => onMend(line, repair.line)}
              >
                {WORDS.take(repair.reading)}
              </button>
            ))}
          </span>
        )}
      </li>
    ))}
  </ol>
);
