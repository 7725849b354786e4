'use client';
import { Modal } from 'antd';
import styles from './shortcuts-dialog.module.css';

interface Props {
  shortcuts: readonly { readonly keys: string; readonly does: string }[];
  onClose: () => void;
}

/** The keys of where one is. */
export function ShortcutsDialog({ shortcuts, onClose }: Props) {
  return (
    <Modal open title="Keyboard shortcuts" footer={null} onCancel={onClose}>
      <dl className={styles.keys}>
        {shortcuts.map(({ keys, does }) => (
          <div key={keys + does}>
            <dt>{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
