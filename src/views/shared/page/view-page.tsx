import type { ReactNode } from 'react';
import type { Outing } from '@/core/model/outing';
import { viewTitle, viewUrl, type ViewId } from '@/views/views';
import styles from './layout.module.css';
import { ViewHeader, type Back } from './view-header';

export const BACK_TO_OUTINGS: Back = { href: viewUrl('outings'), words: 'All outings' };

export const backToLog = ({ id }: Outing): Back => ({
  href: viewUrl('outing', id),
  words: 'Back to the log',
});

export const backToWayHome = ({ id }: Outing): Back => ({
  href: viewUrl('way-home', id),
  words: 'Back to the way home',
});

interface Props {
  view: ViewId;
  back: Back;
  about?: string;
  /**
   * How wide the page may be: a map's that fills the window, one of two columns, a reading page, or
   * a hand's.
   */
  width?: 'full' | 'window' | 'wide' | 'medium' | 'narrow';
  /** On paper, or straight on the desk. */
  plain?: boolean;
  /** In the head: what is done with the document in view. */
  head?: ReactNode;
  children: ReactNode;
}

/** A view's page: its head, and its content on one sheet. */
export function ViewPage({ view, back, about, width = 'wide', plain, head, children }: Props) {
  return (
    <div className={styles.page} data-width={width}>
      <ViewHeader title={viewTitle(view)} about={about} back={back}>
        {head}
      </ViewHeader>
      <main className={plain ? styles.plain : styles.paper}>{children}</main>
    </div>
  );
}

interface SectionProps {
  id: string;
  title: string;
  children: ReactNode;
}

/** A titled part of a page. */
export const Section = ({ id, title, children }: SectionProps) => (
  <section className={styles.part} aria-labelledby={id}>
    <h2 id={id}>{title}</h2>
    {children}
  </section>
);
