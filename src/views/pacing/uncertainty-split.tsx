import { contributions, splitOf } from '@/core/navigation/uncertainty-sources';
import type { Solution } from '@/core/survey/solution';
import { Section } from '@/views/shared/page/view-page';
import { WORDS } from './words';

/** One half adds more when it alone makes this many times the other's uncertainty. */
const MUCH_MORE = 1.25;

/** How much of the uncertainty at home comes from paces and how much from bearings. */
export function UncertaintySplit({ solution }: { solution: Solution }) {
  const { fromPaceMetres, fromBearingsMetres, togetherMetres } = splitOf(
    contributions(solution, solution.current, 0),
  );
  const ratio = fromPaceMetres / fromBearingsMetres;
  const improve =
    ratio > MUCH_MORE
      ? WORDS.improvePace
      : ratio < 1 / MUCH_MORE
        ? WORDS.improveBearings
        : WORDS.improveBoth;
  return (
    <Section id="sources" title={WORDS.sources}>
      <p data-testid="sources">
        {WORDS.sourcesWords(togetherMetres, fromPaceMetres, fromBearingsMetres)}
      </p>
      <p>{improve}</p>
    </Section>
  );
}
