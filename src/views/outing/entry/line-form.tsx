'use client';
import { Form, Input, Modal, Radio } from 'antd';
import { useState } from 'react';
import type { Entry } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import { stationName, type Solution } from '@/core/survey/solution';
import styles from '@/views/shared/fields/dialog.module.css';
import { useOnce } from '@/views/shared/data/use-once';
import { interpretationWords } from '@/views/shared/words/entry-words';
import { WORDS } from '../words';
import type { LineFormSpec } from './line-forms';
import { useInterpretation } from './use-interpretation';

interface Props {
  form: LineFormSpec;
  solution: Solution;
  /** Resolves to what went wrong, or null when the line is logged. */
  onSave: (entry: Entry) => Promise<string | null>;
  onClose: () => void;
}

/** A small form that writes one line of the log, read by the log's own reader. */
export function LineForm({ form, solution, onSave, onClose }: Props) {
  const [values, setValues] = useState<Record<string, string>>({});
  const [refused, setRefused] = useState<string | null>(null);
  const { found } = useInterpretation(form.line(values), solution);
  const begun = Object.values(values).some((value) => value.trim() !== '');
  const [save, busy] = useOnce(async () => {
    if (found.kind !== 'entry') return;
    const fault = await onSave(found.entry);
    if (fault === null) onClose();
    else setRefused(fault);
  });
  const reading =
    found.kind === 'fault' ? (begun ? faultMessage(found.fault) : '') : interpretationWords(found);
  return (
    <Modal
      open
      title={form.title}
      okText={WORDS.save}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: found.kind !== 'entry', loading: busy }}
      onOk={save}
      onCancel={onClose}
    >
      {form.help && <p className={styles.help}>{form.help}</p>}
      <Form layout="vertical" className={styles.fields} onFinish={save}>
        {form.fields.map((field, index) => (
          <Field
            key={field.key}
            field={field}
            value={values[field.key] ?? ''}
            first={index === 0}
            solution={solution}
            onChange={(value) => setValues({ ...values, [field.key]: value })}
          />
        ))}
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p aria-live="polite" className={styles.reading}>
        {refused ?? reading}
      </p>
    </Modal>
  );
}

interface FieldProps {
  field: LineFormSpec['fields'][number];
  value: string;
  first: boolean;
  solution: Solution;
  onChange: (value: string) => void;
}

function Field({ field, value, first, solution, onChange }: FieldProps) {
  const { key, label, choices, numeric, stations } = field;
  const names = stations
    ? solution.places.stations().map((station) => stationName(solution, station))
    : [];
  return (
    <Form.Item label={label} htmlFor={`line-${key}`} className={styles.whole}>
      {choices ? (
        <Radio.Group
          aria-label={label}
          value={value}
          onChange={(event) => onChange(event.target.value as string)}
          optionType="button"
          buttonStyle="solid"
          className={styles.choices}
          options={choices.map((each) => ({ value: each, label: each === '' ? 'none' : each }))}
        />
      ) : (
        <Input
          id={`line-${key}`}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          inputMode={numeric ? 'decimal' : 'text'}
          autoFocus={first}
          autoComplete="off"
          list={stations ? 'line-stations' : undefined}
        />
      )}
      {stations && (
        <datalist id="line-stations">
          {names.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
    </Form.Item>
  );
}
