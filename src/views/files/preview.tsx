import { Button, Radio } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import type { FileRead } from '@/formats/read-file';
import { storeFault } from '@/store/store-fault';
import { meeting, takeIn, type Clash, type Incoming } from '@/store/take-in';
import { STORE_WORDS } from '@/ui/store-words';
import { browserDatabase } from '@/views/shared/browser-store';
import styles from './files.module.css';
import { MEETS, WORDS } from './words';

/** What would come in, what it meets, and what was done to it. Nothing is written before it is taken. */
export function Preview({
  name,
  read,
  onTaken,
  onLeave,
}: {
  name: string;
  read: FileRead;
  onTaken: (words: string) => void;
  onLeave: () => void;
}) {
  const [incoming, setIncoming] = useState<readonly Incoming[] | null>(null);
  const [clashes, setClashes] = useState<Readonly<Record<string, Clash>>>({});
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    let gone = false;
    meeting(browserDatabase(), read.outings).then(
      (found) => !gone && setIncoming(found),
      (error: unknown) => !gone && setFault(STORE_WORDS[storeFault(error)]),
    );
    return () => {
      gone = true;
    };
  }, [read]);
  const clashOf = ({ outing, meets }: Incoming): Clash =>
    clashes[outing.id] ?? (meets === 'discarded' ? 'replace' : 'keep-both');
  const coming = (incoming ?? []).filter(
    (each) => each.meets !== 'same' && !(each.meets === 'other' && clashOf(each) === 'skip'),
  ).length;
  const take = async () => {
    setBusy(true);
    const chosen = new Map((incoming ?? []).map((each) => [each.outing.id, clashOf(each)]));
    try {
      const done = await takeIn(
        browserDatabase(),
        read.outings,
        read.profiles,
        (outing) => chosen.get(outing.id) ?? 'keep-both',
        { now: new Date(), newId: () => crypto.randomUUID() },
      );
      onTaken(WORDS.taken(done.added, done.replaced, done.skipped));
    } catch (error) {
      setFault(STORE_WORDS[storeFault(error)]);
      setBusy(false);
    }
  };
  return (
    <>
      <p>{WORDS.willCome(name)}</p>
      <ul className={styles.incoming}>
        {incoming?.map((each, index) => (
          <li key={index}>
            <b>{each.outing.name || 'Outing'}</b>{' '}
            <span className={styles.soft}>
              {[
                each.outing.date && dayjs(each.outing.date.day).format('D MMMM YYYY'),
                WORDS.legs(each.outing.entries.filter(({ kind }) => kind === 'leg').length),
                MEETS[each.meets],
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
            {each.meets === 'other' && (
              <div className={styles.clash}>
                <span id={`clash-${index}`}>{WORDS.clash}</span>
                <Radio.Group
                  aria-labelledby={`clash-${index}`}
                  value={clashOf(each)}
                  onChange={(event) =>
                    setClashes({ ...clashes, [each.outing.id]: event.target.value as Clash })
                  }
                  optionType="button"
                  buttonStyle="solid"
                  options={[
                    { value: 'keep-both', label: WORDS.keepBoth },
                    { value: 'replace', label: WORDS.replace },
                    { value: 'skip', label: WORDS.skip },
                  ]}
                />
              </div>
            )}
          </li>
        ))}
        {read.profiles.length > 0 && <li>{WORDS.profiles(read.profiles.length)}</li>}
      </ul>
      {read.told.map((words, index) => (
        <p key={index} className={styles.soft}>
          {words}
        </p>
      ))}
      {fault && (
        <p role="alert" className={styles.warning}>
          {fault}
        </p>
      )}
      {coming === 0 && read.profiles.length === 0 && <p>{WORDS.nothingToTake}</p>}
      <div className={styles.row}>
        <Button
          type="primary"
          loading={busy}
          disabled={!incoming || (coming === 0 && read.profiles.length === 0)}
          onClick={take}
        >
          {WORDS.takeAll(coming)}
        </Button>
        <Button onClick={onLeave}>{WORDS.leave}</Button>
      </div>
    </>
  );
}
