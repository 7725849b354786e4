'use client';
import PlusOutlined from '@ant-design/icons-svg/es/asn/PlusOutlined';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { BackupState } from '@/store/backup';
import { storeFault, type StoreFault } from '@/store/store-fault';
import { CairnMark } from '@/ui/cairn-mark';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { visibleText } from '@/core/units/visible';
import { viewTitle, viewUrl } from '@/views/views';
import { Areas } from './areas';
import type { StoredOuting } from '@/store/outings';
import { OutingList } from './outing-list';
import type { ListActions } from './outing-row';
import styles from './outings.module.css';
import { useOutings } from './use-outings';
import { PressButton } from '@/ui/controls/press-button';
import { WORDS } from './words';
import { leaveFor } from '@/store/browser-database';
import layout from '@/views/shared/page/layout.module.css';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** What is being done with outings, and what went wrong with it. */
function useAttempts() {
  const [fault, setFault] = useState<StoreFault | null>(null);
  const [busy, setBusy] = useState(false);
  /** Resolves to whether it was done. */
  const attempt = async (action: () => Promise<unknown>): Promise<boolean> => {
    setBusy(true);
    setFault(null);
    try {
      await action();
      return true;
    } catch (error) {
      setFault(storeFault(error));
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { fault, busy, attempt };
}

/** A name that no outing has: with a number where the day alone is taken. */
function freeName(wanted: string, taken: readonly string[]): string {
  const names = new Set(taken);
  let name = wanted;
  for (let number = 2; names.has(name); number++) name = `${wanted} (${number})`;
  return name;
}

/** What was deleted last. */
interface Removed {
  readonly ids: readonly string[];
  readonly words: string;
}

/** What is done with outings of the list; `tell` is called with what was deleted. */
const listActions = (
  outings: readonly StoredOuting[],
  attempt: (action: () => Promise<unknown>) => Promise<boolean>,
  remove: (id: string) => Promise<unknown>,
  tell: (removed: Removed) => void,
): ListActions => ({
  remove: (chosen) =>
    void attempt(() => Promise.all(chosen.map(({ id }) => remove(id)))).then((done) => {
      const [first] = chosen;
      const name = visibleText(first?.name ?? '') || WORDS.untitled;
      const words = chosen.length === 1 ? WORDS.removed(name) : WORDS.removedSome(chosen.length);
      if (done) tell({ ids: chosen.map(({ id }) => id), words });
    }),
  // Its code comes with the first that is renamed: the start page is to be light.
  rename: async ({ id }, name) => (await import('./change-outing')).renameOuting(id, name),
  duplicate: async (outing) => {
    const names = outings.map((each) => each.state.document.name);
    const { duplicateOuting } = await import('./change-outing');
    const done = await attempt(() => duplicateOuting(outing, freeName(outing.name, names)));
    return done ? null : WORDS.notDuplicated;
  },
});

/** The start page: every outing, and one button that starts another. */
export function Outings() {
  const { state, startOuting, openDemo, openDemoArea, remove, restore } = useOutings();
  const { fault, busy, attempt } = useAttempts();
  const [removed, setRemoved] = useState<Removed | null>(null);
  const outings = state.status === 'ready' ? state.outings : [];
  const open = (id: string) => void leaveFor(viewUrl('outing', id));
  const start = () =>
    attempt(async () => {
      const today = dayjs();
      const name = freeName(
        WORDS.newName(today.format('D MMMM YYYY')),
        outings.map((each) => each.state.document.name),
      );
      open(await startOuting(name, today.format('YYYY-MM-DD')));
    });
  const putBack = async (ids: readonly string[]) => {
    if (await attempt(() => Promise.all(ids.map(restore)))) setRemoved(null);
  };
  const actions = listActions(outings, attempt, remove, setRemoved);
  const failed = fault ?? (state.status === 'failed' ? state.fault : null);
  return (
    <div className={styles.page}>
      <Header />
      <main className={styles.paper}>
        <div className={styles.head}>
          <h1>{viewTitle('outings')}</h1>
          {outings.length > 0 && <StartButtons onStart={start} busy={busy} />}
        </div>
        {failed && (
          <p role="alert" className={styles.alert}>
            {STORE_MESSAGES[failed]}
          </p>
        )}
        {removed && <RemovedNote words={removed.words} onRestore={() => putBack(removed.ids)} />}
        {state.status === 'loading' && <p className={styles.status}>{WORDS.loading}</p>}
        {state.status === 'ready' && <BackupReminder backup={state.backup} />}
        {state.status === 'ready' && outings.length === 0 && (
          <Empty
            onStart={start}
            busy={busy}
            onDemo={() => attempt(async () => open(await openDemo()))}
            onDemoArea={() =>
              attempt(async () => void leaveFor(viewUrl('area', await openDemoArea())))
            }
          />
        )}
        {outings.length > 0 && <OutingList outings={outings} actions={actions} />}
        {state.status === 'ready' && <Areas areas={state.areas} outings={outings.length} />}
      </main>
    </div>
  );
}

/** What was deleted, and the way back. */
const RemovedNote = ({ words, onRestore }: { words: string; onRestore: () => void }) => (
  <p role="status" className={styles.status}>
    {words}{' '}
    <button type="button" className={styles.textButton} onClick={onRestore}>
      {SHARED_WORDS.restore}
    </button>
  </p>
);

const Header = () => (
  <header className={styles.header}>
    <span className={styles.mark}>
      <CairnMark />
    </span>
    <span className={styles.brand}>{WORDS.brand}</span>
  </header>
);

interface StartProps {
  onStart: () => void;
  busy: boolean;
}

const StartButtons = ({ onStart, busy }: StartProps) => (
  <div className={`${styles.choices} ${styles.atHead}`}>
    <PressButton large href={viewUrl('step-off')}>
      {WORDS.stepOff}
    </PressButton>
    <PressButton look="primary" large icon={PlusOutlined} onClick={onStart} busy={busy}>
      {WORDS.start}
    </PressButton>
  </div>
);

const BackupReminder = ({ backup }: { backup: BackupState }) =>
  backup.due && (
    <p role="status" className={styles.status}>
      {WORDS.due(backup.changesSince, backup.at !== null)}{' '}
      <a href={viewUrl('files')}>{WORDS.backUp}</a>
    </p>
  );

/** Before the first outing: what this is, and where to begin. */
const Empty = ({
  onStart,
  busy,
  onDemo,
  onDemoArea,
}: StartProps & { onDemo: () => void; onDemoArea: () => void }) => (
  <section className={styles.empty}>
    <CairnMark size={88} />
    <p className={styles.what}>{WORDS.what}</p>
    <div className={styles.choices}>
      <PressButton look="primary" large onClick={onStart} busy={busy}>
        {WORDS.start}
      </PressButton>
      <PressButton large href={viewUrl('step-off')}>
        {WORDS.stepOff}
      </PressButton>
      <PressButton large href={viewUrl('files')}>
        {WORDS.importFile}
      </PressButton>
      <PressButton large onClick={onDemo}>
        {WORDS.demo}
      </PressButton>
      <PressButton large onClick={onDemoArea}>
        {WORDS.demoArea}
      </PressButton>
    </div>
    <p className={layout.soft}>{WORDS.noNetwork}</p>
  </section>
);
