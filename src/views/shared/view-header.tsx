import { CairnMark } from '@/ui/cairn-mark';
import styles from './view-header.module.css';

interface Props {
  title: string;
  /** What it is about, in small: the outing's name. */
  about?: string;
  back: { href: string; words: string };
}

/** The head of a view that belongs to an outing or to the shelf, with the way back to it. */
export function ViewHeader({ title, about, back }: Props) {
  return (
    <header className={styles.header}>
      {/* Whole page loads: they work from the offline cache like any other. */}
      <a href="/" className={styles.mark} aria-label="Cairn Back, to the shelf of outings">
        <CairnMark />
      </a>
      <h1 className={styles.title}>{title}</h1>
      {about && <span className={styles.about}>{about}</span>}
      <a href={back.href} className={styles.back}>
        {back.words}
      </a>
    </header>
  );
}
