'use client';
import { Form, Input, Radio, Select } from 'antd';
import type { ReactNode } from 'react';
import { CORRECTIONS, type Correction } from '@/core/model/header';
import { gridsAt, NATIONAL_GRIDS, type NationalGrid } from '@/core/place/national-grids';
import type { Position } from '@/core/readings/position';
import { NORTHS, type North } from '@/core/units/bearing';
import { withAngleName } from '@/ui/units/shown';
import styles from './declination-fields.module.css';
import { northOfMethod } from '@/core/north/outing-norths';
import { marginSum, type DeclinationDraft, type DraftField } from './draft';
import { CORRECTION_WORDS, NORTH_NAMES, OF_NORTH } from './words';

type TextField = (key: DraftField, label: string, hint: string) => ReactNode;

interface Props {
  draft: DeclinationDraft;
  wrong: Partial<Record<DraftField, string>>;
  /** The outing's day, for the sum of a margin. */
  day: string | undefined;
  onChange: (change: Partial<DeclinationDraft>) => void;
  /** Where the outing starts, for the grids of its maps; null where that is not known. */
  at: Position | null;
}

const NORTH_OPTIONS = NORTHS.map((value) => ({ value, label: NORTH_NAMES[value] }));

const SOURCES: { value: DeclinationDraft['source']; label: string }[] = [
  { value: 'model', label: 'World Magnetic Model, from the start’s position and date' },
  { value: 'margin', label: 'Map margin, with its date' },
  { value: 'typed', label: 'Typed in' },
  { value: 'none', label: 'Not known' },
];

/** The grids that a map may have: the ones of the place first. */
function gridOptions(at: Position | null): { value: string; label: string }[] {
  const here = at ? gridsAt(at) : [];
  const others = NATIONAL_GRIDS.filter((grid) => !here.includes(grid));
  const option = ({ id, name }: NationalGrid) => ({ value: id, label: name });
  return [
    { value: 'same', label: 'None: the map’s lines point true north' },
    { value: 'model', label: 'UTM grid, at the start’s position' },
    ...here.map(option),
    { value: 'typed', label: 'Typed in, from the map margin' },
    { value: 'projection', label: 'Another projection' },
    ...others.map(option),
  ];
}

const METHODS = (chosen: Correction) =>
  CORRECTIONS.map((value) => ({
    value,
    label: (
      <span className={styles.choice}>
        {withAngleName(CORRECTION_WORDS[value].name)}
        {value === chosen && <small>{withAngleName(CORRECTION_WORDS[value].does)}</small>}
      </span>
    ),
  }));

/** Everything about the declination of an outing, each part open to change. */
export function DeclinationFields({ draft, wrong, day, onChange, at }: Props) {
  const text: TextField = (key, label, hint) => (
    <Form.Item
      label={label}
      htmlFor={`declination-${key}`}
      validateStatus={wrong[key] ? 'error' : undefined}
      help={wrong[key] ?? hint}
    >
      <Input
        id={`declination-${key}`}
        value={draft[key]}
        onChange={(event) => onChange({ [key]: event.target.value })}
        autoComplete="off"
      />
    </Form.Item>
  );
  const choose = (correction: Correction) => {
    const map = draft.read === 'magnetic' ? 'true' : draft.read;
    const north = northOfMethod(correction, map);
    onChange({ correction, read: north, show: north });
  };
  const needsAngle = draft.correction !== 'none';
  const needsGrid =
    needsAngle && draft.correction !== 'left-out' && draft.correction !== 'magnetic-map';
  return (
    <>
      <Form.Item label={withAngleName('Declination method')}>
        <Radio.Group
          value={draft.correction}
          onChange={(event) => choose(event.target.value as Correction)}
          className={styles.choices}
          vertical
          options={METHODS(draft.correction)}
        />
      </Form.Item>
      {needsAngle && <AngleFields draft={draft} day={day} onChange={onChange} text={text} />}
      {needsGrid && <GridFields draft={draft} onChange={onChange} text={text} at={at} />}
      <NorthSelect
        id="declination-read"
        label="From now on I read bearings from"
        value={draft.read}
        onChange={(read) => onChange({ read })}
      />
      <NorthSelect
        id="declination-show"
        label="Give the way home from"
        value={draft.show}
        onChange={(show) => onChange({ show })}
      />
    </>
  );
}

interface NorthSelectProps {
  id: string;
  label: string;
  value: North;
  onChange: (north: North) => void;
}

const NorthSelect = ({ id, label, value, onChange }: NorthSelectProps) => (
  <Form.Item label={label} htmlFor={id}>
    <Select id={id} options={NORTH_OPTIONS} value={value} onChange={onChange} />
  </Form.Item>
);

type PartProps = Pick<Props, 'draft' | 'onChange'> & { text: TextField };

/** Where the declination comes from, and its figures. */
function AngleFields({ draft, day, onChange, text }: PartProps & Pick<Props, 'day'>) {
  return (
    <>
      <Form.Item label={withAngleName('Declination')}>
        <Radio.Group
          value={draft.source}
          onChange={(event) =>
            onChange({ source: event.target.value as DeclinationDraft['source'] })
          }
          vertical
          options={SOURCES}
        />
      </Form.Item>
      {draft.source === 'typed' &&
        text('angle', withAngleName('Declination, with its letter'), '19.1 W or 2°18’ E')}
      {draft.source === 'margin' &&
        text(
          'margin',
          'As the map’s margin prints it',
          marginSum(draft, day) ?? '2°18’ W, July 2009, 9’ E a year',
        )}
      {(draft.source === 'typed' || draft.source === 'margin') && (
        <Form.Item label={OF_NORTH.label}>
          <Radio.Group
            value={draft.ofGrid ? 'grid' : 'true'}
            onChange={(event) => onChange({ ofGrid: event.target.value === 'grid' })}
            vertical
            options={OF_NORTH.options}
          />
        </Form.Item>
      )}
    </>
  );
}

/** The grid convergence of the map. */
function GridFields({ draft, onChange, text, at }: PartProps & Pick<Props, 'at'>) {
  return (
    <>
      <Form.Item label="Grid convergence" htmlFor="declination-grid">
        <Select
          id="declination-grid"
          options={gridOptions(at)}
          value={draft.grid}
          onChange={(grid: string) => onChange({ grid })}
          showSearch={{ optionFilterProp: 'label' }}
        />
      </Form.Item>
      {draft.grid === 'typed' && text('gridAngle', 'Grid convergence', '1.2 E')}
      {draft.grid === 'projection' &&
        text('projection', 'Projection', '+proj=tmerc +lon_0=-63 +k=0.9996')}
    </>
  );
}
