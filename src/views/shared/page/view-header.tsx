import type { ReactNode } from 'react';
import { withAngleName } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import styles from './view-header.module.css';

export interface Back {
  readonly href: string;
  readonly words: string;
}

interface Props {
  title: string;
  /** What it is about, in small: the outing's name. */
  about?: string;
  back: Back;
  /** What is done with the document in view. */
  children?: ReactNode;
}

/** The head of a view, with the way back to where it belongs. */
export function ViewHeader({ title, about, back, children }: Props) {
  return (
    <header className={styles.header}>
      <h1 className={styles.title}>{withAngleName(title)}</h1>
      {about && <span className={styles.about}>{visibleText(about)}</span>}
      {children}
      <a href={back.href} className={styles.back}>
        {back.words}
      </a>
    </header>
  );
}
