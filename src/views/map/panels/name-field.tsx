import { Form, Input } from 'antd';
import { useId, useState } from 'react';
import styles from '../map.module.css';

interface Props {
  label: string;
  name: string;
  /** Resolves to why it was not written, or null. */
  onName: (name: string) => Promise<string | null>;
  id?: string;
}

/** A name as a line of a log can bear it. */
export const plainName = (text: string) => text.replace(/[\s;]+/g, ' ').trim();

/** A name that is kept when one leaves the field, or presses Enter. */
export function NameField({ label, name: before, onName, id }: Props) {
  const own = useId();
  const [name, setName] = useState(before);
  const [said, setSaid] = useState<string | null>(null);
  const keep = async () => {
    const plain = plainName(name);
    if (plain !== '' && plain !== before) setSaid(await onName(plain));
  };
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item label={label} htmlFor={id ?? own} help={said}>
        <Input
          id={id ?? own}
          value={name}
          autoComplete="off"
          onChange={(event) => setName(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={() => void keep()}
          onPressEnter={() => void keep()}
        />
      </Form.Item>
    </Form>
  );
}
