import type { Warning } from '@/core/checks/check';
import { WORDS } from '../words';
import { PressButton } from '@/ui/controls/press-button';
import styles from './header-warnings.module.css';

interface Props {
  warnings: readonly Warning[];
  onSettings: () => void;
  onAccept: (code: string) => void;
}

/** The warnings about the outing as a whole, above its log. */
export function HeaderWarnings({ warnings, onSettings, onAccept }: Props) {
  const ofHeader = warnings.filter(({ at }) => 'header' in at);
  if (ofHeader.length === 0) return null;
  return (
    <div className={styles.warnings} role="note">
      {ofHeader.map(({ code, message }) => (
        <p key={code} data-code={code}>
          {message}{' '}
          <PressButton look="plain" onClick={() => onAccept(code)}>
            {WORDS.accept}
          </PressButton>
        </p>
      ))}
      <PressButton look="plain" onClick={onSettings}>
        {WORDS.settings}
      </PressButton>
    </div>
  );
}
