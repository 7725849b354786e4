import { doubtShares } from '@/core/doubt-shares';
import type { Solution } from '@/core/solve';
import styles from './paces.module.css';
import { WORDS } from './words';

/** One half is called the weaker one when it alone makes this many times the other's doubt. */
const MUCH_WEAKER = 1.25;

/** How much of the doubt at home comes from paces and how much from bearings, so that one knows what to improve. */
export function Doubt({ solution }: { solution: Solution }) {
  const { fromPaceMetres, fromBearingsMetres, togetherMetres } = doubtShares(
    solution,
    solution.current,
    0,
  );
  const ratio = fromPaceMetres / fromBearingsMetres;
  const improve =
    ratio > MUCH_WEAKER
      ? WORDS.improvePace
      : ratio < 1 / MUCH_WEAKER
        ? WORDS.improveBearings
        : WORDS.improveBoth;
  return (
    <section className={styles.part} aria-labelledby="doubt">
      <h2 id="doubt">{WORDS.cost}</h2>
      <p data-testid="doubt">
        {WORDS.costWords(
          Math.round(togetherMetres),
          Math.round(fromPaceMetres),
          Math.round(fromBearingsMetres),
        )}
      </p>
      <p>{improve}</p>
    </section>
  );
}
