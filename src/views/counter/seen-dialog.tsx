'use client';
import { Form, Input, Modal, Radio } from 'antd';
import { useState } from 'react';
import styles from '@/views/shared/dialog.module.css';
import { WORDS } from './words';

type Side = 'left' | 'right' | 'ahead';

interface Seen {
  readonly what: string;
  readonly side?: 'left' | 'right';
  readonly sideMetres?: number;
}

interface Props {
  /** Metres along the leg; null where no pace is known. */
  metres: number | null;
  onKeep: (seen: Seen) => void;
  onClose: () => void;
}

/** Notes something seen at this metre, left, right or on the way. */
export function SeenDialog({ metres, onKeep, onClose }: Props) {
  const [what, setWhat] = useState('');
  const [side, setSide] = useState<Side>('ahead');
  const [away, setAway] = useState('');
  const sideMetres = Number(away);
  const badSide = side !== 'ahead' && !(away.trim() !== '' && sideMetres >= 0 && sideMetres <= 1e6);
  const ready = what.trim() !== '' && !badSide;
  const keep = () => {
    if (!ready) return;
    const text = what.replace(/\s+/g, ' ').trim().slice(0, 2000);
    onKeep(side === 'ahead' ? { what: text } : { what: text, side, sideMetres });
  };
  return (
    <Modal
      open
      title={metres === null ? WORDS.seen : `${WORDS.seen}: ${Math.round(metres)} m`}
      okText={WORDS.keep}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !ready }}
      onOk={keep}
      onCancel={onClose}
    >
      <Form layout="vertical" className={styles.fields} onFinish={keep}>
        <Form.Item label={WORDS.what} htmlFor="seen-what" className={styles.whole}>
          <Input
            id="seen-what"
            value={what}
            onChange={(event) => setWhat(event.target.value)}
            autoFocus
            autoComplete="off"
          />
        </Form.Item>
        <Form.Item className={styles.whole}>
          <Radio.Group
            value={side}
            onChange={(event) => setSide(event.target.value as Side)}
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
        {side !== 'ahead' && (
          <Form.Item label={WORDS.sideMetres} htmlFor="seen-away" className={styles.whole}>
            <Input
              id="seen-away"
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
