import InboxOutlined from '@ant-design/icons-svg/es/asn/InboxOutlined';
import { Button, Input, Upload } from 'antd';
import { useState } from 'react';
import { Section } from '@/views/shared/page/view-page';
import styles from '../files.module.css';
import { offeredFile, offeredFiles, type Offered } from './offered-file';
import { OfferedPreview } from './offered-preview';
import { Icon } from '@/ui/controls/icon';
import { PressButton } from '@/ui/controls/press-button';
import type { Imported } from './use-import';
import { WORDS } from '../words';

/** The section that a file is shown in, no matter who offers it. */
export const IMPORT_ID = 'import';

interface Props {
  offered: Offered | null;
  onOffer: (files: Offered | null) => void;
}

/** Files or a text: what they hold is shown, and only then imported. */
export function Import({ offered, onOffer }: Props) {
  const [pasted, setPasted] = useState('');
  const [imported, setImported] = useState<Imported | null>(null);
  const offer = (files: Offered) => {
    setImported(null);
    onOffer(files);
  };
  const finish = (result: Imported) => {
    setImported(result);
    setPasted('');
    onOffer(null);
  };
  return (
    <Section id={IMPORT_ID} title={WORDS.importTitle}>
      <Upload.Dragger
        showUploadList={false}
        multiple
        beforeUpload={async (file, all) => {
          // Asked for each of them: they are looked at together.
          if (file === all[0]) offer(await offeredFiles(all));
          return Upload.LIST_IGNORE;
        }}
      >
        <p className={styles.drop}>
          <Icon of={InboxOutlined} /> {WORDS.drop}
        </p>
        <p>{WORDS.dropWhich}</p>
      </Upload.Dragger>
      <label htmlFor="pasted">{WORDS.paste}</label>
      <Input.TextArea
        id="pasted"
        rows={3}
        value={pasted}
        onChange={(event) => setPasted(event.target.value)}
        spellCheck={false}
      />
      <Button
        disabled={pasted.trim() === ''}
        onClick={() => offer(offeredFile(WORDS.pasted, pasted))}
      >
        {WORDS.read}
      </Button>
      <p role="status" data-testid="imported">
        {imported?.words}
      </p>
      {imported?.link && <PressButton href={imported.link.href}>{imported.link.words}</PressButton>}
      {offered && (
        <OfferedPreview
          key={offered.id}
          offered={offered}
          onImported={finish}
          onCancel={() => onOffer(null)}
        />
      )}
    </Section>
  );
}
