'use client';
import { useSerwist } from '@serwist/turbopack/react';
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import styles from '../notice.module.css';
import { isBusy, VersionChannel } from './agreement';
import { BUILD } from './build';
import { loadNewest } from './newest';
import { DATABASE_NEWER, LOADED, UPGRADE_WAITS, WHICH_BUILD } from './protocol';

const WORDS = {
  waiting: 'A new version of Cairn Back is ready. Your log stays as it is.',
  update: 'Update now',
  later: 'Later',
  busy: (tabs: number) =>
    tabs === 1
      ? 'Another tab has something open. Finish there, or close it: then this one updates.'
      : `${tabs} other tabs have something open. Finish there: then this one updates.`,
  anyway: 'Update anyway',
  asked: 'Another tab wants to update Cairn Back. What you typed in the log is kept.',
  agree: 'Update this tab too',
  taken: 'Cairn Back was updated in another tab. Load this page again when it suits you.',
  reload: 'Load again',
  gate: 'Other tabs still use the old version. This page opens once they have moved on.',
} as const;

/** What is said about versions: nothing, a new one, other tabs that are busy, or being asked. */
type Shown =
  | { readonly kind: 'nothing' | 'waiting' | 'asked' | 'taken' | 'gate' }
  | { readonly kind: 'busy'; readonly tabs: number };
const NOTHING: Shown = { kind: 'nothing' };

/** Says that a new version of the app is ready, and switches to it when all tabs agree. */
export function NewVersion() {
  const { shown, update, agree, anyway, dismiss } = useVersions();
  switch (shown.kind) {
    case 'nothing':
      return null;
    case 'waiting':
      return (
        <Notice words={WORDS.waiting} action={WORDS.update} onAction={update} onLater={dismiss} />
      );
    case 'gate':
      return <Notice words={WORDS.gate} action={WORDS.anyway} onAction={anyway} />;
    case 'busy':
      return (
        <Notice
          words={WORDS.busy(shown.tabs)}
          action={WORDS.anyway}
          onAction={anyway}
          onLater={dismiss}
        />
      );
    case 'asked':
      return <Notice words={WORDS.asked} action={WORDS.agree} onAction={agree} />;
    case 'taken':
      return (
        <Notice words={WORDS.taken} action={WORDS.reload} onAction={() => location.reload()} />
      );
  }
}

interface NoticeProps {
  words: string;
  action: string;
  onAction: () => void;
  onLater?: () => void;
}

const Notice = ({ words, action, onAction, onLater }: NoticeProps) => (
  <div className={styles.notice} role="status">
    <span>{words}</span>
    <button type="button" className={styles.action} onClick={onAction}>
      {action}
    </button>
    {onLater && (
      <button type="button" className={styles.action} onClick={onLater}>
        {WORDS.later}
      </button>
    )}
  </div>
);

function useVersions() {
  const { serwist } = useSerwist();
  const [shown, setShown] = useState<Shown>(NOTHING);
  const channel = useRef<VersionChannel | null>(null);
  useEffect(() => {
    const own = new VersionChannel(() => setShown({ kind: 'asked' }));
    channel.current = own;
    return () => own.close();
  }, []);
  useEffect(() => (serwist ? answerWhichBuild() : undefined), [serwist]);
  useEffect(() => {
    if (!serwist) return;
    const onWaiting = () => {
      if (!gated.current) setShown({ kind: 'waiting' });
    };
    serwist.addEventListener('waiting', onWaiting);
    return () => serwist.removeEventListener('waiting', onWaiting);
  }, [serwist]);
  const gated = useRef(false);
  useReloadWhenTaken(gated, () => setShown({ kind: 'taken' }));

  const take = useCallback(() => serwist?.messageSkipWaiting(), [serwist]);
  const update = useCallback(
    () =>
      channel.current?.ask(({ busy }) => {
        if (busy > 0) setShown({ kind: 'busy', tabs: busy });
        else take();
      }),
    [take],
  );
  useGate(gated, () => setShown({ kind: 'gate' }), update);
  return {
    shown,
    update,
    anyway: take,
    agree: () => {
      setShown(NOTHING);
      channel.current?.ready();
    },
    dismiss: () => setShown(NOTHING),
  };
}

/**
 * A page that may not open the database yet, since older tabs use it, can do nothing but take over
 * once they agree; one that is older than the database loads the newest version.
 */
function useGate(gated: RefObject<boolean>, onGate: () => void, update: () => void): void {
  const { serwist } = useSerwist();
  const latest = useRef({ onGate, update });
  useEffect(() => {
    latest.current = { onGate, update };
  });
  useEffect(() => {
    const wait = () => {
      gated.current = true;
      latest.current.onGate();
      void serwist?.update().catch(() => undefined);
    };
    const take = () => gated.current && latest.current.update();
    const newer = () => void loadNewest();
    addEventListener(UPGRADE_WAITS, wait);
    addEventListener(DATABASE_NEWER, newer);
    serwist?.addEventListener('waiting', take);
    return () => {
      removeEventListener(UPGRADE_WAITS, wait);
      removeEventListener(DATABASE_NEWER, newer);
      serwist?.removeEventListener('waiting', take);
    };
  }, [gated, serwist]);
}

/** Loads the page again once a new version is in charge; a busy tab only gets the report. */
function useReloadWhenTaken(gated: RefObject<boolean>, onTaken: () => void): void {
  const report = useRef(onTaken);
  useEffect(() => {
    report.current = onTaken;
  });
  useEffect(() => {
    const { serviceWorker } = navigator;
    if (!serviceWorker) return;
    let inCharge = serviceWorker.controller !== null;
    const changed = () => {
      // The first worker of all takes charge of pages that are of its own build.
      if (!inCharge && !gated.current) inCharge = true;
      else if (isBusy()) report.current();
      else location.reload();
    };
    serviceWorker.addEventListener('controllerchange', changed);
    return () => serviceWorker.removeEventListener('controllerchange', changed);
  }, [gated]);
}

/** Tells the offline worker that this tab has loaded, and its build whenever it asks. */
function answerWhichBuild(): () => void {
  const { serviceWorker } = navigator;
  const answer = ({ data, ports }: MessageEvent<{ kind?: unknown } | null>) => {
    if (data?.kind === WHICH_BUILD) ports[0]?.postMessage(BUILD);
  };
  serviceWorker.addEventListener('message', answer);
  serviceWorker.startMessages();
  void serviceWorker.ready.then(({ active }) => active?.postMessage({ kind: LOADED }));
  return () => serviceWorker.removeEventListener('message', answer);
}
