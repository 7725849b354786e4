'use client';
import styles from './ground-chips.module.css';

interface Props {
  grounds: readonly string[];
  chosen: string | undefined;
  onChoose: (ground: string | undefined) => void;
}

/** The grounds as chips: one tap chooses, another clears. */
export function GroundChips({ grounds, chosen, onChoose }: Props) {
  return (
    <div className={styles.chips} role="group" aria-label="Ground">
      {grounds.map((ground) => (
        <button
          key={ground}
          type="button"
          className={styles.chip}
          aria-pressed={ground === chosen}
          onClick={() => onChoose(ground === chosen ? undefined : ground)}
        >
          {ground}
        </button>
      ))}
    </div>
  );
}
