'use client';
import AimOutlined from '@ant-design/icons-svg/es/asn/AimOutlined';
import { Button, Checkbox, Form, Input } from 'antd';
import { useEffect, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { roundedPosition, type Position } from '@/core/readings/position';
import { devicesAreSimulated, positionDevice, simulateDevices } from '@/devices';
import type { DeviceFault } from '@/devices/position';
import { lengthText } from '@/ui/units/shown';
import { Icon } from '@/ui/controls/icon';
import styles from './place-field.module.css';

type PlaceReader = typeof import('@/core/place/place-text');

const FAULTS: Readonly<Record<DeviceFault, string>> = {
  absent: 'This device has no position sensor. Type the place in.',
  refused:
    'The browser may not use the position: allow it in the browser’s settings, or type the ' +
    'place in.',
  'no-answer': 'The device found no position in time. Try under open sky, or type the place in.',
};

/** A place as text in any notation, and its position. */
export interface PlaceText {
  readonly text: string;
  /** Undefined while the text can't be read, null when there is none. */
  readonly position: Position | null | undefined;
}

export const placeTextOf = (position: Position | undefined): PlaceText => ({
  text: position ? `${position.latitude} ${position.longitude}` : '',
  position: position ?? null,
});

interface Props {
  place: PlaceText;
  onChange: (place: PlaceText) => void;
  /** What it is the position of. */
  label?: string;
}

/** The reader of places; it comes from the same cache as the page, a moment later. */
function usePlaceReader(): PlaceReader | null {
  const [reader, setReader] = useState<PlaceReader | null>(null);
  useEffect(() => {
    void import('@/core/place/place-text').then(setReader);
  }, []);
  return reader;
}

/** Where something is: typed or pasted in any notation, or taken from the device. */
export function PlaceField({ place, onChange, label = 'Position of the start' }: Props) {
  const reader = usePlaceReader();
  const [device, setDevice] = useState('');
  const read = reader && place.text.trim() !== '' ? reader.readPlace(place.text) : null;
  const wrong = read && !read.ok ? faultMessage(read.fault) : null;
  const type = (text: string) => {
    setDevice('');
    if (text.trim() === '') return onChange({ text, position: null });
    const found = reader?.readPlace(text);
    onChange({ text, position: found?.ok ? found.value : undefined });
  };
  const help =
    device ||
    'Degrees, with minutes and seconds, UTM, a grid square or a national grid: SD 805 660';
  return (
    <Form.Item
      label={label}
      htmlFor="set-place"
      validateStatus={wrong ? 'error' : undefined}
      help={wrong ?? help}
    >
      <Input
        id="set-place"
        value={place.text}
        onChange={(event) => type(event.target.value)}
        readOnly={!reader}
        placeholder="54.2000 -63.5000"
        autoComplete="off"
      />
      {reader && place.position && (
        <dl className={styles.notations}>
          {reader.placeTexts(place.position).map(({ name, text, withinMetres }) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{withinMetres ? `${text} (±${lengthText(withinMetres)})` : text}</dd>
            </div>
          ))}
        </dl>
      )}
      <DevicePosition onMessage={setDevice} onChange={onChange} />
    </Form.Item>
  );
}

interface DeviceProps {
  onMessage: (message: string) => void;
  onChange: (place: PlaceText) => void;
}

/** Asks the device for its position, or the simulated one. */
function DevicePosition({ onMessage, onChange }: DeviceProps) {
  const [busy, setBusy] = useState(false);
  const [simulated, setSimulated] = useState(devicesAreSimulated);
  const ask = async () => {
    setBusy(true);
    const fix = await positionDevice().read();
    setBusy(false);
    if (!fix.ok) return onMessage(FAULTS[fix.fault]);
    const { position, accuracyMetres } = fix.value;
    const at = roundedPosition(position);
    onMessage(`Accuracy by the device: about ${lengthText(Math.max(1, accuracyMetres))}.`);
    onChange({ text: `${at.latitude} ${at.longitude}`, position: at });
  };
  return (
    <div className={styles.device}>
      <Button icon={<Icon of={AimOutlined} />} onClick={ask} loading={busy}>
        Use this device’s position
      </Button>
      <Checkbox
        checked={simulated}
        onChange={({ target: { checked } }) => {
          simulateDevices(checked);
          setSimulated(checked);
        }}
      >
        Simulated devices, to try it out
      </Checkbox>
    </div>
  );
}
