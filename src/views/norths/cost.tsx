import { angleWords } from '@/core/angle';
import { way } from '@/core/home';
import { chordMetres } from '@/core/leaving-out';
import type { Solution } from '@/core/solve';
import styles from './norths.module.css';
import { WORDS } from './words';

/** What it costs to leave the angle out: per kilometre, and on this outing. */
export function Cost({ solution }: { solution: Solution }) {
  const { norths } = solution;
  const angle = norths.statedEast ?? norths.field?.eastDegrees ?? null;
  const home = way(solution, solution.current, 0).distanceMetres;
  const off = angle === null ? 0 : Math.round(chordMetres(angle, home));
  return (
    <section className={styles.part} aria-labelledby="cost">
      <h2 id="cost">{WORDS.cost}</h2>
      {angle === null ? (
        <p className={styles.soft}>{WORDS.costUnknown}</p>
      ) : (
        <div data-testid="cost" className={styles.lines}>
          <p>{WORDS.costPerKilometre(angleWords(angle), Math.round(chordMetres(angle, 1000)))}</p>
          {solution.traverse.legs > 0 && (
            <>
              <p>{WORDS.costHome(off)}</p>
              <p>{WORDS.costMap(off)}</p>
            </>
          )}
        </div>
      )}
    </section>
  );
}
