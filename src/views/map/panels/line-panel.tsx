import { Checkbox, Form, Input } from 'antd';
import { useState } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import type { MapTie } from '@/core/place/map-tie';
import type { Position } from '@/core/readings/position';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../map.module.css';
import { WORDS } from '../words';
import { plainName } from './name-field';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  tie: MapTie;
  taps: readonly Pixel[];
  onBack: () => void;
  onDone: () => void;
  onKeep: (place: Omit<KnownPlace, 'id'>) => Promise<string | null>;
}

/** A path, a stream, a cliff: its corners are tapped, then it is named and kept. */
export function LinePanel({ tie, taps, onBack, onDone, onKeep }: Props) {
  const [name, setName] = useState('');
  const [isBarrier, setIsBarrier] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const plain = plainName(name);
  const positions = taps
    .map((tap) => tie.positionOf(tap))
    .filter((position): position is Position => position !== null);
  const isReady = plain !== '' && positions.length > 1;
  const keep = async () => {
    if (!isReady) return;
    const fault = await onKeep({ name: plain, positions, ...(isBarrier && { isBarrier }) });
    setSaid(fault ?? WORDS.lineKept(plain));
    if (fault) return;
    // What was typed while it was written is the next name.
    setName((now) => (now === name ? '' : now));
    onDone();
  };
  return (
    <>
      <p className={layout.soft}>{WORDS.lineHow}</p>
      <Form layout="vertical" className={styles.form}>
        <Form.Item label={WORDS.lineName} htmlFor="line-name">
          <Input
            id="line-name"
            value={name}
            autoComplete="off"
            onChange={(event) => setName(event.target.value)}
            onPressEnter={() => void keep()}
          />
        </Form.Item>
        <Checkbox checked={isBarrier} onChange={({ target }) => setIsBarrier(target.checked)}>
          {WORDS.barrier}
        </Checkbox>
      </Form>
      <div className={styles.row}>
        <PressButton look="primary" large disabled={!isReady} onClick={() => void keep()}>
          {WORDS.keepLine}
        </PressButton>
        <PressButton disabled={taps.length === 0} onClick={onBack}>
          {WORDS.back}
        </PressButton>
      </div>
      <p role="status">{said}</p>
    </>
  );
}
