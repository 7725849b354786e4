'use client';
import { CloseOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, Form, Input, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { GROUNDS, isGroundName, type Calibration } from '@/core/logbook';
import { calibrated, type PaceLength } from '@/core/pace-calibration';
import type { StoreFault } from '@/store/store-fault';
import { GroundChips } from '@/ui/ground-chips';
import { STORE_WORDS } from '@/ui/store-words';
import { LiveWalk } from './live-walk';
import styles from './paces.module.css';
import { faultWords, warningWords, WORDS } from './words';

const WalksChart = dynamic(() => import('./walks-chart').then((it) => it.WalksChart), {
  ssr: false,
});

type Unit = Calibration['course']['unit'];
type Counted = Calibration['counted'];

interface Props {
  onKeep: (calibration: Calibration) => Promise<StoreFault | null>;
}

const number = (text: string) => (/^\s*\d+(\.\d+)?\s*$/.test(text) ? Number(text) : NaN);

/** A course of known length, the counts of its walks, and what they come to. */
export function Calibrate({ onKeep }: Props) {
  const [ground, setGround] = useState<string | undefined>(undefined);
  const [ownGround, setOwnGround] = useState('');
  const [length, setLength] = useState('');
  const [unit, setUnit] = useState<Unit>('metres');
  const [counted, setCounted] = useState<Counted>('paces');
  const [walks, setWalks] = useState<readonly string[]>(['', '', '']);
  const [note, setNote] = useState('');
  const [live, setLive] = useState(false);
  const [status, setStatus] = useState('');

  const own = ownGround.trim().toLowerCase();
  const named = own === '' ? ground : own;
  const badGround = own !== '' && !isGroundName(own);
  const counts = walks.filter((walk) => walk.trim() !== '').map(number);
  const unreadable = walks.findIndex((walk) => walk.trim() !== '' && Number.isNaN(number(walk)));
  const course = { value: number(length), unit };
  const begun = length.trim() !== '' && counts.length > 0 && unreadable < 0;
  const found = begun ? calibrated({ course, counted, counts }) : null;
  const standsOut =
    found?.ok && found.value.warnings.some(({ code }) => code === 'walk-stands-out');
  const ready = found?.ok && !standsOut && !badGround;
  const nextWalk = walks.findIndex((walk) => walk.trim() === '');
  const liveWalk = nextWalk < 0 ? walks.length : nextWalk;

  const setWalk = (index: number, text: string) =>
    setWalks(walks.length > index ? walks.with(index, text) : [...walks, text]);
  const keep = async () => {
    if (!ready) return;
    const fault = await onKeep({
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      ...(named === undefined ? {} : { ground: named }),
      course,
      counted,
      counts,
      ...(note.trim() === '' ? {} : { note: note.replace(/\s+/g, ' ').trim().slice(0, 2000) }),
    });
    setStatus(fault ? STORE_WORDS[fault] : WORDS.saved(named ?? WORDS.general));
    if (!fault) setWalks(['', '', '']);
  };

  if (live) {
    return (
      <LiveWalk
        walk={liveWalk + 1}
        unit={counted}
        onEnd={(count) => {
          setWalk(liveWalk, String(count));
          setLive(false);
        }}
        onStop={() => setLive(false)}
      />
    );
  }
  return (
    <Form layout="vertical" className={styles.form} onFinish={keep}>
      <Form.Item label={WORDS.ground} help="None chosen: your pace in general">
        <GroundChips
          grounds={GROUNDS}
          chosen={own === '' ? ground : undefined}
          onChoose={(chosen) => {
            setGround(chosen);
            setOwnGround('');
          }}
        />
      </Form.Item>
      <Form.Item
        label={WORDS.ownGround}
        htmlFor="own-ground"
        validateStatus={badGround ? 'error' : undefined}
        help={badGround ? 'One word of letters, such as heather.' : undefined}
      >
        <Input
          id="own-ground"
          value={ownGround}
          onChange={(event) => setOwnGround(event.target.value)}
          autoComplete="off"
        />
      </Form.Item>
      <div className={styles.pair}>
        <Form.Item label={WORDS.course} htmlFor="course">
          <Input
            id="course"
            value={length}
            onChange={(event) => setLength(event.target.value)}
            inputMode="decimal"
            autoComplete="off"
          />
        </Form.Item>
        <Form.Item label={WORDS.unit} htmlFor="course-unit">
          <Select
            id="course-unit"
            value={unit}
            onChange={setUnit}
            options={(['metres', 'feet', 'yards'] as const).map((value) => ({
              value,
              label: value,
            }))}
          />
        </Form.Item>
      </div>
      <Form.Item label={WORDS.counted} htmlFor="counted">
        <Select
          id="counted"
          value={counted}
          onChange={setCounted}
          options={(['paces', 'steps'] as const).map((value) => ({ value, label: WORDS[value] }))}
        />
      </Form.Item>
      {walks.map((walk, index) => (
        <div key={index} className={styles.walk}>
          <label htmlFor={`walk-${index + 1}`}>{WORDS.walk(index + 1)}</label>
          <Input
            id={`walk-${index + 1}`}
            value={walk}
            status={index === unreadable ? 'error' : undefined}
            onChange={(event) => setWalk(index, event.target.value)}
            inputMode="numeric"
            autoComplete="off"
          />
          <Button
            type="text"
            icon={<CloseOutlined aria-hidden="true" />}
            aria-label={WORDS.dropWalk(index + 1)}
            disabled={walks.length === 1}
            onClick={() => setWalks(walks.toSpliced(index, 1))}
          />
        </div>
      ))}
      <div className={styles.row}>
        <Button icon={<PlusOutlined aria-hidden="true" />} onClick={() => setWalks([...walks, ''])}>
          {WORDS.addWalk}
        </Button>
        <Button type="primary" onClick={() => setLive(true)}>
          {WORDS.count}
        </Button>
      </div>
      <Form.Item label={WORDS.note} htmlFor="calibration-note">
        <Input
          id="calibration-note"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          autoComplete="off"
        />
      </Form.Item>
      <div aria-live="polite" data-testid="calibration">
        {unreadable >= 0 && (
          <p className={styles.warning}>
            {WORDS.walk(unreadable + 1)}: “{walks[unreadable]}” is no count.
          </p>
        )}
        {found && !found.ok && <p className={styles.warning}>{faultWords(found.fault)}</p>}
        {length.trim() !== '' && Number.isNaN(course.value) && unreadable < 0 && (
          <p className={styles.warning}>The course needs a length above zero.</p>
        )}
        {found?.ok && <Result length={found.value} />}
        {status && <p role="status">{status}</p>}
      </div>
      <Button type="primary" size="large" htmlType="submit" disabled={!ready}>
        {WORDS.save}
      </Button>
    </Form>
  );
}

function Result({ length }: { length: PaceLength }) {
  const { paceMetres, pacesPer100Metres, spread, warnings } = length;
  return (
    <>
      <p className={styles.result}>
        {WORDS.result(paceMetres.toFixed(2), pacesPer100Metres.toFixed(1))}{' '}
        {spread !== null && WORDS.spread((100 * spread).toFixed(1))}
      </p>
      {warnings.map((warning) => (
        <p key={JSON.stringify(warning)} className={styles.warning}>
          {warningWords(warning)}
        </p>
      ))}
      <WalksChart length={length} />
    </>
  );
}
