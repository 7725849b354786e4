'use client';
import { Form, Input, Modal, Radio } from 'antd';
import { useState } from 'react';
import styles from '@/views/shared/fields/dialog.module.css';
import { lengthText, lengthUnit } from '@/ui/units/shown';
import { WORDS } from './words';

/** As the log's `at` line allows. */
const LONGEST_TEXT = 2000;
const MOST_METRES = 1e6;

type Side = 'left' | 'right' | 'ahead';

/** A feature beside the leg that is being walked. */
interface Feature {
  readonly what: string;
  readonly side?: 'left' | 'right';
  readonly sideMetres?: number;
}

interface Props {
  /** Metres along the leg; null where no pace is known. */
  metres: number | null;
  onAdd: (feature: Feature) => void;
  onClose: () => void;
}

/** Adds a feature at this distance along the leg: on the left, on the right, or ahead. */
export function FeatureDialog({ metres, onAdd, onClose }: Props) {
  const [what, setWhat] = useState('');
  const [side, setSide] = useState<Side>('ahead');
  const [away, setAway] = useState('');
  const sideMetres = Number(away) * lengthUnit().metres;
  const hasPlace =
    side === 'ahead' || (away.trim() !== '' && sideMetres >= 0 && sideMetres <= MOST_METRES);
  const ready = what.trim() !== '' && hasPlace;
  const add = () => {
    if (!ready) return;
    const text = what.replace(/\s+/g, ' ').trim().slice(0, LONGEST_TEXT);
    onAdd(side === 'ahead' ? { what: text } : { what: text, side, sideMetres });
  };
  return (
    <Modal
      open
      title={metres === null ? WORDS.addFeature : `${WORDS.addFeature}: ${lengthText(metres)}`}
      okText={WORDS.add}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !ready }}
      onOk={add}
      onCancel={onClose}
    >
      <Form layout="vertical" className={styles.fields} onFinish={add}>
        <Form.Item label={WORDS.what} htmlFor="feature-what" className={styles.whole}>
          <Input
            id="feature-what"
            value={what}
            onChange={(event) => setWhat(event.target.value)}
            autoFocus
            autoComplete="off"
          />
        </Form.Item>
        <SideChoice side={side} onSide={setSide} />
        {side !== 'ahead' && (
          <Form.Item
            label={`${WORDS.aside}, in ${lengthUnit().name}`}
            htmlFor="feature-away"
            className={styles.whole}
          >
            <Input
              id="feature-away"
              value={away}
              onChange={(event) => setAway(event.target.value)}
              inputMode="decimal"
              autoComplete="off"
            />
          </Form.Item>
        )}
        <button type="submit" hidden />
      </Form>
    </Modal>
  );
}

interface SideProps {
  side: Side;
  onSide: (side: Side) => void;
}

const SideChoice = ({ side, onSide }: SideProps) => (
  <Form.Item className={styles.whole}>
    <Radio.Group
      aria-label={WORDS.side}
      value={side}
      onChange={(event) => onSide(event.target.value as Side)}
      optionType="button"
      buttonStyle="solid"
      block
      options={[
        { value: 'left', label: WORDS.left },
        { value: 'ahead', label: WORDS.ahead },
        { value: 'right', label: WORDS.right },
      ]}
    />
  </Form.Item>
);
