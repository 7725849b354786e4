import type { AbstractNode, IconDefinition } from '@ant-design/icons-svg/es/types';
import { createElement, type ReactNode } from 'react';

const noded = ({ tag, attrs, children }: AbstractNode, key: number): ReactNode =>
  createElement(tag, { key, ...attrs }, children?.map(noded));

/** A drawing of the icon set as large as the text around it; its label says what it means. */
export function Icon({ of: { icon } }: { of: IconDefinition }) {
  if (typeof icon === 'function') return null;
  const { viewBox } = icon.attrs;
  return (
    <svg viewBox={viewBox} width="1em" height="1em" fill="currentColor" aria-hidden="true">
      {icon.children?.map(noded)}
    </svg>
  );
}
