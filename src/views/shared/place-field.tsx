'use client';
import { AimOutlined } from '@ant-design/icons';
import { Button, Checkbox, Form, Input } from 'antd';
import { useEffect, useState } from 'react';
import { faultWords } from '@/core/fault-words';
import type { Position } from '@/core/logbook';
import { devicesAreSimulated, positionDevice, simulateDevices } from '@/devices';
import type { DeviceFault } from '@/devices/position';
import styles from './place-field.module.css';

type Places = typeof import('@/core/place');

const FAULTS: Readonly<Record<DeviceFault, string>> = {
  absent: 'This device does not tell its position. Type the place in.',
  refused:
    'The browser may not tell the position: allow it in the browser’s settings, or type the place in.',
  'no-answer': 'The device found no position in time. Try under open sky, or type the place in.',
};

/** Six decimals of a degree are 0.1 m: more than any reading is worth. */
const rounded = (value: number) => Math.round(value * 1e6) / 1e6;

/** A place as text in any of four notations; what it comes to is told in all of them. */
export interface PlaceText {
  readonly text: string;
  /** Undefined while the text can't be read, null when there is none. */
  readonly position: Position | null | undefined;
}

export const placeTextOf = (position: Position | undefined): PlaceText => ({
  text: position ? `${position.latitude} ${position.longitude}` : '',
  position: position ?? null,
});

/** Where the start is: typed or pasted in any notation, or taken from the device. */
export function PlaceField({
  place,
  onChange,
}: {
  place: PlaceText;
  onChange: (place: PlaceText) => void;
}) {
  const [places, setPlaces] = useState<Places | null>(null);
  const [device, setDevice] = useState('');
  const [busy, setBusy] = useState(false);
  const [simulated, setSimulated] = useState(devicesAreSimulated);
  useEffect(() => {
    void import('@/core/place').then((loaded) => setPlaces(loaded));
  }, []);

  const read = places && place.text.trim() !== '' ? places.readPlace(place.text) : null;
  const wrong = read && !read.ok ? faultWords(read.fault) : null;

  const type = (text: string) => {
    setDevice('');
    if (text.trim() === '') return onChange({ text, position: null });
    const found = places?.readPlace(text);
    onChange({ text, position: found?.ok ? found.value : undefined });
  };
  const ask = async () => {
    setBusy(true);
    const fix = await positionDevice().read();
    setBusy(false);
    if (!fix.ok) return setDevice(FAULTS[fix.fault]);
    const { position, accuracyMetres } = fix.value;
    const at = { latitude: rounded(position.latitude), longitude: rounded(position.longitude) };
    setDevice(`Good to about ${Math.max(1, Math.round(accuracyMetres))} m, as the device says.`);
    onChange({ text: `${at.latitude} ${at.longitude}`, position: at });
  };

  return (
    <Form.Item
      label="Position of the start"
      htmlFor="set-place"
      validateStatus={wrong ? 'error' : undefined}
      help={wrong ?? (device || 'Degrees, degrees with minutes and seconds, UTM, or a grid square')}
    >
      <Input
        id="set-place"
        value={place.text}
        onChange={(event) => type(event.target.value)}
        // Nothing can be read until the reader is there; it comes from the same cache as the page.
        readOnly={!places}
        placeholder="54.2000 -63.5000"
        autoComplete="off"
      />
      {places && place.position && (
        <dl className={styles.notations}>
          {places.placeTexts(place.position).map(({ name, text }) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </dl>
      )}
      <div className={styles.device}>
        <Button icon={<AimOutlined aria-hidden="true" />} onClick={ask} loading={busy}>
          Use this device’s position
        </Button>
        <Checkbox
          checked={simulated}
          onChange={({ target: { checked } }) => {
            simulateDevices(checked);
            setSimulated(checked);
          }}
        >
          A simulated device, to try it out
        </Checkbox>
      </div>
    </Form.Item>
  );
}
