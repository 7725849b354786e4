import type { IconDefinition } from '@ant-design/icons-svg/es/types';
import type { Ref } from 'react';
import { PressButton } from './press-button';
import styles from './tool-button.module.css';

interface Props {
  icon: IconDefinition;
  /** The visible label. */
  label: string;
  /**
   * What it does, for the tooltip and for screen readers, when the label is too short for that. It
   * contains the label, so that the button answers to what a person sees.
   */
  about?: string;
  onClick?: () => void;
  href?: string;
  disabled?: boolean;
  pressed?: boolean;
  /** Without a border, for a bar of tools. */
  plain?: boolean;
  ref?: Ref<HTMLButtonElement>;
}

/** A button with an icon and its label: beside it at a desk, below it on a phone. */
export function ToolButton({ label, about, pressed, plain, ...rest }: Props) {
  const description = about ?? label;
  return (
    <PressButton
      {...rest}
      look={pressed ? 'primary' : plain ? 'plain' : 'usual'}
      className={styles.tool}
      aria-label={description}
      aria-pressed={pressed}
      title={description}
    >
      <span className={styles.label}>{label}</span>
    </PressButton>
  );
}
