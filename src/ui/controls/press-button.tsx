import type { IconDefinition } from '@ant-design/icons-svg/es/types';
import type { ButtonHTMLAttributes, ReactNode, Ref } from 'react';
import { Icon } from './icon';
import styles from './press-button.module.css';

interface Props extends Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'type'> {
  /** How much it stands out; `plain` is without a border. */
  look?: 'primary' | 'usual' | 'plain';
  large?: boolean;
  icon?: IconDefinition;
  /** True while what it does is being done: it can't be pressed again. */
  busy?: boolean;
  /** It leads to another page. */
  href?: string;
  children: ReactNode;
  ref?: Ref<HTMLButtonElement>;
}

/** A button in the look of the app, for the pages that do without the component library. */
export function PressButton(props: Props) {
  const { look = 'usual', large, icon, busy, href, disabled, className, children, ...rest } = props;
  const shape = {
    className: [styles.button, large && styles.large, className].filter(Boolean).join(' '),
    'data-button': look,
  };
  const content = (
    <>
      {icon && <Icon of={icon} />}
      {children}
    </>
  );
  if (href !== undefined) {
    return (
      <a {...shape} href={href} title={rest.title} aria-label={rest['aria-label']}>
        {content}
      </a>
    );
  }
  return (
    <button {...rest} {...shape} type="button" disabled={disabled || busy} aria-busy={busy}>
      {content}
    </button>
  );
}
