'use client';
import { EyeOutlined, UndoOutlined } from '@ant-design/icons';
import { Button, Checkbox, Input, Radio } from 'antd';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useRef, useState } from 'react';
import { addEntries, type Command } from '@/core/edit/command';
import { faultWords } from '@/core/fault-words';
import type { Solution } from '@/core/solve';
import { devicesAreSimulated } from '@/devices';
import type { Count, CountLine } from '@/store/count';
import type { Outcome } from '@/store/outing-session';
import type { StoreFault } from '@/store/store-fault';
import { Beads } from '@/ui/beads';
import { GroundChips } from '@/ui/ground-chips';
import { STORE_WORDS } from '@/ui/store-words';
import { groundsOf } from '@/views/shared/grounds-of';
import { TapArea } from '@/views/shared/tap-area';
import { useMotionCount } from '@/views/shared/use-motion-count';
import { ViewHeader } from '@/views/shared/view-header';
import { CompassAid } from './compass-aid';
import styles from './counter.module.css';
import { beep, buzz } from './feedback';
import { entriesOf, lineOf, metresOf } from './leg-of-count';
import { useChoices } from './use-choices';
import { useWakeLock } from './use-wake-lock';
import { DEVICE_FAULTS, WORDS } from './words';

const ArrivedDialog = dynamic(() => import('./arrived-dialog').then((it) => it.ArrivedDialog), {
  ssr: false,
});
const SeenDialog = dynamic(() => import('./seen-dialog').then((it) => it.SeenDialog), {
  ssr: false,
});
const DevicePanel = dynamic(
  () => import('@/views/shared/device-panel').then((it) => it.DevicePanel),
  { ssr: false },
);

type Worth = 'one' | 'ten' | 'hundred';

interface Props {
  solution: Solution;
  count: Count;
  /** The bearing to hold that the caller asks for, where the count has none of its own yet. */
  hold: string;
  add: (line: CountLine) => Promise<StoreFault | null>;
  run: (command: Command) => Promise<Outcome>;
}

