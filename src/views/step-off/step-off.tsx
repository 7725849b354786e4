'use client';
import { Button, Input } from 'antd';
import dayjs from 'dayjs';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { backBearing, threeDigits } from '@/core/angle';
import { blankOuting, type Entry, type EntryOf, type Outing } from '@/core/logbook';
import { bearingDegrees } from '@/core/reading';
import { putOnShelf } from '@/store/shelf';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { Dial } from '@/ui/dial';
import { STORE_WORDS } from '@/ui/store-words';
import { askToKeep, browserDatabase } from '@/views/shared/browser-store';
import { NORTH_WORDS } from '@/views/shared/norths/words';
import { ownPaces } from '@/views/shared/own-paces';
import { PlainPage } from '@/views/shared/plain-page';
import { useOuting } from '@/views/shared/use-outing';
import { ViewHeader } from '@/views/shared/view-header';
import styles from './step-off.module.css';
import { WORDS } from './words';

/** A short trip off a path: one bearing out, and its back bearing as large as the screen. */
export function StepOff() {
  const id = useSearchParams().get('id');
  return id === null ? <Leaving /> : <Away id={id} />;
}

/** Before: which way, and what to look for on the way back. */
function Leaving() {
  const [bearing, setBearing] = useState(0);
  const [place, setPlace] = useState('');
  const [fault, setFault] = useState<StoreFault | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
  }, []);

  const go = async () => {
    setBusy(true);
    const now = dayjs();
    const time = now.format('HH:mm');
    const what = place.replace(/\s+/g, ' ').trim().slice(0, 2000);
    const marks: Entry[] = what === '' ? [] : [{ kind: 'landmark', what }];
    const out: Entry = {
      kind: 'out',
      bearing: { unit: 'degrees', value: bearing, north: 'magnetic' },
      time,
    };
    const id = crypto.randomUUID();
    try {
      const outing: Outing = {
        ...blankOuting(id, WORDS.name(time, now.format('D MMMM'))),
        date: { day: now.format('YYYY-MM-DD'), time },
        start: { name: WORDS.start },
        entries: [...(await ownPaces()), ...marks, out],
      };
      await putOnShelf(browserDatabase(), outing, new Date());
      askToKeep();
      location.assign(`/step-off?id=${id}`);
    } catch (error) {
      setFault(storeFault(error));
      setBusy(false);
    }
  };
  return (
    <div className={styles.page}>
      <ViewHeader title={WORDS.title} back={{ href: '/', words: WORDS.toShelf }} />
      <main className={styles.main}>
        <p>{WORDS.bearing}</p>
        <Dial label={WORDS.dial} degrees={bearing} onTurn={setBearing} />
        <label htmlFor="place">{WORDS.place}</label>
        <Input
          id="place"
          value={place}
          onChange={(event) => setPlace(event.target.value)}
          placeholder={WORDS.placeHint}
          autoComplete="off"
        />
        {fault && <p role="alert">{STORE_WORDS[fault]}</p>}
        <Button type="primary" className={styles.go} onClick={go} loading={busy}>
          {WORDS.go}: {threeDigits(bearing)}
        </Button>
        <p className={styles.soft}>{WORDS.caution}</p>
      </main>
    </div>
  );
}

const lastOut = (outing: Outing): EntryOf<'out'> | undefined =>
  outing.entries.findLast((entry) => entry.kind === 'out');

/** While away: the way back, as large as the screen allows, and how long one is away. */
function Away({ id }: { id: string }) {
  const { state, page } = useOuting(id);
  const [now, setNow] = useState(() => dayjs());
  useEffect(() => {
    const timer = setInterval(() => setNow(dayjs()), 10_000);
    return () => clearInterval(timer);
  }, []);
  if (state.status === 'unavailable') return <PlainPage words={STORE_WORDS[state.fault]} alert />;
  if (state.status === 'missing') return <PlainPage words={WORDS.missing} />;
  if (!page) return <PlainPage words={WORDS.loading} />;
  const { outing } = page;
  const out = lastOut(outing);
  if (!out) return <PlainPage words={WORDS.missing} />;
  const back = threeDigits(backBearing(bearingDegrees(out.bearing)));
  const left = outing.date && out.time ? dayjs(`${outing.date.day}T${out.time}`) : null;
  const minutes = left ? Math.max(0, now.diff(left, 'minute')) : 0;
  const landmark = outing.entries.findLast((entry) => entry.kind === 'landmark');
  return (
    <div className={styles.page}>
      <ViewHeader title={WORDS.back} back={{ href: '/', words: WORDS.toShelf }} />
      <main className={styles.away}>
        <p className={styles.figure} data-testid="way-back">
          {back}
        </p>
        <p className={styles.north}>{NORTH_WORDS[out.bearing.north]}</p>
        <p className={styles.set}>{WORDS.setBack(back)}</p>
        <p role="status" className={styles.set}>
          {minutes === 0 ? WORDS.justNow : WORDS.away(minutes)}
        </p>
        {landmark && <p className={styles.know}>{WORDS.know(landmark.what)}</p>}
        <div className={styles.choices}>
          <Button ghost href={`/outing?id=${encodeURIComponent(id)}`}>
            {WORDS.more}
          </Button>
          <Button ghost href="/">
            {WORDS.done}
          </Button>
        </div>
      </main>
    </div>
  );
}
