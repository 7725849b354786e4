import { visibleText } from '@/core/units/visible';
import type { AreaState } from '@/store/documents/areas';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import styles from './outings.module.css';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** The areas, and how to make one: there have to be outings to join. */
export function Areas({ areas, outings }: { areas: readonly AreaState[]; outings: number }) {
  if (areas.length === 0 && outings < 2) return null;
  return (
    <section className={styles.areas} aria-labelledby="areas">
      <h2 id="areas">{WORDS.areas}</h2>
      {areas.length > 0 && (
        <ul className={styles.list}>
          {areas.map(({ document: area }) => (
            <li key={area.id} className={styles.row}>
              <a className={styles.outing} href={viewUrl('area', area.id)}>
                <span className={styles.words}>
                  <span className={styles.name}>{visibleText(area.name) || WORDS.untitled}</span>
                  <span className={layout.soft}>{WORDS.areaOf(area.outings.length)}</span>
                </span>
              </a>
            </li>
          ))}
        </ul>
      )}
      {outings > 1 && <PressButton href={viewUrl('area')}>{WORDS.newArea}</PressButton>}
    </section>
  );
}
