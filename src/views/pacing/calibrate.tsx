'use client';
import CloseOutlined from '@ant-design/icons-svg/es/asn/CloseOutlined';
import PlusOutlined from '@ant-design/icons-svg/es/asn/PlusOutlined';
import { Button, Form, Input, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Calibration } from '@/core/model/pace-profile';
import type { PaceLength } from '@/core/pacing/calibration';
import { GROUNDS } from '@/core/readings/ground';
import type { StoreFault } from '@/store/store-fault';
import { GroundChips } from '@/ui/controls/ground-chips';
import { LiveWalk } from './live-walk';
import styles from './pacing.module.css';
import { useCalibration, type CalibrationDraft } from './use-calibration';
import { Icon } from '@/ui/controls/icon';
import { faultWords, warningWords, WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

const WalksChart = dynamic(() => import('./walks-chart').then((it) => it.WalksChart), {
  ssr: false,
});

interface Props {
  onSave: (calibration: Calibration) => Promise<StoreFault | null>;
}

/** A course of known length, the counts of its walks, and the pace length that they make. */
export function Calibrate({ onSave }: Props) {
  const calibration = useCalibration(onSave);
  const [counting, setCounting] = useState(false);
  const { draft, change, isReady, save, setWalk, nextWalk } = calibration;
  if (counting) {
    return (
      <LiveWalk
        walk={nextWalk + 1}
        counted={draft.counted}
        onEnd={(count) => {
          setWalk(nextWalk, String(count));
          setCounting(false);
        }}
        onCancel={() => setCounting(false)}
      />
    );
  }
  return (
    <Form layout="vertical" className={styles.form} onFinish={save}>
      <GroundFields calibration={calibration} />
      <CourseFields calibration={calibration} />
      <Walks calibration={calibration} />
      <div className={styles.row}>
        <Button
          icon={<Icon of={PlusOutlined} />}
          onClick={() => change({ walks: [...draft.walks, ''] })}
        >
          {WORDS.addWalk}
        </Button>
        <Button type="primary" onClick={() => setCounting(true)}>
          {WORDS.count}
        </Button>
      </div>
      <TextField
        id="calibration-note"
        label={WORDS.note}
        value={draft.note}
        onChange={(note) => change({ note })}
      />
      <Outcome calibration={calibration} />
      <Button type="primary" size="large" htmlType="submit" disabled={!isReady}>
        {WORDS.save}
      </Button>
    </Form>
  );
}

interface TextFieldProps {
  id: string;
  label: string;
  value: string;
  /** What is wrong with the value. */
  wrong?: string;
  numeric?: boolean;
  onChange: (value: string) => void;
}

const TextField = ({ id, label, value, wrong, numeric, onChange }: TextFieldProps) => (
  <Form.Item
    label={label}
    htmlFor={id}
    validateStatus={wrong === undefined ? undefined : 'error'}
    help={wrong}
  >
    <Input
      id={id}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      inputMode={numeric ? 'decimal' : 'text'}
      autoComplete="off"
    />
  </Form.Item>
);

interface PartProps {
  calibration: CalibrationDraft;
}

function GroundFields({ calibration: { draft, change, reading } }: PartProps) {
  return (
    <>
      <Form.Item label={WORDS.ground} help={WORDS.noGround}>
        <GroundChips
          grounds={GROUNDS}
          chosen={draft.ownGround.trim() === '' ? draft.ground : undefined}
          onChoose={(ground) => change({ ground, ownGround: '' })}
        />
      </Form.Item>
      <TextField
        id="own-ground"
        label={WORDS.ownGround}
        value={draft.ownGround}
        wrong={reading.isBadGround ? WORDS.badGround : undefined}
        onChange={(ownGround) => change({ ownGround })}
      />
    </>
  );
}

const COURSE_UNITS = (['metres', 'feet', 'yards'] as const).map((value) => ({
  value,
  label: value,
}));
const COUNTED_IN = (['paces', 'steps'] as const).map((value) => ({
  value,
  label: WORDS.countedIn[value],
}));

const CourseFields = ({ calibration: { draft, change } }: PartProps) => (
  <>
    <div className={styles.pair}>
      <TextField
        id="course"
        label={WORDS.course}
        value={draft.length}
        numeric
        onChange={(length) => change({ length })}
      />
      <Form.Item label={WORDS.unit} htmlFor="course-unit">
        <Select
          id="course-unit"
          value={draft.unit}
          onChange={(unit) => change({ unit })}
          options={COURSE_UNITS}
        />
      </Form.Item>
    </div>
    <Form.Item label={WORDS.counted} htmlFor="counted">
      <Select
        id="counted"
        value={draft.counted}
        onChange={(counted) => change({ counted })}
        options={COUNTED_IN}
      />
    </Form.Item>
  </>
);

const Walks = ({ calibration: { draft, change, reading, setWalk } }: PartProps) =>
  draft.walks.map((walk, index) => (
    <div key={index} className={styles.walk}>
      <label htmlFor={`walk-${index + 1}`}>{WORDS.walk(index + 1)}</label>
      <Input
        id={`walk-${index + 1}`}
        value={walk}
        status={index === reading.badWalk ? 'error' : undefined}
        onChange={(event) => setWalk(index, event.target.value)}
        inputMode="numeric"
        autoComplete="off"
      />
      <Button
        type="text"
        icon={<Icon of={CloseOutlined} />}
        aria-label={WORDS.removeWalk(index + 1)}
        title={WORDS.removeWalk(index + 1)}
        disabled={draft.walks.length === 1}
        onClick={() => change({ walks: draft.walks.toSpliced(index, 1) })}
      />
    </div>
  ));

/** What the walks make so far, what is wrong with them, and whether it was saved. */
function Outcome({ calibration: { draft, reading, status } }: PartProps) {
  const { badWalk, isBadCourse, found } = reading;
  const wrongs = [
    ...(badWalk >= 0 ? [WORDS.badWalk(badWalk + 1, draft.walks[badWalk] ?? '')] : []),
    ...(found && !found.ok ? [faultWords(found.fault)] : []),
    ...(isBadCourse ? [WORDS.noCourse] : []),
  ];
  return (
    <div aria-live="polite" data-testid="calibration">
      {wrongs.map((wrong) => (
        <p key={wrong} className={layout.warning}>
          {wrong}
        </p>
      ))}
      {found?.ok && <Result length={found.value} />}
      {status && <p role="status">{status}</p>}
    </div>
  );
}

function Result({ length }: { length: PaceLength }) {
  const { paceMetres, pacesPer100Metres, spread, warnings } = length;
  return (
    <>
      <p className={styles.result}>
        {WORDS.result(paceMetres, pacesPer100Metres.toFixed(1))}{' '}
        {spread !== null && WORDS.spread((100 * spread).toFixed(1))}
      </p>
      {warnings.map((warning) => (
        <p key={JSON.stringify(warning)} className={layout.warning}>
          {warningWords(warning)}
        </p>
      ))}
      <WalksChart length={length} />
    </>
  );
}
