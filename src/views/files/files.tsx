'use client';
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { loadEarthModels } from '@/views/shared/use-earth-models';
import { ownPaces } from '@/views/shared/own-paces';
import { PlainPage } from '@/views/shared/plain-page';
import { ViewHeader } from '@/views/shared/view-header';
import { STORE_WORDS } from '@/ui/store-words';
import { HandOut } from './hand-out';
import styles from './files.module.css';
import { KeepSafe } from './keep-safe';
import { PhoneToPhone } from './phone-to-phone';
import { TakeIn } from './take-in';
import type { Offered } from './offered';
import { useFiles } from './use-files';
import { WORDS } from './words';

/** Files in and out, the backup, and the way from phone to phone. */
export function Files() {
  const state = useFiles();
  const id = useSearchParams().get('id');
  const [offered, setOffered] = useState<Offered | null>(null);
  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
    // What reading and writing needs is loaded at once: there may be no network later.
    void loadEarthModels();
    void ownPaces();
  }, []);
  const offer = useCallback((next: Offered) => {
    setOffered(next);
    document.getElementById('take-in')?.scrollIntoView({ block: 'start' });
  }, []);
  if (state.status === 'loading') return <PlainPage words={WORDS.loading} />;
  if (state.status === 'failed') return <PlainPage words={STORE_WORDS[state.fault]} alert />;
  const { outings, backup, copies } = state;
  const chosen = outings.some((outing) => outing.id === id) ? id : null;
  return (
    <div className={styles.page}>
      <ViewHeader
        title={WORDS.title}
        back={
          chosen
            ? { href: `/outing?id=${encodeURIComponent(chosen)}`, words: 'Back to the log' }
            : { href: '/', words: WORDS.toShelf }
        }
      />
      <main className={styles.paper}>
        <div className={styles.columns}>
          <div>
            <KeepSafe backup={backup} copies={copies} onOffer={offer} />
            <TakeIn offered={offered} onOffer={setOffered} />
          </div>
          <div>
            <HandOut outings={outings} first={chosen} />
            <PhoneToPhone outings={outings} first={chosen} onOffer={offer} />
          </div>
        </div>
      </main>
    </div>
  );
}
