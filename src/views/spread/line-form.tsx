'use client';
import { Form, Input, Modal, Radio } from 'antd';
import { useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { understand } from '@/core/log-text/understand';
import type { Entry } from '@/core/logbook';
import { stationName, stationPoints, type Solution } from '@/core/solve';
import styles from '@/views/shared/dialog.module.css';
import { entryWords } from '@/views/shared/entry-words';
import type { LineDialog } from './line-dialogs';
import { WORDS } from './words';

interface Props {
  dialog: LineDialog;
  solution: Solution;
  onSave: (entry: Entry) => Promise<string | null>;
  onClose: () => void;
}

/** A small form that writes one line of the log, read by the log's own reader. */
export function LineForm({ dialog, solution, onSave, onClose }: Props) {
  const [values, setValues] = useState<Record<string, string>>({});
  const [refused, setRefused] = useState<string | null>(null);
  const found = understand(dialog.line(values), solution);
  const begun = Object.values(values).some((value) => value.trim() !== '');
  const save = async () => {
    if (found.kind !== 'entry') return;
    const fault = await onSave(found.entry);
    if (fault === null) onClose();
    else setRefused(fault);
  };
  const stations =
    dialog.key === 'from'
      ? stationPoints(solution).map((point) => stationName(solution, point))
      : [];
  return (
    <Modal
      open
      title={dialog.title}
      okText={WORDS.save}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: found.kind !== 'entry' }}
      onOk={save}
      onCancel={onClose}
    >
      {dialog.help && <p className={styles.help}>{dialog.help}</p>}
      <Form layout="vertical" className={styles.fields} onFinish={save}>
        {dialog.fields.map(({ key, label, choices, numeric }, index) => (
          <Form.Item key={key} label={label} htmlFor={`line-${key}`} className={styles.whole}>
            {choices ? (
              <Radio.Group
                aria-label={label}
                value={values[key] ?? ''}
                onChange={(event) => setValues({ ...values, [key]: event.target.value as string })}
                optionType="button"
                buttonStyle="solid"
                className={styles.choices}
                options={choices.map((value) => ({ value, label: value === '' ? 'none' : value }))}
              />
            ) : (
              <Input
                id={`line-${key}`}
                value={values[key] ?? ''}
                onChange={(event) => setValues({ ...values, [key]: event.target.value })}
                inputMode={numeric ? 'decimal' : 'text'}
                autoFocus={index === 0}
                autoComplete="off"
                list={stations.length > 0 ? 'line-stations' : undefined}
              />
            )}
          </Form.Item>
        ))}
        {stations.length > 0 && (
          <datalist id="line-stations">
            {stations.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
        )}
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p aria-live="polite" className={styles.reading}>
        {refused ??
          (found.kind === 'entry'
            ? entryWords(found.entry, null)
            : begun && found.kind === 'fault'
              ? faultWords(found.fault)
              : '')}
      </p>
    </Modal>
  );
}
