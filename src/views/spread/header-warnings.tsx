import { Button } from 'antd';
import type { Warning } from '@/core/checks/check';
import styles from './header-warnings.module.css';
import { WORDS } from './words';

/** What the checks say of the outing as a whole, above its page. */
export function HeaderWarnings({
  warnings,
  onSetUp,
  onRight,
}: {
  warnings: readonly Warning[];
  onSetUp: () => void;
  onRight: (code: string) => void;
}) {
  const ofHeader = warnings.filter(({ at }) => 'header' in at);
  if (ofHeader.length === 0) return null;
  return (
    <div className={styles.warnings} role="note">
      {ofHeader.map(({ code, message }) => (
        <p key={code} data-code={code}>
          {message}{' '}
          <Button type="text" onClick={() => onRight(code)}>
            {WORDS.isRight}
          </Button>
        </p>
      ))}
      <Button type="text" onClick={onSetUp}>
        {WORDS.settings}
      </Button>
    </div>
  );
}
