import { Button } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { jsonFormat } from '@/formats/json';
import { markBackup, wholeLogbook, type BackupState } from '@/store/backup';
import type { DailyCopy } from '@/store/database';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { browserDatabase } from '@/views/shared/data/browser-store';
import { Section } from '@/views/shared/page/view-page';
import styles from './files.module.css';
import { offeredFile, type OfferedFile } from './import/offered-file';
import { canShare, save, share } from '@/views/shared/data/save-file';
import { StoragePromise } from './storage-promise';
import { WORDS } from './words';

/** Gives a file to the person; resolves to whether they took it. */
type Give = (name: string, content: Blob) => Promise<boolean>;

/** Gives away everything as one file, and records that; resolves to its name, null if refused. */
async function backUp(give: Give): Promise<string | null> {
  const now = new Date();
  // Counted before it is read: a change in between is then counted as not backed up.
  const changes = await browserDatabase().changes.count();
  const written = jsonFormat.write(await wholeLogbook(browserDatabase(), now), null);
  if (!written.ok) throw new Error('a logbook can always be written');
  const name = `cairn-back ${dayjs(now).format('YYYY-MM-DD HHmm')}.cairn.json`;
  const content = new Blob([written.value], { type: 'application/json' });
  if (!(await give(name, content))) return null;
  await markBackup(browserDatabase(), now, changes);
  return name;
}

interface Props {
  backup: BackupState;
  copies: readonly DailyCopy[];
  onOffer: (file: OfferedFile) => void;
}

/** The backup, and the copies that the browser makes by itself. */
export function Backup({ backup, copies, onOffer }: Props) {
  const [status, setStatus] = useState('');
  const [busy, setBusy] = useState(false);
  const start = async (give: Give) => {
    setBusy(true);
    try {
      const name = await backUp(give);
      if (name !== null) setStatus(WORDS.backedUpNow(name));
    } catch (error) {
      setStatus(STORE_MESSAGES[storeFault(error)]);
    }
    setBusy(false);
  };
  return (
    <Section id="backup" title={WORDS.backup}>
      <p data-testid="backup-state">
        {backup.at
          ? WORDS.backedUp(dayjs(backup.at).format('D MMMM YYYY, HH:mm'), backup.changesSince)
          : WORDS.neverBackedUp}
      </p>
      <div className={styles.row}>
        <Button type="primary" size="large" loading={busy} onClick={() => start(save)}>
          {WORDS.backUp}
        </Button>
        {canShare() && (
          <Button size="large" onClick={() => start(share)}>
            {WORDS.share}
          </Button>
        )}
      </div>
      <p role="status" data-testid="backed-up">
        {status}
      </p>
      <StoragePromise />
      <p className={styles.soft}>{copies.length > 0 ? WORDS.copies : WORDS.noCopies}</p>
      <DailyCopies copies={copies} onOffer={onOffer} />
    </Section>
  );
}

const DailyCopies = ({ copies, onOffer }: Pick<Props, 'copies' | 'onOffer'>) =>
  copies.length > 0 && (
    <ul className={styles.copies}>
      {copies.map(({ day, outings, text }) => {
        const words = WORDS.copy(dayjs(day).format('D MMMM YYYY'), outings);
        return (
          <li key={day}>
            <span>{words}</span>
            <Button
              aria-label={WORDS.previewOf(words)}
              onClick={() => onOffer(offeredFile(words, text))}
            >
              {WORDS.preview}
            </Button>
          </li>
        );
      })}
    </ul>
  );
