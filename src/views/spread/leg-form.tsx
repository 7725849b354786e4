'use client';
import { Form, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { understand } from '@/core/log-text/understand';
import { groundText, writeBearing, writeDistance } from '@/core/log-text/write-log';
import type { Entry, Leg } from '@/core/logbook';
import type { Solution } from '@/core/solve';
import styles from '@/views/shared/dialog.module.css';
import { GroundChips } from '@/ui/ground-chips';
import { groundsOf } from '@/views/shared/grounds-of';
import { entryWords } from '@/views/shared/entry-words';
import { WORDS } from './words';

interface Fields {
  bearing: string;
  distance: string;
  unit: string;
  back?: string;
  slope?: string;
  slopeWay: 'up' | 'down';
  ground?: string;
  time?: string;
  to?: string;
  note?: string;
}

const UNITS = [
  { value: 'p', label: 'paces' },
  { value: 's', label: 'single steps' },
  { value: 'm', label: 'metres' },
  { value: 'km', label: 'km' },
  { value: 'ft', label: 'feet' },
  { value: 'yd', label: 'yards' },
  { value: 'mi', label: 'miles' },
];

const WAYS = [
  { value: 'up', label: 'up' },
  { value: 'down', label: 'down' },
];

/** The fields as a line of the log: one reader serves the form and the entry line. */
function lineOf(fields: Fields): string {
  const part = (word: string, value: string | undefined) =>
    value?.trim() ? ` ${word}${value.trim()}` : '';
  const distance = fields.distance?.trim() ?? '';
  const unit = /[a-z]/i.test(distance) || distance === '' ? '' : fields.unit;
  return (
    `${fields.bearing?.trim() ?? ''} ${distance}${unit}` +
    (fields.ground ? groundText(fields.ground) : '') +
    part('back ', fields.back) +
    part(`${fields.slopeWay} `, fields.slope) +
    part('@', fields.time) +
    part('> ', fields.to) +
    part('; ', fields.note)
  ).trim();
}

/** A slope without its sign, as it is typed: degrees, or rise/run. */
const slopeFigure = ({ slopeDegrees, slopeRatio }: Leg): string | undefined =>
  slopeDegrees !== undefined
    ? String(Math.abs(slopeDegrees))
    : slopeRatio && `${Math.abs(slopeRatio.rise)}/${slopeRatio.run}`;

function fieldsOf(leg: Leg | null, solution: Solution): Fields {
  const blank: Fields = { bearing: '', distance: '', unit: 'p', slopeWay: 'up' };
  if (!leg) return blank;
  const { read } = solution.end;
  const written = writeDistance(leg.distance);
  const simple = /^([\d.]+)(p|s|m|km|ft|yd|mi)$/.exec(written);
  return {
    bearing: writeBearing(leg.bearing, read),
    distance: simple ? simple[1]! : written,
    unit: simple ? simple[2]! : 'p',
    back: leg.back && writeBearing(leg.back, read),
    slope: slopeFigure(leg),
    slopeWay: (leg.slopeDegrees ?? leg.slopeRatio?.rise ?? 0) < 0 ? 'down' : 'up',
    ground: leg.ground,
    time: leg.time,
    to: leg.to,
    note: leg.note,
  };
}

interface Props {
  solution: Solution;
  /** The leg to change; null to log a new one. */
  leg: Leg | null;
  onSave: (entry: Entry) => void;
  onClose: () => void;
}

/** A leg in separate fields, for those who prefer them, with the number pad on a phone. */
export function LegForm({ solution, leg, onSave, onClose }: Props) {
  const [fields, setFields] = useState<Fields>(() => fieldsOf(leg, solution));
  const line = lineOf(fields);
  const understanding = understand(line, solution);
  const entry =
    understanding.kind === 'entry' && understanding.entry.kind === 'leg' ? understanding : null;
  const begun = fields.bearing !== '' && fields.distance !== '';

  return (
    <Modal
      open
      title={leg ? WORDS.editLeg : WORDS.newLeg}
      okText={leg ? WORDS.saveEdit : WORDS.save}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !entry }}
      onOk={() => entry && onSave(entry.entry)}
      onCancel={onClose}
      destroyOnHidden
    >
      <Form
        layout="vertical"
        className={styles.fields}
        initialValues={fields}
        onValuesChange={(_changed, all: Fields) => setFields({ ...all, ground: fields.ground })}
        onFinish={() => entry && onSave(entry.entry)}
      >
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
        <Form.Item label="Ground" className={styles.whole}>
          <GroundChips
            grounds={groundsOf(solution)}
            chosen={fields.ground}
            onChoose={(ground) => setFields({ ...fields, ground })}
          />
        </Form.Item>
        <Form.Item name="slope" label="Slope: ° or rise/run" className={styles.third}>
          <Input inputMode="decimal" autoComplete="off" />
        </Form.Item>
        <Form.Item name="slopeWay" label="Which way" className={styles.third}>
          <Select aria-label="Which way" options={WAYS} />
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
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p aria-live="polite" className={styles.reading}>
        {entry
          ? entryWords(entry.entry, entry.ghost?.lengthMetres ?? null)
          : begun && understanding.kind === 'fault'
            ? faultWords(understanding.fault)
            : 'A bearing and a distance make a leg; the rest is as you like.'}
      </p>
    </Modal>
  );
}
