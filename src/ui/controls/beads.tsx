import styles from './beads.module.css';

const BEADS = 10;
const METRES_A_BEAD = 10;

/** Beads on a cord: one for every ten metres of the current hundred, a knot for each full one. */
export function Beads({ metres }: { metres: number }) {
  const hundreds = Math.floor(metres / (BEADS * METRES_A_BEAD));
  const slid = Math.floor((metres % (BEADS * METRES_A_BEAD)) / METRES_A_BEAD);
  return (
    <div className={styles.beads} aria-hidden="true">
      <span className={styles.knots}>
        {hundreds > 5 ? `${hundreds} × 100 m` : '● '.repeat(hundreds)}
      </span>
      <span className={styles.cord}>
        {Array.from({ length: BEADS }, (_, index) => (
          <span
            key={index}
            className={index < slid ? `${styles.bead} ${styles.slid}` : styles.bead}
          />
        ))}
      </span>
    </div>
  );
}
