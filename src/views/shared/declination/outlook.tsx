import styles from './declination-fields.module.css';
import type { DraftOutlook } from './use-draft-outlook';

/** What the settings would do, shown while they are made. */
export function Outlook({ outlook }: { outlook: DraftOutlook }) {
  const { sentence, change, warnings, fault } = outlook;
  return (
    <div className={styles.summary} aria-live="polite" data-testid="outlook">
      {sentence && (
        <p>
          <b>{sentence}</b>
        </p>
      )}
      {change && <p>{change}</p>}
      {[...(fault ? [fault] : []), ...warnings].map((words) => (
        <p key={words} className={styles.warning}>
          {words}
        </p>
      ))}
    </div>
  );
}
