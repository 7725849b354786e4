'use client';
import { Button, Input } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { EntryOf } from '@/core/entries/entry';
import { blankOuting, type Outing } from '@/core/model/outing';
import { bearingDigits } from '@/core/units/angle';
import type { Degrees } from '@/core/units/units';
import { errorsOfNewOuting } from '@/store/own-errors';
import { addOuting } from '@/store/outings';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { Dial } from '@/ui/controls/dial';
import { useOnce } from '@/views/shared/data/use-once';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { askToKeep, browserDatabase, leaveFor } from '@/store/browser-database';
import { ownPaces } from '@/views/shared/data/own-paces';
import { BACK_TO_OUTINGS, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from './step-off.module.css';
import { bearingText } from '@/ui/units/shown';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

const LONGEST_TEXT = 2000;

const magnetic = (value: Degrees) => ({ unit: 'degrees', value, north: 'magnetic' }) as const;

/** The outing of a step-off: its paces, what marks the start, and the bearing out. */
async function stepOffOuting(
  bearing: Degrees,
  path: Degrees | null,
  place: string,
): Promise<Outing> {
  const now = dayjs();
  const time = now.format('HH:mm');
  const what = place.replace(/\s+/g, ' ').trim().slice(0, LONGEST_TEXT);
  const landmarks: EntryOf<'landmark'>[] = what === '' ? [] : [{ kind: 'landmark', what }];
  const out: EntryOf<'out'> = {
    kind: 'out',
    bearing: magnetic(bearing),
    ...(path !== null && { path: magnetic(path) }),
    time,
  };
  return {
    ...blankOuting(crypto.randomUUID(), WORDS.name(time, now.format('D MMMM'))),
    date: { day: now.format('YYYY-MM-DD'), time },
    start: { name: WORDS.start },
    ...errorsOfNewOuting(),
    entries: [...(await ownPaces()), ...landmarks, out],
  };
}

/** Degrees as they are typed: three digits at most, 0 to 360; null for anything else. */
function wholeBearing(text: string): Degrees | null {
  const degrees = Number(text);
  return /^\d{1,3}$/.test(text.trim()) && degrees <= 360 ? degrees % 360 : null;
}

/** Before: which way, and what to look for on the way back. */
export function Leaving() {
  const [text, setText] = useState('');
  const [asked, setAsked] = useState(false);
  const [place, setPlace] = useState('');
  const [pathText, setPathText] = useState('');
  const [fault, setFault] = useState<StoreFault | null>(null);
  const [leaving, setLeaving] = useState(false);
  const bearing = wholeBearing(text);
  const path = wholeBearing(pathText);
  const isPathWrong = pathText.trim() !== '' && path === null;
  const [go, busy] = useOnce(async () => {
    setAsked(true);
    if (bearing === null || isPathWrong) return;
    try {
      const outing = await stepOffOuting(bearing, path, place);
      await addOuting(browserDatabase(), outing, new Date());
      askToKeep();
      // From here on the page is left: nothing may be started again.
      setLeaving(true);
      void leaveFor(viewUrl('step-off', outing.id));
    } catch (error) {
      setFault(storeFault(error));
    }
  });
  return (
    <ViewPage view="step-off" back={BACK_TO_OUTINGS} width="narrow" plain>
      <label htmlFor="place">{WORDS.place}</label>
      <Input
        id="place"
        value={place}
        onChange={(event) => setPlace(event.target.value)}
        placeholder={WORDS.placeHint}
        autoComplete="off"
      />
      <p className={styles.next}>{WORDS.bearing}</p>
      <BearingOut text={text} onText={setText} isAsked={asked && bearing === null} />
      <DegreesField
        id="path"
        label={WORDS.path}
        text={pathText}
        onText={setPathText}
        wrong={isPathWrong ? WORDS.pathWrong : null}
      />
      {fault && <p role="alert">{STORE_MESSAGES[fault]}</p>}
      <Button type="primary" className={styles.go} onClick={go} loading={busy || leaving}>
        {WORDS.go(bearing === null ? null : bearingText(bearing))}
      </Button>
      <p className={layout.soft}>{WORDS.caution}</p>
    </ViewPage>
  );
}

interface BearingProps {
  text: string;
  onText: (text: string) => void;
  /** True once someone wanted to go without one. */
  isAsked: boolean;
}

/** The bearing out, typed or turned. */
const BearingOut = ({ text, onText, isAsked }: BearingProps) => (
  <>
    <DegreesField
      id="bearing"
      label={WORDS.dial}
      text={text}
      onText={onText}
      wrong={isAsked ? WORDS.ask : null}
    />
    <Dial
      label={WORDS.turn}
      degrees={wholeBearing(text) ?? 0}
      onTurn={(degrees) => onText(bearingDigits(degrees))}
    />
  </>
);

interface DegreesProps {
  id: string;
  label: string;
  text: string;
  onText: (text: string) => void;
  /** What is wrong with it; null for nothing. */
  wrong: string | null;
}

/** Three digits of a bearing, large enough for gloves. */
const DegreesField = ({ id, label, text, onText, wrong }: DegreesProps) => (
  <>
    <div className={styles.out}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        className={styles.typed}
        value={text}
        onChange={(event) => onText(event.target.value)}
        inputMode="numeric"
        autoComplete="off"
        maxLength={3}
      />
    </div>
    {wrong !== null && (
      <p role="alert" className={styles.ask}>
        {wrong}
      </p>
    )}
  </>
);
