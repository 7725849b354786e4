import { Form, Input } from 'antd';
import type { Fault } from '@/core/faults/fault';
import { faultMessage } from '@/core/faults/messages';
import type { Result } from '@/core/units/result';
import styles from './fix.module.css';

interface FieldProps {
  id: string;
  label: string;
  hint: string;
  value: string;
  read: Result<unknown, Fault> | null;
  onChange: (text: string) => void;
  /** What Enter does. */
  onEnter?: () => void;
}

/** A reading as it is typed, and why it can't be read. */
export const ReadingField = ({ id, label, hint, value, read, onChange, onEnter }: FieldProps) => (
  <Form.Item
    label={label}
    htmlFor={id}
    validateStatus={read?.ok === false ? 'error' : undefined}
    help={read?.ok === false ? faultMessage(read.fault) : hint}
  >
    <Input
      id={id}
      className={styles.figureField}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      onPressEnter={onEnter}
      autoComplete="off"
    />
  </Form.Item>
);
