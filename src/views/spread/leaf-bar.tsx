import { CloseOutlined } from '@ant-design/icons';
import styles from './leaf-bar.module.css';
import { WORDS } from './words';

interface Props {
  struck: number;
  showsStruck: boolean;
  onShowStruck: (show: boolean) => void;
  /** Words to find; null while nothing is sought. */
  sought: string | null;
  found: number;
  onSeek: (words: string | null) => void;
}

/** Above the leaf, only when there is something: what was struck out, on demand, and a search. */
export function LeafBar({ struck, showsStruck, onShowStruck, sought, found, onSeek }: Props) {
  if (struck === 0 && sought === null) return null;
  return (
    <div className={styles.bar}>
      {sought !== null && (
        <>
          <input
            className={styles.seek}
            aria-label={WORDS.find}
            placeholder={WORDS.find}
            value={sought}
            onChange={(event) => onSeek(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && onSeek(null)}
            autoFocus
            autoComplete="off"
          />
          <span role="status">{WORDS.found(found)}</span>
          <button
            type="button"
            className={styles.button}
            onClick={() => onSeek(null)}
            aria-label={`${WORDS.cancel}: ${WORDS.find}`}
          >
            <CloseOutlined aria-hidden="true" />
          </button>
        </>
      )}
      {struck > 0 && sought === null && (
        <button
          type="button"
          className={styles.button}
          aria-pressed={showsStruck}
          onClick={() => onShowStruck(!showsStruck)}
        >
          {WORDS.struckHidden(struck)}: {showsStruck ? WORDS.hideStruck : WORDS.showStruck}
        </button>
      )}
    </div>
  );
}
