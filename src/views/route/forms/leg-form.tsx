import { AutoComplete, Form, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readLegText } from '@/core/log-text/route/route-text';
import { SIDES, type PlannedLeg, type RouteSide, type Tick } from '@/core/model/route';
import { NO_NORTH, writeBearing } from '@/core/readings/bearing';
import { GROUNDS } from '@/core/readings/ground';
import { plainDecimal } from '@/core/units/units';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../route.module.css';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

interface Props {
  leg: PlannedLeg;
  grounds: readonly string[];
  onSave: (leg: PlannedLeg) => void;
}

const tickText = ({ metres, side, what }: Tick) =>
  [`${plainDecimal(metres)}m`, side, what].filter(Boolean).join(' ');

const fieldsOf = ({
  ground,
  upMetres,
  downMetres,
  handrail,
  catching,
  aimOff,
  ...leg
}: PlannedLeg) => ({
  ground: ground ?? '',
  up: upMetres ?? null,
  down: downMetres ?? null,
  handrail: handrail ?? '',
  catching: catching?.what ?? '',
  beyond: catching?.beyondMetres ?? null,
  side: aimOff?.side ?? null,
  line: aimOff ? writeBearing(aimOff.line, NO_NORTH) : '',
  onto: aimOff?.what ?? '',
  ticks: (leg.ticks ?? []).map(tickText).join('\n'),
  dangers: (leg.dangers ?? []).join('\n'),
});
type Fields = ReturnType<typeof fieldsOf>;

const rows = (keyword: string, text: string) =>
  text
    .split('\n')
    .filter((row) => row.trim() !== '')
    .map((row) => `${keyword} ${row.trim()}`);

/** The fields as lines of the route's text: one reader for what is typed here and there. */
const linesOf = (fields: Fields): string[] => {
  const { ground, up, down, handrail, catching, beyond, side, line, onto } = fields;
  return [
    ...rows('ground', ground),
    ...(up === null && down === null
      ? []
      : [`climb ${up ?? 0}m${down === null ? '' : ` down ${down}m`}`]),
    ...rows('handrail', handrail),
    ...(catching.trim() === '' && beyond === null
      ? []
      : [`catch ${beyond === null ? '' : `${beyond}m`} ${catching.trim()}`]),
    ...(side === null ? [] : [`aim ${side} ${line.trim()} ${onto.trim()}`]),
    ...rows('tick', fields.ticks),
    ...rows('danger', fields.dangers),
  ];
};

type Set = (change: Partial<Fields>) => void;

interface FieldProps {
  fields: Fields;
  set: Set;
  save: () => void;
}

/** One line of text. */
function Text({
  fields,
  set,
  save,
  field,
  label,
}: FieldProps & { field: 'handrail' | 'catching' | 'line' | 'onto'; label: string }) {
  return (
    <Form.Item label={label} htmlFor={`leg-${field}`}>
      <Input
        id={`leg-${field}`}
        value={fields[field]}
        autoComplete="off"
        onChange={(event) => set({ [field]: event.target.value })}
        onPressEnter={save}
      />
    </Form.Item>
  );
}

/** Several lines of text. */
const Rows = ({
  fields,
  set,
  field,
  label,
  hint,
}: FieldProps & { field: 'ticks' | 'dangers'; label: string; hint?: string }) => (
  <Form.Item label={label} htmlFor={`leg-${field}`}>
    <Input.TextArea
      id={`leg-${field}`}
      autoSize={{ minRows: 2, maxRows: 10 }}
      value={fields[field]}
      placeholder={hint}
      onChange={(event) => set({ [field]: event.target.value })}
    />
  </Form.Item>
);

const MetresField = ({
  fields,
  set,
  save,
  field,
  label,
}: FieldProps & { field: 'up' | 'down' | 'beyond'; label: string }) => (
  <Form.Item label={label} htmlFor={`leg-${field}`}>
    <InputNumber
      id={`leg-${field}`}
      min={0}
      value={fields[field]}
      inputMode="decimal"
      onChange={(value) => set({ [field]: value })}
      onPressEnter={save}
    />
  </Form.Item>
);

/** Aiming off: to which side, and onto which line. */
const AimFields = (props: FieldProps) => (
  <>
    <div className={styles.pair}>
      <Form.Item label={WORDS.aimSide} htmlFor="leg-side">
        <Select
          id="leg-side"
          aria-label={WORDS.aimSide}
          value={props.fields.side}
          options={[
            { value: null, label: WORDS.noAim },
            ...SIDES.map((value) => ({ value, label: WORDS.sides[value] })),
          ]}
          onChange={(side: RouteSide | null) => props.set({ side })}
        />
      </Form.Item>
      {props.fields.side && <Text {...props} field="line" label={WORDS.aimLine} />}
    </div>
    {props.fields.side && <Text {...props} field="onto" label={WORDS.aimWhat} />}
  </>
);

/** What is planned for one leg. */
export function LegForm({ leg, grounds, onSave }: Props) {
  const [fields, setFields] = useState(() => fieldsOf(leg));
  const [fault, setFault] = useState<string | null>(null);
  const set: Set = (change) => setFields((before) => ({ ...before, ...change }));
  const save = () => {
    const read = readLegText(linesOf(fields).join('\n'));
    if (!read.ok) return setFault(faultMessage(nth(read.fault, 0).fault));
    setFault(null);
    onSave({ ...read.value, expect: leg.expect });
  };
  const own = { fields, set, save };
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item label={WORDS.groundField} htmlFor="leg-ground">
        <AutoComplete
          id="leg-ground"
          value={fields.ground}
          options={[...new Set([...grounds, ...GROUNDS])].map((value) => ({ value }))}
          onChange={(ground: string) => set({ ground })}
        />
      </Form.Item>
      <div className={styles.pair}>
        <MetresField {...own} field="up" label={WORDS.upField} />
        <MetresField {...own} field="down" label={WORDS.downField} />
      </div>
      <Text {...own} field="handrail" label={WORDS.handrailField} />
      <Rows {...own} field="ticks" label={WORDS.ticksField} hint={WORDS.ticksHelp} />
      <div className={styles.pair}>
        <Text {...own} field="catching" label={WORDS.catchingField} />
        <MetresField {...own} field="beyond" label={WORDS.beyondField} />
      </div>
      <AimFields {...own} />
      <Rows {...own} field="dangers" label={WORDS.dangersField} />
      {fault && (
        <p className={styles.warning} role="alert">
          {fault}
        </p>
      )}
      <PressButton look="primary" large onClick={save}>
        {WORDS.save}
      </PressButton>
    </Form>
  );
}
