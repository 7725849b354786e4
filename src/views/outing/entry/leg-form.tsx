'use client';
import { Form, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import type { Entry, Leg } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import { interpretLine } from '@/core/log-text/interpret';
import type { Solution } from '@/core/survey/solution';
import { GroundChips } from '@/ui/controls/ground-chips';
import styles from '@/views/shared/fields/dialog.module.css';
import { interpretationWords } from '@/views/shared/words/entry-words';
import { groundsOf } from '@/views/shared/words/grounds';
import { WORDS } from '../words';
import { fieldsOfLeg, lineOfFields, NO_FIELDS, type LegFields } from './leg-fields';

const UNITS = [
  { value: 'p', label: 'paces' },
  { value: 's', label: 'single steps' },
  { value: 'm', label: 'metres' },
  { value: 'km', label: 'km' },
  { value: 'ft', label: 'feet' },
  { value: 'yd', label: 'yards' },
  { value: 'mi', label: 'miles' },
  { value: 'ch', label: 'chains' },
  { value: 'lk', label: 'links' },
];

const SLOPE_WAYS = [
  { value: 'up', label: 'up' },
  { value: 'down', label: 'down' },
];

interface Props {
  solution: Solution;
  /** The leg to correct; null to log a new one. */
  leg: Leg | null;
  onSave: (entry: Entry) => void;
  onClose: () => void;
}

/** A leg in separate fields, for those who prefer them, with the number keys on a phone. */
export function LegForm({ solution, leg, onSave, onClose }: Props) {
  const [fields, setFields] = useState<LegFields>(() =>
    leg ? fieldsOfLeg(leg, solution.end.readingNorth) : NO_FIELDS,
  );
  const found = interpretLine(lineOfFields(fields), solution);
  const entry = found.kind === 'entry' && found.entry.kind === 'leg' ? found.entry : null;
  const begun = fields.bearing !== '' && fields.distance !== '';
  const save = () => entry && onSave(entry);
  return (
    <Modal
      open
      title={leg ? WORDS.editLeg : WORDS.newLeg}
      okText={leg ? WORDS.saveEdit : WORDS.save}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !entry }}
      onOk={save}
      onCancel={onClose}
      destroyOnHidden
    >
      <Form
        layout="vertical"
        className={styles.fields}
        initialValues={fields}
        onValuesChange={(_changed, all: LegFields) => setFields({ ...all, ground: fields.ground })}
        onFinish={save}
      >
        <ReadingFields />
        <Form.Item label="Ground" className={styles.whole}>
          <GroundChips
            grounds={groundsOf(solution)}
            chosen={fields.ground}
            onChoose={(ground) => setFields({ ...fields, ground })}
          />
        </Form.Item>
        <OtherFields />
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p aria-live="polite" className={styles.reading}>
        {entry
          ? interpretationWords(found)
          : begun && found.kind === 'fault'
            ? faultMessage(found.fault)
            : 'A leg needs a bearing and a distance; the rest is optional.'}
      </p>
    </Modal>
  );
}

const ReadingFields = () => (
  <>
    <Form.Item name="bearing" label="Bearing">
      <Input inputMode="decimal" autoFocus autoComplete="off" />
    </Form.Item>
    <Form.Item name="back" label="Back bearing">
      <Input inputMode="decimal" autoComplete="off" />
    </Form.Item>
    <Form.Item name="distance" label="Distance">
      <Input inputMode="decimal" autoComplete="off" />
    </Form.Item>
    <Form.Item name="unit" label="Unit">
      <Select options={UNITS} aria-label="Unit" />
    </Form.Item>
  </>
);

const OtherFields = () => (
  <>
    <Form.Item name="slope" label="Slope: ° or rise/run" className={styles.third}>
      <Input inputMode="decimal" autoComplete="off" />
    </Form.Item>
    <Form.Item name="slopeWay" label="Up or down" className={styles.third}>
      <Select aria-label="Up or down" options={SLOPE_WAYS} />
    </Form.Item>
    <Form.Item name="time" label="Time" className={styles.third}>
      <Input placeholder="10:42" autoComplete="off" />
    </Form.Item>
    <Form.Item name="to" label="Station at its end">
      <Input autoComplete="off" />
    </Form.Item>
    <Form.Item name="note" label="Note">
      <Input autoComplete="off" />
    </Form.Item>
  </>
);
