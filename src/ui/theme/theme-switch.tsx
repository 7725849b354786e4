'use client';
import BulbOutlined from '@ant-design/icons-svg/es/asn/BulbOutlined';
import DesktopOutlined from '@ant-design/icons-svg/es/asn/DesktopOutlined';
import MoonOutlined from '@ant-design/icons-svg/es/asn/MoonOutlined';
import SunOutlined from '@ant-design/icons-svg/es/asn/SunOutlined';
import type { IconDefinition } from '@ant-design/icons-svg/es/types';
import { Icon } from '../controls/icon';
import { chooseTheme, useChosenTheme } from './chosen-theme';
import type { Theme } from './theme-script';
import styles from './theme-switch.module.css';

interface Choice {
  readonly theme: Theme | null;
  readonly label: string;
  readonly about: string;
  readonly icon: IconDefinition;
}

const CHOICES: readonly Choice[] = [
  { theme: null, label: 'Auto', about: 'Auto: as the device', icon: DesktopOutlined },
  { theme: 'day', label: 'Day', about: 'Day', icon: SunOutlined },
  { theme: 'dark', label: 'Dark', about: 'Dark', icon: BulbOutlined },
  { theme: 'night', label: 'Night', about: 'Night: red, keeps night vision', icon: MoonOutlined },
];

/** The theme: day, dark, night, or as the device says. */
export function ThemeSwitch() {
  const chosen = useChosenTheme();
  return (
    <div className={styles.switch} role="radiogroup" aria-label="Theme">
      {CHOICES.map(({ theme, label, about, icon }) => (
        <label key={label} className={styles.choice} title={about}>
          <input
            type="radio"
            name="theme"
            className="visually-hidden"
            checked={chosen === theme}
            onChange={() => chooseTheme(theme)}
            aria-label={about}
          />
          <Icon of={icon} />
          <span className={styles.label}>{label}</span>
        </label>
      ))}
    </div>
  );
}
