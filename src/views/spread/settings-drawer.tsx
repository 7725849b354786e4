'use client';
import { Alert, Button, Drawer, Form, Input, Radio } from 'antd';
import { useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { readLine } from '@/core/log-text/read-line';
import { writeAngle, writeEntry } from '@/core/log-text/write-log';
import type { Entry, EntryOf, Header, Outing } from '@/core/logbook';
import { NORTHS, type North } from '@/core/north';
import { LightSwitch } from '@/ui/light-switch';
import styles from './dialog.module.css';
import { NORTH_WORDS } from './words';

interface Fields {
  name: string;
  date: string;
  start: string;
  source: Outing['declination']['source'];
  angle: string;
  pace: string;
  show: Outing['show']['north'];
}

export interface SetUp {
  readonly header: Header;
  readonly pace: EntryOf<'pace'> | null;
}

const isPace = (entry: Entry): entry is EntryOf<'pace'> => entry.kind === 'pace';

function fieldsOf(outing: Outing): Fields {
  const { declination, start, date } = outing;
  const pace = outing.entries.findLast(isPace);
  const place = start.position ? ` at ${start.position.latitude} ${start.position.longitude}` : '';
  return {
    name: outing.name,
    date: date ? [date.day, date.time].filter(Boolean).join(' ') : '',
    start: start.name + place,
    source: declination.source,
    angle: declination.source === 'typed' ? writeAngle(declination.angle) : '',
    pace: pace ? writeEntry({ ...pace, note: undefined }, 'magnetic').replace('pace ', '') : '',
    show: outing.show.north,
  };
}

/** Reads one field as the line of the log that it is; what can't be read is told under the field. */
function read(keyword: string, text: string) {
  const line = readLine(`${keyword} ${text}`, 'magnetic');
  return line.ok ? { value: line.value } : { wrong: faultWords(line.fault.fault) };
}

/** The note of a line, which stays with it when its figure changes. */
const noteOf = (line: { note?: string } | undefined): { note?: string } =>
  line?.note === undefined ? {} : { note: line.note };

/** The fields as a set-up, or what is wrong with each. */
function setUpOf(
  fields: Fields,
  outing: Outing,
): { setUp?: SetUp; wrong: Partial<Record<keyof Fields, string>> } {
  const wrong: Partial<Record<keyof Fields, string>> = {};
  const header: Header = {
    name: fields.name.trim(),
    start: outing.start,
    declination: outing.declination,
    show: { ...outing.show, north: fields.show },
    ...(outing.convergence ? { convergence: outing.convergence } : {}),
  };
  if (fields.date.trim()) {
    const found = read('date', fields.date.trim());
    if (found.wrong) wrong.date = found.wrong;
    else header.date = { ...noteOf(outing.date), ...found.value!.header!.date! };
  }
  const start = read('start', fields.start.trim());
  if (start.wrong) wrong.start = start.wrong;
  else header.start = { note: outing.start.note, ...start.value!.header!.start! };
  if (header.start.note === undefined) delete header.start.note;

  if (fields.source !== outing.declination.source || fields.source === 'typed') {
    const text = fields.source === 'typed' ? fields.angle.trim() : fields.source;
    const found = read('declination', text);
    if (found.wrong) wrong.angle = found.wrong;
    else
      header.declination = { ...found.value!.header!.declination!, ...noteOf(outing.declination) };
  }
  let pace: EntryOf<'pace'> | null = null;
  if (fields.pace.trim()) {
    const found = read('pace', fields.pace.trim());
    const entry = found.value?.entry;
    if (found.wrong) wrong.pace = found.wrong;
    else if (entry && isPace(entry)) {
      pace = { ...entry, ...noteOf(outing.entries.findLast(isPace)) };
    }
  }
  return Object.keys(wrong).length > 0 ? { wrong } : { setUp: { header, pace }, wrong };
}

interface Props {
  outing: Outing;
  onSave: (setUp: SetUp) => Promise<string | null>;
  onClose: () => void;
}

/** What holds for a whole outing: name, day, start, declination, pace, the north of the answer, the light. */
export function SettingsDrawer({ outing, onSave, onClose }: Props) {
  const [fields, setFields] = useState<Fields>(() => fieldsOf(outing));
  const [refused, setRefused] = useState<string | null>(null);
  const { setUp, wrong } = setUpOf(fields, outing);
  const save = async () => {
    if (!setUp) return;
    const fault = await onSave(setUp);
    if (fault) setRefused(fault);
    else onClose();
  };
  const set = (change: Partial<Fields>) => setFields((before) => ({ ...before, ...change }));
  const field = (
    key: 'name' | 'date' | 'start' | 'angle' | 'pace',
    label: string,
    hint: string,
  ) => (
    <Form.Item
      label={label}
      htmlFor={`set-${key}`}
      validateStatus={wrong[key] ? 'error' : undefined}
      help={wrong[key] ?? hint}
    >
      <Input
        id={`set-${key}`}
        value={fields[key]}
        onChange={(event) => set({ [key]: event.target.value })}
        autoComplete="off"
      />
    </Form.Item>
  );
  return (
    <Drawer
      open
      title="Set up this outing"
      onClose={onClose}
      size={440}
      footer={
        <Button type="primary" block onClick={save} disabled={!setUp}>
          Save
        </Button>
      }
    >
      <Form layout="vertical" onFinish={save} className={styles.settings}>
        {refused && <Alert type="error" title={refused} />}
        {field(
          'pace',
          'Length of your pace',
          'A pace is two steps, the same foot each time: 65 per 100 m, 1.54 m or 5 ft',
        )}
        <Form.Item label="Declination">
          <Radio.Group
            value={fields.source}
            onChange={(event) => set({ source: event.target.value as Fields['source'] })}
            vertical
            options={[
              { value: 'none', label: 'None: magnetic all the way, no map' },
              { value: 'typed', label: 'Typed in' },
              { value: 'model', label: 'World Magnetic Model, at the start’s position and date' },
              ...(outing.declination.source === 'margin'
                ? [{ value: 'margin', label: 'From the map margin, as in the log' }]
                : []),
            ]}
          />
        </Form.Item>
        {fields.source === 'typed' && field('angle', 'Angle', 'With its letter: 19.1 W or 2°18’ E')}
        <Form.Item label="The way home is given">
          <Radio.Group
            value={fields.show}
            onChange={(event) => set({ show: event.target.value as North })}
            vertical
            options={NORTHS.map((value) => ({ value, label: NORTH_WORDS[value] }))}
          />
        </Form.Item>
        {field('name', 'Name of the outing', '')}
        {field('date', 'Day and time', '2026-08-14 09:40')}
        {field(
          'start',
          'Start',
          'A name, and its position if you know it: Dock at 54.2000 -63.5000',
        )}
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p>Light</p>
      <LightSwitch />
    </Drawer>
  );
}
