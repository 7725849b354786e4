import { Modal } from 'antd';
import { useState } from 'react';
import { PressButton } from '@/ui/controls/press-button';
import { WORDS } from '../words';
import type { Offered } from './offered-file';
import { OfferedPreview } from './offered-preview';
import type { Imported } from './use-import';

/** What dropped files hold, over whatever page they were dropped on. */
export function ImportDialog({ offered, onClose }: { offered: Offered; onClose: () => void }) {
  const [imported, setImported] = useState<Imported | null>(null);
  return (
    <Modal open title={WORDS.importDialog} footer={null} width={720} onCancel={onClose}>
      <p role="status" data-testid="imported">
        {imported?.words}
      </p>
      {imported ? (
        <>
          {imported.link && (
            <PressButton look="primary" large href={imported.link.href}>
              {imported.link.words}
            </PressButton>
          )}{' '}
          <PressButton large onClick={onClose}>
            {WORDS.close}
          </PressButton>
        </>
      ) : (
        <OfferedPreview offered={offered} onImported={setImported} onCancel={onClose} />
      )}
    </Modal>
  );
}
