import { Input } from 'antd';
import { useState } from 'react';
import type { LearnedSigma } from '@/core/learning/learn';
import {
  DEFAULT_ERRORS,
  SIGMA_IDS,
  unitOfSigma,
  type SigmaId,
  type SigmaReading,
} from '@/core/model/error-settings';
import { readingOf, readingValue, type OwnErrors } from '@/store/own-errors';
import styles from './errors.module.css';
import { SIGMA_WORDS, WORDS } from './words';

interface Props {
  own: OwnErrors;
  /** What the record gives, with where each figure lies; empty while it is read. */
  learned: readonly LearnedSigma[];
  onOwn: (of: SigmaId, reading: SigmaReading | null) => void;
  /** What the outing says; null without an outing. */
  outing: readonly SigmaReading[] | null;
  onOuting: (of: SigmaId, reading: SigmaReading | null) => void;
}

/** Every sigma with its usual value, what was learned, and what is set, for the person and here. */
export function SigmaTable(props: Props) {
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">{WORDS.error}</th>
          <th scope="col">{WORDS.usual}</th>
          <th scope="col">{WORDS.learned}</th>
          <th scope="col">{WORDS.own}</th>
          {props.outing && <th scope="col">{WORDS.outing}</th>}
          <th scope="col">{WORDS.from}</th>
        </tr>
      </thead>
      <tbody>
        {SIGMA_IDS.map((of) => (
          <SigmaRow key={of} of={of} {...props} />
        ))}
      </tbody>
    </table>
  );
}

/** Where the figure comes from that counts: on an outing what it says, else for a new outing. */
function figuresOf(of: SigmaId, { own, outing }: Props) {
  const find = (some: readonly SigmaReading[]) => some.find((each) => each.of === of)?.value;
  const usual = readingValue(DEFAULT_ERRORS, of);
  const learned = own.learns ? find(own.learned) : undefined;
  const [set, here] = [find(own.set), outing ? find(outing) : undefined];
  const figures = { usual, learned, set, here };
  if (outing)
    return {
      ...figures,
      used: here ?? usual,
      from: here === undefined ? 'usual' : 'outing',
    } as const;
  if (set !== undefined) return { ...figures, used: set, from: 'own' } as const;
  return {
    ...figures,
    used: learned ?? usual,
    from: learned === undefined ? 'usual' : 'learned',
  } as const;
}

/** Where a learned figure lies with 95 %, as a person writes it. */
function bandOf(of: SigmaId, learned: readonly LearnedSigma[]): [number, number] | null {
  const found = learned.find(({ id }) => id === of);
  if (!found) return null;
  const { id, least, most } = found;
  return [readingOf({ id, sigma: least }).value, readingOf({ id, sigma: most }).value];
}

function SigmaRow({ of, ...props }: Props & { of: SigmaId }) {
  const { onOwn, outing, onOuting } = props;
  const unit = unitOfSigma(of);
  const mark = WORDS.unit[unit];
  const { usual, learned, set, here, used, from } = figuresOf(of, props);
  const text = (value: number | undefined) => (value === undefined ? '—' : `${value}${mark}`);
  const band = learned === undefined ? null : bandOf(of, props.learned);
  const reading = (value: number | null): SigmaReading | null =>
    value === null ? null : { of, unit, value };
  return (
    <tr data-sigma={of}>
      <th scope="row">{SIGMA_WORDS[of]}</th>
      <td data-label={WORDS.usual}>{text(usual)}</td>
      <td data-label={WORDS.learned}>
        {text(learned)}
        {band && <span className={styles.soft}> {WORDS.lies(band)}</span>}
      </td>
      <td data-label={WORDS.own}>
        <SigmaField
          label={WORDS.forYou(SIGMA_WORDS[of])}
          unit={mark}
          value={set}
          onChange={(value) => onOwn(of, reading(value))}
        />
      </td>
      {outing && (
        <td data-label={WORDS.outing}>
          <SigmaField
            label={WORDS.forOuting(SIGMA_WORDS[of])}
            unit={mark}
            value={here}
            onChange={(value) => onOuting(of, reading(value))}
          />
        </td>
      )}
      <td data-label={WORDS.from}>
        {text(used)}
        <span className={styles.soft}> {WORDS.sources[from]}</span>
      </td>
    </tr>
  );
}

interface FieldProps {
  label: string;
  unit: string;
  value: number | undefined;
  onChange: (value: number | null) => void;
}

/** A sigma that counts once the field is left; empty takes it back. */
function SigmaField({ label, unit, value, onChange }: FieldProps) {
  const [text, setText] = useState<string | null>(null);
  const shown = text ?? (value === undefined ? '' : String(value));
  const number = shown.trim() === '' ? null : Number(shown.replace(',', '.'));
  const good = number === null || (number >= 0 && number <= 100);
  const done = () => {
    if (text !== null && good && number !== (value ?? null)) onChange(number);
    if (good) setText(null);
  };
  return (
    <Input
      aria-label={label}
      value={shown}
      suffix={unit.trim()}
      inputMode="decimal"
      autoComplete="off"
      status={good ? undefined : 'error'}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onPressEnter={done}
    />
  );
}
