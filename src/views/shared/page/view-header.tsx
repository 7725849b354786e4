import { withAngleName } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { CairnMark } from '@/ui/cairn-mark';
import { viewTitle, viewUrl } from '@/views/views';
import styles from './view-header.module.css';

export interface Back {
  readonly href: string;
  readonly words: string;
  /** The outing that the view is about: its way home is one tap away. */
  readonly outing?: string;
}

interface Props {
  title: string;
  /** What it is about, in small: the outing's name. */
  about?: string;
  back: Back;
}

/** The head of a view, with the way back to where it belongs. */
export function ViewHeader({ title, about, back }: Props) {
  return (
    <header className={styles.header}>
      {/* Whole page loads: they work from the offline cache like any other. */}
      <a href="/" className={styles.mark} aria-label="Cairn Back: all outings" title="All outings">
        <CairnMark />
      </a>
      <h1 className={styles.title}>{withAngleName(title)}</h1>
      {about && <span className={styles.about}>{visibleText(about)}</span>}
      {back.outing !== undefined && (
        <a href={viewUrl('home-now', back.outing)} className={styles.home}>
          {viewTitle('home-now')}
        </a>
      )}
      <a href={back.href} className={styles.back}>
        {back.words}
      </a>
    </header>
  );
}
