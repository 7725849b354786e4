'use client';
import { Modal } from 'antd';
import { SHORTCUTS } from '../use-keys';
import styles from './shortcuts-dialog.module.css';

/** The shortcuts of the outing view. */
export function ShortcutsDialog({ onClose }: { onClose: () => void }) {
  return (
    <Modal open title="Keyboard shortcuts" footer={null} onCancel={onClose}>
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
