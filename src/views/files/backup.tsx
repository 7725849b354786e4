import { Button, Checkbox } from 'antd';
import dayjs from 'dayjs';
import { useCallback, useState } from 'react';
import { jsonFormat } from '@/formats/json';
import { WHOLE_LOGBOOK } from '@/formats/zip';
import { markBackup, progressOf, wholeBackup, type BackupState } from '@/store/backup';
import type { PixelFiles } from '@/store/device-record';
import { pictureBytes } from '@/store/pictures/pictures';
import { useLive } from '@/ui/use-live';
import type { DailyCopy } from '@/store/database';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { browserDatabase } from '@/store/browser-database';
import { Section } from '@/views/shared/page/view-page';
import styles from './files.module.css';
import { offeredFile, type Offered } from './import/offered-file';
import { canShare, save, share } from '@/views/shared/data/save-file';
import { StoragePromise } from './storage-promise';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** Gives a file to the person; resolves to whether they took it. */
type Give = (name: string, content: Blob) => Promise<boolean>;

/**
 * Gives everything away as one file, and records that; resolves to its name, null if refused. With
 * the pictures of maps it is an archive, else a JSON file.
 */
async function backUp(give: Give, withPixels: boolean): Promise<string | null> {
  const now = new Date();
  const database = browserDatabase();
  // Taken before it is read: a change in between is then counted as not backed up.
  const progress = await progressOf(database);
  const { logbook, files } = await wholeBackup(database, now, withPixels);
  const written = jsonFormat.write(logbook, null);
  if (!written.ok) throw new Error('a logbook can always be written');
  const name = `cairn-back ${dayjs(now).format('YYYY-MM-DD HHmm')}`;
  const [ending, content] =
    files.size > 0
      ? (['.zip', await archiveOf(written.value, files)] as const)
      : (['.cairn.json', new Blob([written.value], { type: 'application/json' })] as const);
  if (!(await give(name + ending, content))) return null;
  await markBackup(database, now, progress);
  return name + ending;
}

/** The logbook packed, and the pictures as they are: they are packed already. */
async function archiveOf(logbook: string, files: PixelFiles): Promise<Blob> {
  const { strToU8, zipSync } = await import('fflate');
  const pixels = await Promise.all(
    [...files].map(
      async ([name, blob]) =>
        [name, [new Uint8Array(await blob.arrayBuffer()), { level: 0 }]] as const,
    ),
  );
  const bytes = zipSync({
    [WHOLE_LOGBOOK]: [strToU8(logbook), { level: 6 }],
    ...Object.fromEntries(pixels),
  });
  return new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' });
}

interface Props {
  backup: BackupState;
  copies: readonly DailyCopy[];
  onOffer: (file: Offered) => void;
}

/** The backup, and the copies that the browser makes by itself. */
export function Backup({ backup, copies, onOffer }: Props) {
  const [status, setStatus] = useState('');
  const [busy, setBusy] = useState(false);
  const [withPixels, setWithPixels] = useState(true);
  const bytes = useLive(useCallback(() => pictureBytes(browserDatabase()), []));
  const pictures = bytes && 'value' in bytes ? bytes.value : 0;
  const start = async (give: Give) => {
    setBusy(true);
    try {
      const name = await backUp(give, withPixels && pictures > 0);
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
      {pictures > 0 && (
        <>
          <Checkbox checked={withPixels} onChange={({ target }) => setWithPixels(target.checked)}>
            {WORDS.withPictures(pictures)}
          </Checkbox>
          <p className={layout.soft}>{WORDS.positionsToo}</p>
        </>
      )}
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
      <p className={layout.soft}>{copies.length > 0 ? WORDS.copies : WORDS.noCopies}</p>
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
