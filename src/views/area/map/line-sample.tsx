import styles from '../area.module.css';

/** How the line of each outing is broken, so that none needs a colour to be told apart. */
const PATTERNS = ['none', '14 6', '3 6', '16 5 3 5', '8 4', '22 4 3 4 3 4'] as const;

/** The dashes of an outing’s line; after six outings they begin again, with their number. */
export const patternOf = (outing: number): string => PATTERNS[outing % PATTERNS.length]!;

/** A piece of an outing’s line, with its number on the map. */
export const LineSample = ({ outing }: { outing: number }) => (
  <svg className={styles.sample} viewBox="0 0 64 24" width="64" height="24" aria-hidden="true">
    <path className={styles.leg} strokeDasharray={patternOf(outing)} d="M26 12H62" />
    <circle className={styles.badge} cx="12" cy="12" r="10" />
    <text className={styles.badgeText} x="12" y="16.5" textAnchor="middle">
      {outing + 1}
    </text>
  </svg>
);
