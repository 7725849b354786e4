'use client';
import dayjs from 'dayjs';
import { useCallback, useState } from 'react';
import { readLines } from '@/core/log-text/read-log';
import { PACES_PER_100 } from '@/core/practice/walk/walker';
import { addOuting } from '@/store/outings';
import { beginBlindWalk, blindWalks } from '@/store/practice/blind-walks';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { trainer } from '@/workers/practice/practice';
import { anySeed } from '../exercise/use-attempt';
import styles from '../practice.module.css';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

/** Makes a country and an outing in it; resolves to the outing's id. */
async function begin(): Promise<string> {
  const [country, seed] = [anySeed(), anySeed()];
  const starts = await trainer().ask((remote) => remote.starts(country));
  const start = nth(starts, seed % starts.length);
  const id = crypto.randomUUID();
  const log = readLines(
    [
      `outing ${WORDS.walkOf(country)}`,
      `date ${dayjs().format('YYYY-MM-DD')}`,
      `start ${start.name}`,
      `pace ${PACES_PER_100} per 100 m`,
    ].join('\n'),
    id,
  );
  if (!log.ok) throw new Error('the log of a walk can be read');
  await addOuting(browserDatabase(), log.value.outing, new Date());
  const { point } = start;
  await beginBlindWalk(browserDatabase(), {
    outing: id,
    country,
    seed,
    start: point,
    startName: start.name,
    legs: [],
    isOver: false,
  });
  return id;
}

/** Walks in fog: those that go on, those that are over, and a new one. */
export function BlindWalks() {
  const live = useLive(useCallback(() => blindWalks(browserDatabase()), []));
  const walks = live && 'value' in live ? live.value : [];
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState('');
  const start = async () => {
    setBusy(true);
    try {
      void leaveFor(viewUrl('practice', undefined, { walk: await begin() }));
    } catch (error) {
      setFailed(STORE_MESSAGES[storeFault(error)]);
      setBusy(false);
    }
  };
  return (
    <Section id="blind-walks" title={WORDS.walks}>
      <p>{WORDS.walksWhy}</p>
      <ul className={styles.items}>
        {walks.map(({ outing, country, startName, isOver }) => {
          const name = `${WORDS.walkOf(country)}, ${startName}`;
          return (
            <li key={outing}>
              <a href={viewUrl('practice', undefined, { walk: outing })}>
                {isOver ? WORDS.walkDone(name) : WORDS.goOn(name)}
              </a>
            </li>
          );
        })}
      </ul>
      <PressButton look="primary" busy={busy} onClick={() => void start()}>
        {WORDS.startWalk}
      </PressButton>
      {failed && <p role="alert">{failed}</p>}
    </Section>
  );
}
