'use client';
import { Form, Input } from 'antd';
import { useState } from 'react';

interface Props {
  id: string;
  label: string;
  value: number | null;
  least: number;
  most: number;
  help?: string;
  onChange: (value: number) => void;
  /** Where it may be left empty: called when it is. */
  onEmpty?: () => void;
}

/** A number that counts as soon as it is in its range; what is wrong is reported below it. */
export function NumberField({ id, label, value, least, most, help, onChange, onEmpty }: Props) {
  const [text, setText] = useState(value === null ? '' : String(value));
  const number = /^\s*\d+(\.\d+)?\s*$/.test(text) ? Number(text) : NaN;
  // A field that was never filled in isn't wrong yet.
  const untouched = (value === null || onEmpty !== undefined) && text.trim() === '';
  const good = untouched || (number >= least && number <= most);
  return (
    <Form.Item
      label={label}
      htmlFor={id}
      layout="vertical"
      validateStatus={good ? undefined : 'error'}
      help={good ? help : `A number from ${least} to ${most}`}
    >
      <Input
        id={id}
        value={text}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => {
          setText(event.target.value);
          const next = Number(event.target.value);
          if (event.target.value.trim() === '') onEmpty?.();
          else if (next >= least && next <= most) onChange(next);
        }}
      />
    </Form.Item>
  );
}
