'use client';
import { Drawer } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import type { ChangeRecord } from '@/store/change';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { historyWords } from '@/views/shared/words/history-words';
import styles from './history-drawer.module.css';

interface Props {
  history: () => Promise<readonly ChangeRecord[]>;
  onClose: () => void;
}

/** Every change ever made to an outing, the newest first. */
export function HistoryDrawer({ history, onClose }: Props) {
  const [records, setRecords] = useState<readonly ChangeRecord[] | null>(null);
  const [fault, setFault] = useState<StoreFault | null>(null);
  useEffect(() => {
    history().then(setRecords, (error: unknown) => setFault(storeFault(error)));
  }, [history]);
  return (
    <Drawer open title="History" onClose={onClose} size={440}>
      {fault ? (
        <p role="alert">The history can’t be read. {STORE_MESSAGES[fault]}</p>
      ) : records === null ? (
        <p role="status">Reading the history…</p>
      ) : (
        <ol className={styles.history} reversed>
          {records.toReversed().map((record) => (
            <li key={record.number}>
              <time dateTime={record.at}>{dayjs(record.at).format('D MMM YYYY HH:mm:ss')}</time>
              {historyWords(record, records)}
            </li>
          ))}
        </ol>
      )}
    </Drawer>
  );
}