/** Held in the hand while walking: one huge area to tap, the beads, the metres so far. */
export function CounterPage({ solution, count, hold: wanted, add, run }: Props) {
  const { outing } = solution;
  const [worth, setWorth] = useState<Worth>('one');
  const [dialog, setDialog] = useState<'arrived' | 'seen' | null>(null);
  const [status, setStatus] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [choices, choose] = useChoices();
  const [motion, setMotion] = useState(false);
  const [compass, setCompass] = useState(false);
  const [held, setHeld] = useState(count.bearing || wanted);
  const awake = useWakeLock();
  const steps = choices.counting === 'steps';
  const metres = metresOf(solution, count, count.ground);
  const shown = steps ? count.paces * 2 : count.paces;
  const grounds = groundsOf(solution);

  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
  }, []);

  const write = useCallback(
    async (line: CountLine) => {
      const wrong = await add(line);
      setFault(wrong && `${WORDS.lost} ${STORE_WORDS[wrong]}`);
      return wrong === null;
    },
    [add],
  );

  /** What is typed shows at once; what is kept follows it. */
  const hold = (bearing: string, ground: string | undefined) => {
    setHeld(bearing);
    void write({ kind: 'leg', bearing, ground });
  };

  const hundreds = Math.floor((Number.isNaN(metres) ? 0 : metres) / 100);
  const heard = useRef({ hundreds, paces: count.paces + count.metres });
  useEffect(() => {
    const total = count.paces + count.metres;
    // A buzz answers what is durable, not the finger.
    if (total > heard.current.paces) {
      const full = hundreds > heard.current.hundreds;
      if (choices.buzz) buzz(full);
      if (choices.sound) beep(full);
    }
    heard.current = { hundreds, paces: total };
  }, [count.paces, count.metres, hundreds, choices.buzz, choices.sound]);

  const tap = useCallback(() => {
    setStatus('');
    const pace = steps ? 0.5 : 1;
    void write(
      worth === 'hundred'
        ? { kind: 'metres', by: 100 }
        : { kind: 'paces', by: worth === 'ten' ? 10 * pace : pace },
    );
  }, [write, worth, steps]);
  const undo = useCallback(() => void write({ kind: 'undo' }), [write]);
  const pace = useCallback(() => void write({ kind: 'paces', by: 1 }), [write]);
  const motionFault = useMotionCount(motion, pace);

  const log = async (words: { bearing: string; station: string; note: string }) => {
    const line = lineOf(solution, count, choices.counting, words);
    const entries = entriesOf(solution, count, line);
    if (!entries.ok) return faultWords(entries.fault);
    const outcome = await run(addEntries(entries.value));
    if (outcome.kind === 'refused') return faultWords(outcome.fault);
    if (outcome.kind === 'unsaved') return STORE_WORDS[outcome.fault];
    await write({ kind: 'end' });
    setDialog(null);
    setHeld('');
    setStatus(WORDS.logged(line));
    return null;
  };
  const unit = steps ? 'single steps' : 'paces';
  const nothing = count.paces === 0 && count.metres === 0;

  return (
    <div className={styles.page}>
      <ViewHeader
        title={WORDS.title}
        about={outing.name}
        back={{ href: `/outing?id=${encodeURIComponent(outing.id)}`, words: WORDS.back }}
      />
      <main className={styles.main}>
        <div className={styles.hold}>
          <label htmlFor="hold">{WORDS.hold}</label>
          <Input
            id="hold"
            className={styles.bearing}
            value={held}
            placeholder={WORDS.holdHint}
            inputMode="decimal"
            autoComplete="off"
            onChange={(event) => hold(event.target.value, count.ground)}
          />
          <Button onClick={() => setCompass(!compass)} aria-expanded={compass}>
            {WORDS.compass}
          </Button>
        </div>
        {compass && (
          <CompassAid
            onTake={(bearing) => {
              setCompass(false);
              hold(bearing, count.ground);
            }}
          />
        )}
        <GroundChips
          grounds={grounds}
          chosen={count.ground}
          onChoose={(ground) => hold(held, ground)}
        />
        <TapArea label={WORDS.tap(unit)} onTap={tap} onUndo={undo}>
          <span className={styles.figure} data-testid="counted">
            {shown}
          </span>
          <span>{unit}</span>
          <span className={styles.metres} data-testid="counted-metres">
            {Number.isNaN(metres)
              ? WORDS.noPace
              : WORDS.metres(Math.round(metres).toLocaleString('en'))}
          </span>
        </TapArea>
        <Beads metres={Number.isNaN(metres) ? 0 : metres} />
        <p className={styles.status} role="status">
          {fault ?? (status || (count.seen.length > 0 && WORDS.seenSoFar(count.seen.length)))}
        </p>
        <Radio.Group
          aria-label={WORDS.worth}
          value={worth}
          onChange={(event) => setWorth(event.target.value as Worth)}
          optionType="button"
          buttonStyle="solid"
          block
          options={[
            { value: 'one', label: steps ? '1 step' : '1 pace' },
            { value: 'ten', label: steps ? '10 steps' : '10 paces' },
            { value: 'hundred', label: '100 m' },
          ]}
        />
        <div className={styles.actions}>
          <Button
            icon={<UndoOutlined aria-hidden="true" />}
            onClick={undo}
            disabled={count.undoable.length === 0}
          >
            {WORDS.undo}
          </Button>
          <Button icon={<EyeOutlined aria-hidden="true" />} onClick={() => setDialog('seen')}>
            {WORDS.seen}
          </Button>
          <Button
            type="primary"
            className={styles.arrived}
            disabled={nothing}
            onClick={() => setDialog('arrived')}
          >
            {WORDS.arrived}
          </Button>
        </div>
        <details className={styles.more}>
          <summary>{WORDS.more}</summary>
          <Checkbox
            checked={choices.buzz}
            onChange={(event) => choose({ buzz: event.target.checked })}
          >
            {WORDS.buzz}
          </Checkbox>
          <Checkbox
            checked={choices.sound}
            onChange={(event) => choose({ sound: event.target.checked })}
          >
            {WORDS.sound}
          </Checkbox>
          <Checkbox
            checked={steps}
            onChange={(event) => choose({ counting: event.target.checked ? 'steps' : 'paces' })}
          >
            {WORDS.steps}
          </Checkbox>
          <Checkbox checked={motion} onChange={(event) => setMotion(event.target.checked)}>
            {WORDS.motion}
          </Checkbox>
          {motion && (
            <p className={styles.soft} role="status">
              {motionFault ? DEVICE_FAULTS[motionFault] : WORDS.motionCaution}
            </p>
          )}
          <p className={styles.soft}>{awake ? WORDS.awake : WORDS.dark}</p>
          <Button type="text" disabled={nothing} onClick={() => void write({ kind: 'end' })}>
            {WORDS.drop}
          </Button>
        </details>
        {devicesAreSimulated() && <DevicePanel />}
      </main>
      {dialog === 'arrived' && (
        <ArrivedDialog
          bearing={held}
          line={(words) => lineOf(solution, count, choices.counting, words)}
          solution={solution}
          onLog={log}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'seen' && (
        <SeenDialog
          metres={Number.isNaN(metres) ? null : metres}
          onKeep={(seen) => {
            setDialog(null);
            void write({ kind: 'seen', ...seen });
          }}
          onClose={() => setDialog(null)}
        />
      )}
    </div>
  );
}
