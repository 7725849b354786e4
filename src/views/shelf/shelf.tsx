'use client';
import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import dayjs from 'dayjs';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { needsEarthModels } from '@/core/norths-of';
import { solve } from '@/core/solve';
import type { Shelved } from '@/store/shelf';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { CairnMark } from '@/ui/cairn-mark';
import { LightSwitch } from '@/ui/light-switch';
import { STORE_WORDS } from '@/ui/store-words';
import { SmallSketch } from '@/views/shared/small-sketch';
import { useEarthModels } from '@/views/shared/use-earth-models';
import styles from './shelf.module.css';
import { useShelf } from './use-shelf';
import { WORDS } from './words';

/** The start page: every outing, and one button that starts another. */
export function Shelf() {
  const { state, startOuting, openDemo, discard, recover } = useShelf();
  const [fault, setFault] = useState<StoreFault | null>(null);
  const [gone, setGone] = useState<{ id: string; name: string } | null>(null);
  const [busy, setBusy] = useState(false);

  useEffect(() => {
    document.title = 'Cairn Back';
  }, []);

  const attempt = async (action: () => Promise<unknown>) => {
    setBusy(true);
    setFault(null);
    try {
      await action();
    } catch (error) {
      setFault(storeFault(error));
    }
    setBusy(false);
  };
  const open = (id: string) => location.assign(`/outing?id=${encodeURIComponent(id)}`);
  const start = () =>
    attempt(async () => {
      const today = dayjs();
      open(
        await startOuting(WORDS.newName(today.format('D MMMM YYYY')), today.format('YYYY-MM-DD')),
      );
    });

  const rows = useGrowing(state.status === 'ready' ? state.outings.length : 0);
  const failed = fault ?? (state.status === 'failed' ? state.fault : null);
  const empty = state.status === 'ready' && state.outings.length === 0;
  return (
    <div className={styles.page}>
      <header className={styles.header}>
        <CairnMark />
        <span className={styles.brand}>Cairn Back</span>
        <a href="/files" className={styles.guide}>
          {WORDS.files}
        </a>
        <a href="/guide" className={styles.guide}>
          {WORDS.guide}
        </a>
        <LightSwitch />
      </header>
      <main className={styles.paper}>
        <div className={styles.head}>
          <h1>{WORDS.title}</h1>
          {state.status === 'ready' && !empty && (
            <div className={styles.choices}>
              <Button size="large" href="/step-off">
                {WORDS.stepOff}
              </Button>
              <Button
                type="primary"
                size="large"
                icon={<PlusOutlined aria-hidden="true" />}
                onClick={start}
                loading={busy}
              >
                {WORDS.start}
              </Button>
            </div>
          )}
        </div>
        {failed && (
          <p role="alert" className={styles.alert}>
            {STORE_WORDS[failed]}
          </p>
        )}
        {gone && (
          <p role="status" className={styles.status}>
            {WORDS.discarded(gone.name)}{' '}
            <button
              type="button"
              className={styles.textButton}
              onClick={() => attempt(() => recover(gone.id)).then(() => setGone(null))}
            >
              {WORDS.putBack}
            </button>
          </p>
        )}
        {state.status === 'ready' && state.backup.due && (
          <p role="status" className={styles.status}>
            {WORDS.due(state.backup.changesSince, state.backup.at !== null)}{' '}
            <a href="/files">{WORDS.backUp}</a>
          </p>
        )}
        {state.status === 'loading' && <p className={styles.status}>{WORDS.loading}</p>}
        {empty && (
          <section className={styles.empty}>
            <CairnMark size={88} />
            <p className={styles.what}>{WORDS.whatItIs}</p>
            <div className={styles.choices}>
              <Button type="primary" size="large" onClick={start} loading={busy}>
                {WORDS.start}
              </Button>
              <Button size="large" href="/step-off">
                {WORDS.stepOff}
              </Button>
              <Button size="large" href="/files">
                {WORDS.takeIn}
              </Button>
              <Button size="large" onClick={() => attempt(async () => open(await openDemo()))}>
                {WORDS.demo}
              </Button>
            </div>
            <p className={styles.soft}>{WORDS.noNetwork}</p>
          </section>
        )}
        {state.status === 'ready' && !empty && (
          <ul className={styles.list}>
            {state.outings.slice(0, rows).map((shelved) => (
              <OutingRow
                key={shelved.page.outing.id}
                shelved={shelved}
                onDiscard={(id, name) =>
                  attempt(() => discard(id)).then(() => setGone({ id, name }))
                }
              />
            ))}
          </ul>
        )}
      </main>
    </div>
  );
}

/** Rows that fill the first screen with some to spare, and how many join them at a time after it is painted. */
const FIRST_ROWS = 16;
const MORE_ROWS = 40;

/** How many of these many rows to draw: the first screen at once, the rest when that is done. */
function useGrowing(count: number): number {
  const [drawn, setDrawn] = useState(FIRST_ROWS);
  useEffect(() => {
    if (drawn >= count) return;
    const timer = setTimeout(() => startTransition(() => setDrawn(drawn + MORE_ROWS)));
    return () => clearTimeout(timer);
  }, [drawn, count]);
  return drawn;
}

function OutingRow({
  shelved,
  onDiscard,
}: {
  shelved: Shelved;
  onDiscard: (id: string, name: string) => void;
}) {
  const { outing } = shelved.page;
  const models = useEarthModels(needsEarthModels(outing));
  const solved = useMemo(() => solve(outing, models), [outing, models]);
  const name = outing.name || WORDS.untitled;
  const waiting = !solved.ok && solved.fault.fault.code === 'model-not-loaded';
  return (
    <li className={styles.row}>
      <a className={styles.outing} href={`/outing?id=${encodeURIComponent(outing.id)}`}>
        <span className={styles.sketch}>
          {solved.ok && <SmallSketch solution={solved.value} />}
        </span>
        <span className={styles.words}>
          <span className={styles.name}>{name}</span>
          <span className={styles.soft}>
            {outing.date && dayjs(outing.date.day).format('D MMMM YYYY')}
            {outing.date?.time && `, ${outing.date.time}`}
          </span>
          {solved.ok && (
            <span className={styles.figures}>
              {WORDS.legs(solved.value.traverse.legs)} · {WORDS.walked(solved.value.walkedMetres)}
            </span>
          )}
          {shelved.damaged && <span className={styles.warning}>{WORDS.damaged}</span>}
          {!solved.ok && !waiting && <span className={styles.warning}>{WORDS.unsolved}</span>}
        </span>
      </a>
      <Button
        type="text"
        icon={<DeleteOutlined aria-hidden="true" />}
        aria-label={`${WORDS.discard}: ${name}`}
        title={WORDS.discard}
        onClick={() => onDiscard(outing.id, name)}
      />
    </li>
  );
}
