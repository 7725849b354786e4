'use client';
import styles from './number-pad.module.css';

interface Props {
  onDigit: (digit: string) => void;
  onErase: () => void;
  onNext: () => void;
  next: string;
}

/** Large keys for cold hands: no field to hit, no keyboard over half the screen. */
export function NumberPad({ onDigit, onErase, onNext, next }: Props) {
  return (
    <div className={styles.pad} role="group" aria-label="Number pad">
      {['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((digit) => (
        <button key={digit} type="button" className={styles.key} onClick={() => onDigit(digit)}>
          {digit}
        </button>
      ))}
      <button type="button" className={styles.key} onClick={onErase} aria-label="Erase">
        ⌫
      </button>
      <button type="button" className={styles.key} onClick={() => onDigit('0')}>
        0
      </button>
      <button type="button" className={`${styles.key} ${styles.next}`} onClick={onNext}>
        {next}
      </button>
    </div>
  );
}
