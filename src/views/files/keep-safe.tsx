import { Button } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { jsonFormat } from '@/formats/json';
import { markBackup, wholeLogbook, type BackupState } from '@/store/backup';
import type { NightlyCopy } from '@/store/database';
import { storeFault } from '@/store/store-fault';
import { STORE_WORDS } from '@/ui/store-words';
import { browserDatabase } from '@/views/shared/browser-store';
import styles from './files.module.css';
import { canShare, save, share } from './hand-over';
import type { Offered } from './offered';
import { WORDS } from './words';

const whenWords = (at: string) => dayjs(at).format('D MMMM YYYY, HH:mm');

/** The backup, and the copies that the browser keeps. */
export function KeepSafe({
  backup,
  copies,
  onOffer,
}: {
  backup: BackupState;
  copies: readonly NightlyCopy[];
  onOffer: (offered: Offered) => void;
}) {
  const [status, setStatus] = useState('');
  const [busy, setBusy] = useState(false);
  const backUp = async (hand: (name: string, content: Blob) => Promise<boolean> | void) => {
    setBusy(true);
    try {
      const now = new Date();
      const changes = await browserDatabase().changes.count();
      const logbook = await wholeLogbook(browserDatabase(), now);
      const written = jsonFormat.write(logbook, null);
      if (!written.ok) throw new Error('a logbook can always be written');
      const name = `cairn-back ${dayjs(now).format('YYYY-MM-DD HHmm')}.cairn.json`;
      const content = new Blob([written.value], { type: 'application/json' });
      if ((await hand(name, content)) !== false) {
        await markBackup(browserDatabase(), now, changes);
        setStatus(WORDS.backedNow(name));
      }
    } catch (error) {
      setStatus(STORE_WORDS[storeFault(error)]);
    }
    setBusy(false);
  };
  return (
    <section className={styles.part} aria-labelledby="safe">
      <h2 id="safe">{WORDS.safe}</h2>
      <p data-testid="backup-state">
        {backup.at ? WORDS.backed(whenWords(backup.at), backup.changesSince) : WORDS.neverBacked}
      </p>
      <div className={styles.row}>
        <Button type="primary" size="large" loading={busy} onClick={() => backUp(save)}>
          {WORDS.backUp}
        </Button>
        {canShare() && (
          <Button size="large" onClick={() => backUp(share)}>
            {WORDS.share}
          </Button>
        )}
      </div>
      <p role="status" data-testid="backed">
        {status}
      </p>
      <p className={styles.soft}>{copies.length > 0 ? WORDS.copies : WORDS.noCopies}</p>
      {copies.length > 0 && (
        <ul className={styles.copies}>
          {copies.map(({ day, outings, text }) => {
            const words = WORDS.copy(dayjs(day).format('D MMMM YYYY'), outings);
            return (
              <li key={day}>
                <span>{words}</span>
                <Button
                  aria-label={`${WORDS.lookInto}: ${words}`}
                  onClick={() => onOffer({ name: words, content: text })}
                >
                  {WORDS.lookInto}
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
