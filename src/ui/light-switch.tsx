'use client';
import { BulbOutlined, DesktopOutlined, MoonOutlined, SunOutlined } from '@ant-design/icons';
import { chooseLight, useChosenLight } from './light';
import type { Light } from './light-script';
import styles from './light-switch.module.css';

const CHOICES: readonly { light: Light | null; name: string; icon: typeof SunOutlined }[] = [
  { light: null, name: 'As the device', icon: DesktopOutlined },
  { light: 'day', name: 'Day', icon: SunOutlined },
  { light: 'dark', name: 'Dark', icon: BulbOutlined },
  { light: 'night', name: 'Night: red, spares the eyes', icon: MoonOutlined },
];

/** Day, dark, night, or whatever the device says. */
export function LightSwitch() {
  const chosen = useChosenLight();
  return (
    <div className={styles.switch} role="radiogroup" aria-label="Light">
      {CHOICES.map(({ light, name, icon: Icon }) => (
        <label key={name} className={styles.choice} title={name}>
          <input
            type="radio"
            name="light"
            className="visually-hidden"
            checked={chosen === light}
            onChange={() => chooseLight(light)}
            aria-label={name}
          />
          <Icon aria-hidden="true" />
        </label>
      ))}
    </div>
  );
}
