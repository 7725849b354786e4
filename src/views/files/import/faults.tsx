import { faultMessage } from '@/core/faults/messages';
import type { FileFault } from '@/formats/format';
import styles from '../files.module.css';
import { WORDS } from '../words';

const MOST_SHOWN = 8;

function whereWords({ line, column, path }: FileFault): string {
  const parts = [path, line && `line ${line}`, column && `column ${column}`].filter(Boolean);
  return parts.length > 0 ? `${parts.join(', ')}: ` : '';
}

interface Props {
  name: string;
  faults: readonly FileFault[];
  /** True for a table: it waits for a choice above, and is no failure yet. */
  waits: boolean;
}

/** Why a file can't be read, and where. */
export function Faults({ name, faults, waits }: Props) {
  return (
    <div role={waits ? 'status' : 'alert'}>
      <p className={waits ? undefined : styles.warning}>
        {waits ? WORDS.waits(name) : WORDS.cantRead(name)}
      </p>
      <ul className={styles.faults}>
        {faults.slice(0, MOST_SHOWN).map((fault, index) => (
          <li key={index}>
            {whereWords(fault)}
            {faultMessage(fault.fault)}
          </li>
        ))}
        {faults.length > MOST_SHOWN && <li>{WORDS.moreFaults(faults.length - MOST_SHOWN)}</li>}
      </ul>
    </div>
  );
}
