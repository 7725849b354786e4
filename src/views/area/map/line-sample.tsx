import { dashesOf } from '@/sketch/area-scene';
import styles from '../area.module.css';

/** A piece of an outing’s line, with its number on the map. */
export const LineSample = ({ outing }: { outing: number }) => (
  <svg className={styles.sample} viewBox="0 0 64 24" width="64" height="24" aria-hidden="true">
    <path className={styles.leg} strokeDasharray={dashesOf(outing)} d="M26 12H62" />
    <circle className={styles.badge} cx="12" cy="12" r="10" />
    <text className={styles.badgeText} x="12" y="16.5" textAnchor="middle">
      {outing + 1}
    </text>
  </svg>
);
