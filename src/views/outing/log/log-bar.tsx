import CloseOutlined from '@ant-design/icons-svg/es/asn/CloseOutlined';
import { WORDS } from '../words';
import { Icon } from '@/ui/controls/icon';
import styles from './log-bar.module.css';

interface Props {
  struck: number;
  showsStruck: boolean;
  onShowStruck: (show: boolean) => void;
  /** Words to find; null while nothing is searched for. */
  sought: string | null;
  found: number;
  onSeek: (words: string | null) => void;
}

/** Above the log, only when there is something: the search, and the struck lines on demand. */
export function LogBar({ struck, showsStruck, onShowStruck, sought, found, onSeek }: Props) {
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
            title={WORDS.cancel}
            aria-label={`${WORDS.cancel}: ${WORDS.find}`}
          >
            <Icon of={CloseOutlined} />
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
