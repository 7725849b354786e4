import { wayHome } from '@/core/navigation/ways/way';
import { chordMetres } from '@/core/north/uncorrected';
import type { Solution } from '@/core/survey/solution';
import { angleText } from '@/core/units/angle';
import { Section } from '@/views/shared/page/view-page';
import styles from './declination.module.css';
import { lengthText, longUnit } from '@/ui/units/shown';
import { WORDS } from './words';

/** What ignoring the declination costs: per kilometre, and on this outing. */
export function Cost({ solution }: { solution: Solution }) {
  const { norths } = solution.places.frame;
  const angle = norths.statedEast ?? norths.field?.eastDegrees ?? null;
  if (angle === null) {
    return (
      <Section id="cost" title={WORDS.cost}>
        <p className={styles.soft}>{WORDS.costUnknown}</p>
      </Section>
    );
  }
  const off = chordMetres(angle, wayHome(solution).distanceMetres);
  const { name, metres } = longUnit();
  return (
    <Section id="cost" title={WORDS.cost}>
      <div data-testid="cost" className={styles.lines}>
        <p>{WORDS.costPerLength(angleText(angle), lengthText(chordMetres(angle, metres)), name)}</p>
        {solution.legs.count > 0 && (
          <>
            <p>{WORDS.costHome(off)}</p>
            <p>{WORDS.costMap(off)}</p>
          </>
        )}
      </div>
    </Section>
  );
}
