'use client';
import { Input, Radio } from 'antd';
import { useMemo, useState } from 'react';
import { SIDES } from '@/core/entries/feature';
import type { Aim } from '@/core/entries/reckoning';
import { compassSetting } from '@/core/practice/builders';
import type { HandCompass } from '@/core/practice/compass/hand-compass';
import { FOG_METRES, type WalkedLeg } from '@/core/practice/walk/walker';
import { lengthOf, vectorBetween } from '@/core/units/plane';
import { normalised } from '@/core/units/angle';
import { MOST_PACES, type KeptWalk } from '@/core/practice/walk/kept-walk';
import { endBlindWalk, walkOn } from '@/store/practice/blind-walks';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { storeFault } from '@/store/store-fault';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase } from '@/store/browser-database';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { Compass } from '../compass/compass';
import page from '../exercise/exercise.module.css';
import styles from '../practice.module.css';
import { WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

const AIMS = ['needle', 'landmark', 'sighted'] as const;
/** What to do where water is in the way. */
const AT_WATER = ['stop', ...SIDES] as const;
type AtWater = (typeof AT_WATER)[number];
const LEAST_LEGS = 3;

interface Props {
  walk: KeptWalk;
  /** Null while the walker is under way. */
  legs: readonly WalkedLeg[] | null;
}

/** True when the walker sees the start again, in fog. */
const seesStart = (walk: KeptWalk, legs: readonly WalkedLeg[]) =>
  legs.length > 0 && lengthOf(vectorBetween(legs.at(-1)!.to, walk.start)) <= FOG_METRES;

/** What is set for the next leg, and what sends the walker. */
function useSetLeg({ walk, legs }: Props) {
  const [compass, setCompass] = useState<HandCompass>({
    bodyDegrees: 0,
    dialDegrees: 0,
    housingEast: 0,
  });
  const [paces, setPaces] = useState('');
  const [aim, setAim] = useState<Aim>('landmark');
  const [atWater, setAtWater] = useState<AtWater>('stop');
  const [failed, setFailed] = useState('');
  const count = /^\d+$/.test(paces) ? Number(paces) : 0;
  const canWalk = legs !== null && count >= 1 && count <= MOST_PACES;
  const attempt = async (act: () => Promise<void>) => {
    try {
      setFailed('');
      await act();
    } catch (error) {
      setFailed(STORE_MESSAGES[storeFault(error)]);
    }
  };
  const go = () =>
    canWalk &&
    attempt(async () => {
      const bearingDegrees = normalised(Math.round(compass.bodyDegrees));
      const boxes = atWater === 'stop' ? {} : { boxes: atWater };
      const leg = { bearingDegrees, paces: count, aim, ...boxes };
      await walkOn(browserDatabase(), walk.outing, leg);
      setPaces('');
    });
  const end = () => attempt(() => endBlindWalk(browserDatabase(), walk.outing));
  const change = (part: Partial<HandCompass>) => setCompass((before) => ({ ...before, ...part }));
  const water = { atWater, setAtWater };
  return { compass, change, paces, setPaces, aim, setAim, ...water, failed, canWalk, go, end };
}

/** Set, count, walk: and what the walker tells of it. Magnetic north is up on this compass. */
export function WalkOn({ walk, legs }: Props) {
  const set = useSetLeg({ walk, legs });
  const setting = useMemo(() => compassSetting({}), []);
  const isShort = walk.legs.length < LEAST_LEGS;
  return (
    <div className={page.columns}>
      <Compass setting={setting} compass={set.compass} onChange={set.change} />
      <div>
        <p className={page.asks}>{WORDS.walkTask(walk.startName, FOG_METRES)}</p>
        <LegFields set={set} />
        <div className={page.actions}>
          <PressButton look="primary" large disabled={!set.canWalk} onClick={() => void set.go()}>
            {WORDS.walk}
          </PressButton>
          <PressButton large href={viewUrl('outing', walk.outing)}>
            {WORDS.openLog}
          </PressButton>
          <PressButton large disabled={isShort} onClick={() => void set.end()}>
            {WORDS.end}
          </PressButton>
        </div>
        {isShort && <p className={layout.soft}>{WORDS.endFewer}</p>}
        {set.failed && <p role="alert">{set.failed}</p>}
        <p role="status" data-testid="sees-home">
          {legs && seesStart(walk, legs) && WORDS.seesHome(walk.startName)}
        </p>
        <Known legs={legs ?? []} />
      </div>
    </div>
  );
}

/** How far, and how it is aimed; the bearing is set on the compass. */
const LegFields = ({ set }: { set: ReturnType<typeof useSetLeg> }) => (
  <>
    <div className={page.actions}>
      <PressButton onClick={() => set.change({ bodyDegrees: set.compass.dialDegrees })}>
        {WORDS.faceDial}
      </PressButton>
    </div>
    <label className={page.field}>
      <span>{WORDS.walkPaces}</span>
      <Input
        id="walk-paces"
        value={set.paces}
        inputMode="numeric"
        autoComplete="off"
        onChange={(event) => set.setPaces(event.target.value.trim())}
        onPressEnter={() => void set.go()}
      />
    </label>
    <p className={layout.soft}>{WORDS.pacesHelp}</p>
    <details className={styles.more}>
      <summary>{WORDS.walksSo(set.aim, set.atWater)}</summary>
      <Radio.Group
        aria-label={WORDS.aim}
        className={page.choices}
        value={set.aim}
        onChange={(event) => set.setAim(event.target.value as Aim)}
        options={AIMS.map((value) => ({ value, label: WORDS.aims[value] }))}
      />
      <Radio.Group
        aria-label={WORDS.atWater}
        className={page.choices}
        value={set.atWater}
        onChange={(event) => set.setAtWater(event.target.value as AtWater)}
        options={AT_WATER.map((value) => ({ value, label: WORDS.waters[value] }))}
      />
    </details>
  </>
);

/** What happened on a leg, in the order of its paces. */
const asAnswer = (leg: WalkedLeg) =>
  [
    ...leg.boxed.map((box) => ({ paces: box.after, words: WORDS.boxed(box) })),
    ...leg.met.map(({ what, paces }) => ({ paces, words: WORDS.met(what, paces) })),
  ]
    .sort((one, other) => one.paces - other.paces)
    .map(({ words }) => words);

/** What the walker knows: what was counted and met, never where that is. */
const Known = ({ legs }: { legs: readonly WalkedLeg[] }) => (
  <Section id="known" title={WORDS.walkedLegs}>
    <p className={layout.soft}>{WORDS.notLogged}</p>
    <ol className={styles.items} data-testid="walked-legs">
      {legs.map((leg, index) => (
        <li key={index}>
          {[
            WORDS.legWalked(index + 1, leg.counted),
            ...(leg.inWood > 0 ? [WORDS.inWood(leg.inWood)] : []),
            ...asAnswer(leg),
            ...(leg.stoppedBy ? [WORDS.stopped(leg.stoppedBy)] : []),
          ].join('; ')}
        </li>
      ))}
    </ol>
  </Section>
);
