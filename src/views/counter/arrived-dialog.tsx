'use client';
import { Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { understand } from '@/core/log-text/understand';
import type { Solution } from '@/core/solve';
import { entryWords } from '@/views/shared/entry-words';
import styles from '@/views/shared/dialog.module.css';
import { WORDS } from './words';

interface Words {
  readonly bearing: string;
  readonly station: string;
  readonly note: string;
}

interface Props {
  bearing: string;
  solution: Solution;
  line: (words: Words) => string;
  onLog: (words: Words) => Promise<string | null>;
  onClose: () => void;
}

/** At the end of a leg: what is still missing, how it is understood, and one tap that logs it. */
export function ArrivedDialog({ bearing, solution, line, onLog, onClose }: Props) {
  const [words, setWords] = useState<Words>({ bearing, station: '', note: '' });
  const [refused, setRefused] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const found = understand(line(words), solution);
  const isLeg = found.kind === 'entry' && found.entry.kind === 'leg';
  const log = async () => {
    if (!isLeg || busy) return;
    setBusy(true);
    setRefused(await onLog(words));
    setBusy(false);
  };
  const field = (key: keyof Words, label: string) => (
    <Form.Item label={label} htmlFor={`arrived-${key}`} className={styles.whole}>
      <Input
        id={`arrived-${key}`}
        value={words[key]}
        onChange={(event) => setWords({ ...words, [key]: event.target.value })}
        inputMode={key === 'bearing' ? 'decimal' : 'text'}
        autoFocus={key === (bearing === '' ? 'bearing' : 'station')}
        autoComplete="off"
      />
    </Form.Item>
  );
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
        {field('bearing', WORDS.bearing)}
        {field('station', WORDS.station)}
        {field('note', WORDS.note)}
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p aria-live="polite" className={styles.reading}>
        {refused ??
          (found.kind === 'entry'
            ? entryWords(found.entry, found.ghost?.lengthMetres ?? null)
            : found.kind === 'fault' && words.bearing.trim() !== ''
              ? faultWords(found.fault)
              : WORDS.bearing)}
      </p>
    </Modal>
  );
}
