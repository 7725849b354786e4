'use client';
import { useRef, type KeyboardEvent, type ReactNode } from 'react';
import styles from './menu.module.css';

interface Props {
  label: string;
  /** What it is for, where the label is too short for that; it contains the label. */
  about?: string;
  /** Bordered like the buttons beside it. */
  bordered?: boolean;
  /** Buttons: each closes the menu. */
  children: ReactNode;
}

/** Several actions behind one button; Escape and any of them close it. */
export function Menu({ label, about, bordered, children }: Props) {
  const details = useRef<HTMLDetailsElement>(null);
  const close = () => {
    if (details.current) details.current.open = false;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || !details.current?.open) return;
    event.stopPropagation();
    close();
    details.current.querySelector('summary')?.focus();
  };
  return (
    <details
      ref={details}
      className={styles.menu}
      onKeyDown={onKeyDown}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (relatedTarget && !currentTarget.contains(relatedTarget)) close();
      }}
    >
      <summary aria-label={about} data-bordered={bordered}>
        {label}
      </summary>
      <div onClick={close}>{children}</div>
    </details>
  );
}
