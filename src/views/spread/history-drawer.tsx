'use client';
import { Drawer } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { writeEntry } from '@/core/log-text/write-log';
import type { Operation } from '@/core/edit/operations';
import type { ChangeRecord } from '@/store/change';
import styles from './history-drawer.module.css';

const textOf = (entries: readonly Parameters<typeof writeEntry>[0][]) =>
  entries
    .filter(({ kind }) => kind !== 'struck')
    .map((entry) => writeEntry(entry, 'magnetic').trim())
    .join(', ');

/** What a change did, in words. */
function editWords(operations: readonly Operation[]): string {
  const struck = operations.flatMap((each) =>
    each.op === 'replace' && each.after.kind === 'struck' ? [each.after] : [],
  );
  const written = operations.flatMap((each) => (each.op === 'insert' ? each.entries : []));
  const removed = operations.some((each) => each.op === 'remove');
  if (struck.length > 0 && written.length > 0) {
    return `Corrected: ${struck[0]!.was} → ${textOf(written)}${struck[0]!.reason ? ` (${struck[0]!.reason})` : ''}`;
  }
  if (struck.length > 0) return `Struck out: ${struck.map(({ was }) => was).join(', ')}`;
  if (removed && written.length > 0) return `Moved: ${textOf(written)}`;
  if (written.length > 0) return `Logged: ${textOf(written)}`;
  const header = operations.find((each) => each.op === 'header');
  if (header) return 'Set up changed';
  const replaced = operations.flatMap((each) => (each.op === 'replace' ? [each.after] : []));
  return `Changed: ${textOf(replaced)}`;
}

function changeWords(record: ChangeRecord, all: readonly ChangeRecord[]): string {
  const { change } = record;
  switch (change.kind) {
    case 'create':
      return 'The outing was begun';
    case 'edit':
      return editWords(change.operations);
    case 'discard':
      return 'Taken off the shelf';
    case 'recover':
      return 'Put back on the shelf';
    default: {
      const of = all.find(({ number }) => number === change.of);
      const what = of?.change.kind === 'edit' ? editWords(of.change.operations) : '';
      return `${change.kind === 'undo' ? 'Undone' : 'Done again'}: ${what}`;
    }
  }
}

interface Props {
  history: () => Promise<readonly ChangeRecord[]>;
  onClose: () => void;
}

/** All that was ever done to an outing, the newest first: nothing is silently gone. */
export function HistoryDrawer({ history, onClose }: Props) {
  const [records, setRecords] = useState<readonly ChangeRecord[] | null>(null);
  useEffect(() => {
    void history().then(setRecords);
  }, [history]);
  return (
    <Drawer open title="History" onClose={onClose} size={440}>
      {records === null ? (
        <p role="status">Reading the journal…</p>
      ) : (
        <ol className={styles.history} reversed>
          {records.toReversed().map((record) => (
            <li key={record.number}>
              <time dateTime={record.at}>{dayjs(record.at).format('D MMM YYYY HH:mm:ss')}</time>
              {changeWords(record, records)}
            </li>
          ))}
        </ol>
      )}
    </Drawer>
  );
}
