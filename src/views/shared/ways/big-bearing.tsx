import { bearingFigure, bearingSign } from '@/ui/units/shown';
import type { Degrees } from '@/core/units/units';
import styles from './home-answer.module.css';

/** A bearing to read at arm's length: its unit is small, the figure says enough. */
export const BigBearing = ({ degrees }: { degrees: Degrees }) => (
  <>
    {bearingFigure(degrees)}
    {bearingSign() && <small className={styles.sign}> {bearingSign()}</small>}
  </>
);
