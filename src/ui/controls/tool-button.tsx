import { Button } from 'antd';
import type { ComponentType, Ref } from 'react';
import styles from './tool-button.module.css';

interface Props {
  icon: ComponentType<{ 'aria-hidden': 'true' }>;
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
export function ToolButton({ icon: Icon, label, about, pressed, plain, ...rest }: Props) {
  const description = about ?? label;
  return (
    <Button
      {...rest}
      type={pressed ? 'primary' : plain ? 'text' : 'default'}
      className={styles.tool}
      aria-label={description}
      aria-pressed={pressed}
      title={description}
    >
      <Icon aria-hidden="true" />
      <span className={styles.label}>{label}</span>
    </Button>
  );
}
