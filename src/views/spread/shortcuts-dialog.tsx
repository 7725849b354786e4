'use client';
import { Modal } from 'antd';
import styles from './shortcuts-dialog.module.css';
import { SHORTCUTS } from './use-keys';

/** The keys of the spread. */
export function ShortcutsDialog({ onClose }: { onClose: () => void }) {
  return (
    <Modal open title="Keys" footer={null} onCancel={onClose}>
      <dl className={styles.keys}>
        {SHORTCUTS.map(({ keys, does }) => (
          <div key={keys + does}>
            <dt>{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
