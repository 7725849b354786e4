import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { STORAGE_WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** Whether the browser has promised to keep what it stores; unknown where it doesn't say. */
type Kept = 'granted' | 'not-granted' | 'unknown';

const asKept = (granted: boolean | undefined): Kept =>
  granted === undefined ? 'unknown' : granted ? 'granted' : 'not-granted';

/** A browser that has not answered by then is asking the person. */
const ASKING_MS = 400;

/** Says whether the browser may clear the outings, and what to do about it. */
export function StoragePromise() {
  const [kept, setKept] = useState<Kept | null>(null);
  const [wasAsked, setWasAsked] = useState(false);
  const [isAsking, setAsking] = useState(false);
  useEffect(() => {
    let gone = false;
    const show = (granted: boolean | undefined) => !gone && setKept(asKept(granted));
    // A browser that refuses to say leaves it open.
    void Promise.resolve(navigator.storage?.persisted?.()).then(show, () => show(undefined));
    return () => {
      gone = true;
    };
  }, []);
  const ask = async () => {
    // Some browsers put the question to the person, and answer when they have.
    const timer = setTimeout(() => setAsking(true), ASKING_MS);
    const granted = await navigator.storage?.persist?.().catch(() => undefined);
    clearTimeout(timer);
    setAsking(false);
    setWasAsked(true);
    setKept(asKept(granted));
  };
  if (!kept) return null;
  return (
    <div data-testid="storage">
      <p className={kept === 'granted' ? layout.soft : undefined}>{STORAGE_WORDS[kept]}</p>
      <p className={layout.soft}>{STORAGE_WORDS.private}</p>
      {kept === 'not-granted' && (
        <>
          <p className={layout.soft}>{STORAGE_WORDS.whatToDo}</p>
          {wasAsked ? (
            <p role="status">{STORAGE_WORDS.refused}</p>
          ) : (
            <Button onClick={ask}>{STORAGE_WORDS.ask}</Button>
          )}
          <p role="status">{isAsking && STORAGE_WORDS.asking}</p>
        </>
      )}
    </div>
  );
}
