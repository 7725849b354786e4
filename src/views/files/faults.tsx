import { Button } from 'antd';
import { faultWords } from '@/core/fault-words';
import type { FileFault } from '@/formats/format';
import styles from './files.module.css';
import { WORDS } from './words';

const MOST_SHOWN = 8;

function whereWords({ line, column, path }: FileFault): string {
  const parts = [path, line && `line ${line}`, column && `column ${column}`].filter(Boolean);
  return parts.length > 0 ? `${parts.join(', ')}: ` : '';
}

/** Why a file can't be read, and where. */
export function Faults({
  name,
  faults,
  onLeave,
}: {
  name: string;
  faults: readonly FileFault[];
  onLeave: () => void;
}) {
  return (
    <div role="alert">
      <p className={styles.warning}>{WORDS.cantRead(name)}</p>
      <ul className={styles.faults}>
        {faults.slice(0, MOST_SHOWN).map((fault, index) => (
          <li key={index}>
            {whereWords(fault)}
            {faultWords(fault.fault)}
          </li>
        ))}
        {faults.length > MOST_SHOWN && <li>and {faults.length - MOST_SHOWN} more</li>}
      </ul>
      <Button onClick={onLeave}>{WORDS.leave}</Button>
    </div>
  );
}
