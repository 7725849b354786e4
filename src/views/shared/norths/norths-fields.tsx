'use client';
import { Form, Input, Radio, Select } from 'antd';
import { CORRECTIONS, type Correction } from '@/core/logbook';
import { NORTHS, type North } from '@/core/north';
import { compassNorth, type DraftField, type NorthsDraft } from './draft';
import styles from './norths-fields.module.css';
import { CORRECTION_WORDS, NORTH_WORDS } from './words';

interface Props {
  draft: NorthsDraft;
  wrong: Partial<Record<DraftField, string>>;
  onChange: (change: Partial<NorthsDraft>) => void;
}

const northOptions = NORTHS.map((value) => ({ value, label: NORTH_WORDS[value] }));

const SOURCES: { value: NorthsDraft['source']; label: string }[] = [
  { value: 'model', label: 'From the start’s position and date (World Magnetic Model)' },
  { value: 'margin', label: 'From the map’s margin, with its date' },
  { value: 'typed', label: 'Typed in' },
  { value: 'none', label: 'Not known' },
];

const GRIDS: { value: NorthsDraft['grid']; label: string }[] = [
  { value: 'same', label: 'None: the map’s lines point true north' },
  { value: 'model', label: 'UTM grid, at the start’s position' },
  { value: 'typed', label: 'Typed in, from the map’s margin' },
  { value: 'projection', label: 'Another projection' },
];

/** Everything about the norths of an outing, each part open to change. */
export function NorthsFields({ draft, wrong, onChange }: Props) {
  const text = (key: DraftField, label: string, hint: string) => (
    <Form.Item
      label={label}
      htmlFor={`norths-${key}`}
      validateStatus={wrong[key] ? 'error' : undefined}
      help={wrong[key] ?? hint}
    >
      <Input
        id={`norths-${key}`}
        value={draft[key]}
        onChange={(event) => onChange({ [key]: event.target.value })}
        autoComplete="off"
      />
    </Form.Item>
  );
  const choose = (correction: Correction) => {
    const map = draft.read === 'magnetic' ? 'true' : draft.read;
    const north = compassNorth(correction, map);
    onChange({ correction, read: north, show: north });
  };
  const needsAngle = draft.correction !== 'none';
  const needsGrid =
    needsAngle && draft.correction !== 'left-out' && draft.correction !== 'magnetic-map';
  return (
    <>
      <Form.Item label="How the needle’s angle is dealt with">
        <Radio.Group
          value={draft.correction}
          onChange={(event) => choose(event.target.value as Correction)}
          className={styles.choices}
          vertical
          options={CORRECTIONS.map((value) => ({
            value,
            label: (
              <span className={styles.choice}>
                {CORRECTION_WORDS[value].name}
                {value === draft.correction && <small>{CORRECTION_WORDS[value].does}</small>}
              </span>
            ),
          }))}
        />
      </Form.Item>
      {needsAngle && <AngleFields draft={draft} onChange={onChange} text={text} />}
      {needsGrid && (
        <>
          <Form.Item label="Grid of the map against true north (convergence)" htmlFor="norths-grid">
            <Select
              id="norths-grid"
              options={GRIDS}
              value={draft.grid}
              onChange={(grid) => onChange({ grid })}
            />
          </Form.Item>
          {draft.grid === 'typed' && text('gridAngle', 'Convergence', 'With its letter: 1.2 E')}
          {draft.grid === 'projection' &&
            text(
              'projection',
              'Projection',
              'As a proj definition: +proj=tmerc +lon_0=-63 +k=0.9996',
            )}
        </>
      )}
      <Form.Item label="From now on you read bearings" htmlFor="norths-read">
        <Select
          id="norths-read"
          options={northOptions}
          value={draft.read}
          onChange={(read: North) => onChange({ read })}
        />
      </Form.Item>
      <Form.Item label="The way home is given" htmlFor="norths-show">
        <Select
          id="norths-show"
          options={northOptions}
          value={draft.show}
          onChange={(show: North) => onChange({ show })}
        />
      </Form.Item>
    </>
  );
}

/** Where the declination comes from, and its figures. */
function AngleFields({
  draft,
  onChange,
  text,
}: Pick<Props, 'draft' | 'onChange'> & {
  text: (key: DraftField, label: string, hint: string) => React.ReactNode;
}) {
  return (
    <>
      <Form.Item label="Angle between needle and true north (declination)">
        <Radio.Group
          value={draft.source}
          onChange={(event) => onChange({ source: event.target.value as NorthsDraft['source'] })}
          vertical
          options={SOURCES}
        />
      </Form.Item>
      {draft.source === 'typed' && text('angle', 'Angle', 'With its letter: 19.1 W or 2°18’ E')}
      {draft.source === 'margin' && (
        <>
          {text('angle', 'Angle on the map', 'With its letter: 19.1 W or 2°18’ E')}
          {text('marginDate', 'Year or month of the map’s angle', '2009 or 2009-07')}
          {text('marginChange', 'Change a year', 'With its letter: 9’ E')}
        </>
      )}
    </>
  );
}
