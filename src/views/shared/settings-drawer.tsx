'use client';
import { Alert, Button, Drawer, Form, Input } from 'antd';
import { useMemo, useState } from 'react';
import { isGeneralPace, type SetUp } from '@/core/edit/set-up';
import { faultWords } from '@/core/fault-words';
import { readLine } from '@/core/log-text/read-line';
import { writeEntry } from '@/core/log-text/write-log';
import { headerOf, type EntryOf, type Header, type Outing } from '@/core/logbook';
import { LightSwitch } from '@/ui/light-switch';
import styles from '@/views/shared/dialog.module.css';
import { draftOf, noteOf, readDraft, type DraftField, type NorthsDraft } from './norths/draft';
import { GuidedChoice } from './norths/guided-choice';
import { NorthsFields } from './norths/norths-fields';
import { Outlook } from './norths/outlook';
import { useDraftOutlook } from './norths/use-draft-solution';
import { PlaceField, placeTextOf, type PlaceText } from './place-field';

interface Fields {
  name: string;
  date: string;
  start: string;
  pace: string;
}

function fieldsOf(outing: Outing): Fields {
  const { start, date } = outing;
  const pace = outing.entries.findLast(isGeneralPace);
  return {
    name: outing.name,
    date: date ? [date.day, date.time].filter(Boolean).join(' ') : '',
    start: start.name,
    pace: pace ? writeEntry({ ...pace, note: undefined }, 'magnetic').replace('pace ', '') : '',
  };
}

/** Reads one field as the line of the log that it is; what can't be read is told under the field. */
function read(keyword: string, text: string) {
  const line = readLine(`${keyword} ${text}`, 'magnetic');
  return line.ok ? { value: line.value } : { wrong: faultWords(line.fault.fault) };
}

interface Read {
  readonly header: Header | null;
  readonly pace: EntryOf<'pace'> | null;
  readonly wrong: Partial<Record<keyof Fields | DraftField, string>>;
}

/** The fields as a header and a pace, or what is wrong with each. */
function readFields(fields: Fields, place: PlaceText, draft: NorthsDraft, outing: Outing): Read {
  const { norths, wrong: northsWrong } = readDraft(draft, outing);
  const wrong: Read['wrong'] = { ...northsWrong };
  const header: Header = { ...headerOf(outing), name: fields.name.trim() };
  delete header.date;
  if (fields.date.trim()) {
    const found = read('date', fields.date.trim());
    if (found.wrong) wrong.date = found.wrong;
    else header.date = { ...noteOf(outing.date), ...found.value!.header!.date! };
  }
  const start = read('start', fields.start.trim());
  if (start.wrong) wrong.start = start.wrong;
  else if (start.value!.header!.start!.position)
    wrong.start = 'The position has a field of its own.';
  else {
    const { name } = start.value!.header!.start!;
    header.start = { ...outing.start, name };
    delete header.start.position;
    if (place.position) header.start.position = place.position;
  }
  let pace: EntryOf<'pace'> | null = null;
  if (fields.pace.trim()) {
    const found = read('pace', fields.pace.trim());
    const entry = found.value?.entry;
    if (found.wrong) wrong.pace = found.wrong;
    else if (entry && isGeneralPace(entry)) {
      pace = { ...entry, ...noteOf(outing.entries.findLast(isGeneralPace)) };
    }
  }
  const unread = Object.keys(wrong).length > 0 || place.position === undefined || !norths;
  if (!unread && !norths.convergence) delete header.convergence;
  return { header: unread ? null : { ...header, ...norths }, pace, wrong };
}

interface Props {
  outing: Outing;
  onSave: (setUp: SetUp) => Promise<string | null>;
  onClose: () => void;
}

/** What holds for a whole outing: pace, norths, name, day, start, and the light of the screen. */
export function SettingsDrawer({ outing, onSave, onClose }: Props) {
  const [fields, setFields] = useState<Fields>(() => fieldsOf(outing));
  const [draft, setDraft] = useState<NorthsDraft>(() => draftOf(outing));
  const [place, setPlace] = useState<PlaceText>(() => placeTextOf(outing.start.position));
  /** The draft as it was before the questions, to go back to; null while none are asked. */
  const [unguided, setUnguided] = useState<NorthsDraft | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const { header, pace, wrong } = useMemo(
    () => readFields(fields, place, draft, outing),
    [fields, place, draft, outing],
  );
  const outlook = useDraftOutlook(outing, header, draft.read);
  const save = async () => {
    if (!header) return;
    const fault = await onSave({ header, pace, read: draft.read });
    if (fault) setRefused(fault);
    else onClose();
  };
  const field = (key: keyof Fields, label: string, hint: string) => (
    <Form.Item
      label={label}
      htmlFor={`set-${key}`}
      validateStatus={wrong[key] ? 'error' : undefined}
      help={wrong[key] ?? hint}
    >
      <Input
        id={`set-${key}`}
        value={fields[key]}
        onChange={(event) => setFields({ ...fields, [key]: event.target.value })}
        autoComplete="off"
      />
    </Form.Item>
  );
  return (
    <Drawer
      open
      title="Set up this outing"
      onClose={onClose}
      size={480}
      footer={
        <Button type="primary" block onClick={save} disabled={!header || outlook.fault !== null}>
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
        <a href={`/paces?id=${encodeURIComponent(outing.id)}`} className={styles.link}>
          Calibrate it, ground by ground
        </a>
        <h2 className={styles.part}>Norths</h2>
        <Outlook outlook={outlook} />
        <Button onClick={() => setUnguided(draft)} className={styles.guide}>
          Help me choose
        </Button>
        <NorthsFields
          draft={draft}
          wrong={wrong}
          onChange={(change) => setDraft((before) => ({ ...before, ...change }))}
        />
        <h2 className={styles.part}>Outing</h2>
        {field('name', 'Name of the outing', '')}
        {field('date', 'Day and time', '2026-08-14 09:40')}
        {field('start', 'Name of the start', 'What you will look for at the end: Dock')}
        <PlaceField place={place} onChange={setPlace} />
        {/* Enter in a field submits only where a submit button is. */}
        <button type="submit" hidden />
      </Form>
      <p>Light</p>
      <LightSwitch />
      {unguided && (
        <GuidedChoice
          outing={outing}
          header={(wanted) => readFields(fields, place, wanted, outing).header}
          draft={draft}
          place={place}
          onPlace={setPlace}
          onDraft={setDraft}
          onUse={() => {
            setUnguided(null);
            void save();
          }}
          onClose={() => {
            setDraft(unguided);
            setUnguided(null);
          }}
        />
      )}
    </Drawer>
  );
}
