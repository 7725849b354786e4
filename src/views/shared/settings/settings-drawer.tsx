'use client';
import { Alert, Button, Drawer, Form, Input, Radio } from 'antd';
import { useMemo, useState } from 'react';
import type { OutingSettings } from '@/core/edit/settings';
import { METHODS, type Method } from '@/core/model/method';
import type { Outing } from '@/core/model/outing';
import { draftOf, type DeclinationDraft } from '@/views/shared/declination/draft';
import { DeclinationFields } from '@/views/shared/declination/declination-fields';
import { GuidedChoice } from '@/views/shared/declination/guided-choice';
import { Outlook } from '@/views/shared/declination/outlook';
import { useDraftOutlook, type DraftOutlook } from '@/views/shared/declination/use-draft-outlook';
import styles from '@/views/shared/fields/dialog.module.css';
import { PlaceField, placeTextOf, type PlaceText } from '@/views/shared/fields/place-field';
import { METHOD_LABEL, METHOD_WORDS } from '@/views/shared/words/method-words';
import { withAngleName } from '@/ui/units/shown';
import { viewUrl } from '@/views/views';
import { fieldsOf, readSettings, type SettingsFields } from './read-settings';

interface Props {
  outing: Outing;
  onSave: (settings: OutingSettings) => Promise<string | null>;
  onClose: () => void;
}

/** The settings being edited, and what they were read as. */
function useSettings(outing: Outing) {
  const [fields, setFields] = useState<SettingsFields>(() => fieldsOf(outing));
  const [draft, setDraft] = useState<DeclinationDraft>(() => draftOf(outing));
  const [place, setPlace] = useState<PlaceText>(() => placeTextOf(outing.start.position));
  const read = useMemo(
    () => readSettings(fields, place, draft, outing),
    [fields, place, draft, outing],
  );
  return { fields, setFields, draft, setDraft, place, setPlace, read };
}

/** Saves settings that could be read, and closes; or keeps why they were refused. */
function useSaving(settings: OutingSettings | null, onSave: Props['onSave'], onClose: () => void) {
  const [refused, setRefused] = useState<string | null>(null);
  const save = async () => {
    if (!settings) return;
    const fault = await onSave(settings);
    if (fault) setRefused(fault);
    else onClose();
  };
  return { refused, save };
}

/** Label and hint of each field that is typed. */
type TextName = Exclude<keyof SettingsFields, 'method'>;
const TEXTS: Readonly<Record<TextName, readonly [label: string, hint: string]>> = {
  pace: [
    'Pace length',
    'A pace is two steps, the same foot each time: 65 per 100 m, 1.54 m or 5 ft',
  ],
  name: ['Name of the outing', ''],
  date: ['Day and time', '2026-08-14 09:40'],
  start: ['Name of the start', 'The place to come back to: Dock'],
  by: ['Whose outing it is', 'In an area, one person’s outings share a compass and a stride'],
};

interface FieldProps {
  name: TextName;
  fields: SettingsFields;
  wrong: Partial<Record<string, string>>;
  onFields: (fields: SettingsFields) => void;
}

const TextField = ({ name, fields, wrong, onFields }: FieldProps) => (
  <Form.Item
    label={TEXTS[name][0]}
    htmlFor={`set-${name}`}
    validateStatus={wrong[name] ? 'error' : undefined}
    help={wrong[name] ?? TEXTS[name][1]}
  >
    <Input
      id={`set-${name}`}
      value={fields[name]}
      onChange={(event) => onFields({ ...fields, [name]: event.target.value })}
      autoComplete="off"
    />
  </Form.Item>
);

/** What holds for a whole outing: pace, declination, name, day, start. */
export function SettingsDrawer({ outing, onSave, onClose }: Props) {
  const settings = useSettings(outing);
  const { fields, draft, setDraft, place, setPlace, read } = settings;
  const { header, pace } = read;
  /** The draft before the questions, to go back to; null while none are asked. */
  const [unguided, setUnguided] = useState<DeclinationDraft | null>(null);
  const outlook = useDraftOutlook(outing, header, draft.read);
  const { refused, save } = useSaving(
    header && { header, pace, read: draft.read },
    onSave,
    onClose,
  );
  /** Back from the questions: to the draft before them, or saving what they ended in. */
  const endQuestions = (before: DeclinationDraft | null) => {
    setUnguided(null);
    if (before) setDraft(before);
    else void save();
  };
  return (
    <Drawer
      open
      title="Settings of this outing"
      onClose={onClose}
      size={480}
      footer={
        <Button type="primary" block onClick={save} disabled={!header || outlook.fault !== null}>
          Save
        </Button>
      }
    >
      <SettingsForm
        outing={outing}
        settings={settings}
        outlook={outlook}
        refused={refused}
        onSave={save}
        onHelp={() => setUnguided(draft)}
      />
      {unguided && (
        <GuidedChoice
          outing={outing}
          header={(wanted) => readSettings(fields, place, wanted, outing).header}
          draft={draft}
          place={place}
          onPlace={setPlace}
          onDraft={setDraft}
          onUse={() => endQuestions(null)}
          onClose={() => endQuestions(unguided)}
        />
      )}
    </Drawer>
  );
}

interface MethodProps {
  method: Method;
  onMethod: (method: Method) => void;
}

/** How loops become places: nothing that was read is changed by it. */
const MethodField = ({ method, onMethod }: MethodProps) => (
  <Form.Item label={METHOD_LABEL} help={METHOD_WORDS[method][1]}>
    <Radio.Group
      aria-label={METHOD_LABEL}
      optionType="button"
      value={method}
      onChange={({ target }) => onMethod(target.value as Method)}
      options={METHODS.map((each) => ({ value: each, label: METHOD_WORDS[each][0] }))}
    />
  </Form.Item>
);

interface FormProps {
  outing: Outing;
  settings: ReturnType<typeof useSettings>;
  outlook: DraftOutlook;
  refused: string | null;
  onSave: () => void;
  onHelp: () => void;
}

function SettingsForm({ outing, settings, outlook, refused, onSave, onHelp }: FormProps) {
  const { fields, setFields, draft, setDraft, place, setPlace, read } = settings;
  const { wrong } = read;
  const field = { fields, wrong, onFields: setFields };
  return (
    <Form layout="vertical" onFinish={onSave} className={styles.settings}>
      {refused && <Alert type="error" title={refused} />}
      <TextField {...field} name="pace" />
      <a href={viewUrl('pacing', outing.id)} className={styles.link}>
        Calibrate it, ground by ground
      </a>
      <h2 className={styles.part}>{withAngleName('Declination')}</h2>
      <Outlook outlook={outlook} />
      <Button onClick={onHelp} className={styles.guide}>
        Help me choose
      </Button>
      <DeclinationFields
        draft={draft}
        wrong={wrong}
        day={read.header?.date?.day ?? outing.date?.day}
        onChange={(change) => setDraft((before) => ({ ...before, ...change }))}
        at={place.position ?? null}
      />
      <h2 className={styles.part}>Outing</h2>
      {(['name', 'date', 'start', 'by'] as const).map((name) => (
        <TextField key={name} {...field} name={name} />
      ))}
      <PlaceField place={place} onChange={setPlace} />
      <MethodField
        method={fields.method}
        onMethod={(method) => setFields((before) => ({ ...before, method }))}
      />
      {/* Enter in a field submits only where a submit button is. */}
      <button type="submit" hidden />
    </Form>
  );
}
