'use client';
import { Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { interpretLine, type Interpretation } from '@/core/log-text/interpret';
import type { Solution } from '@/core/survey/solution';
import styles from '@/views/shared/fields/dialog.module.css';
import { useOnce } from '@/views/shared/data/use-once';
import { interpretationWords } from '@/views/shared/words/entry-words';
import type { LegTexts } from './count/leg-of-count';
import { WORDS } from './words';

interface Props {
  bearing: string;
  solution: Solution;
  line: (texts: LegTexts) => string;
  /** What was counted, with what of it was round obstacles; null where none was boxed. */
  boxed: string | null;
  /** Resolves to what went wrong, or null when the leg is logged. */
  onLog: (texts: LegTexts) => Promise<string | null>;
  onClose: () => void;
}

const FIELDS = ['bearing', 'station', 'note'] as const;

/** At the end of a leg: what is still missing, how it is read, and one tap that logs it. */
export function ArrivedDialog({ bearing, solution, line, boxed, onLog, onClose }: Props) {
  const [texts, setTexts] = useState<LegTexts>({ bearing, station: '', note: '' });
  const [refused, setRefused] = useState<string | null>(null);
  const found = interpretLine(line(texts), solution);
  const isLeg = found.kind === 'entry' && found.entry.kind === 'leg';
  const [log, busy] = useOnce(async () => {
    if (isLeg) setRefused(await onLog(texts));
  });
  return (
    <Modal
      open
      title={WORDS.arrived}
      okText={WORDS.log}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !isLeg, loading: busy }}
      onOk={log}
      onCancel={onClose}
    >
      <Form layout="vertical" className={styles.fields} onFinish={log}>
        {FIELDS.map((field) => (
          <Form.Item
            key={field}
            label={WORDS[field]}
            htmlFor={`arrived-${field}`}
            className={styles.whole}
          >
            <Input
              id={`arrived-${field}`}
              value={texts[field]}
              onChange={(event) => setTexts({ ...texts, [field]: event.target.value })}
              inputMode={field === 'bearing' ? 'decimal' : 'text'}
              autoFocus={field === (bearing === '' ? 'bearing' : 'station')}
              autoComplete="off"
            />
          </Form.Item>
        ))}
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p aria-live="polite" className={styles.reading}>
        {refused ?? [boxed, readingWords(found, texts.bearing)].filter(Boolean).join(': ')}
      </p>
    </Modal>
  );
}

/** How the leg is read so far; before a bearing is typed, what is missing. */
function readingWords(found: Interpretation, bearing: string): string {
  if (found.kind === 'entry') return interpretationWords(found);
  return found.kind === 'fault' && bearing.trim() !== ''
    ? faultMessage(found.fault)
    : WORDS.bearing;
}
