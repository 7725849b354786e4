'use client';
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { ownPaces } from '@/views/shared/data/own-paces';
import { loadEarthModels } from '@/views/shared/data/use-earth-models';
import { PlainPage } from '@/views/shared/page/plain-page';
import { BACK_TO_OUTINGS, backToLog, ViewPage } from '@/views/shared/page/view-page';
import { Backup } from './backup';
import { PhoneToPhone } from './codes/phone-to-phone';
import { Export } from './export';
import styles from './files.module.css';
import { Import, IMPORT_ID } from './import/import';
import type { Offered } from './import/offered-file';
import { KeptHeights } from './kept-heights';
import { useFiles } from './use-files';
import { WORDS } from './words';

/** Export, import, backup, and the way from phone to phone. */
export function Files() {
  const state = useFiles();
  const query = useSearchParams();
  const id = query.get('id');
  const only = query.get('only')?.split(' ') ?? null;
  const [offered, setOffered] = useState<Offered | null>(null);
  useEffect(() => {
    // What reading and writing needs is loaded now: there may be no network later.
    void loadEarthModels();
    void ownPaces();
  }, []);
  const offer = useCallback((file: Offered) => {
    setOffered(file);
    document.getElementById(IMPORT_ID)?.scrollIntoView({ block: 'start' });
  }, []);
  if (state.status === 'loading') return <PlainPage words={WORDS.loading} />;
  if (state.status === 'failed') return <PlainPage words={STORE_MESSAGES[state.fault]} alert />;
  const { outings, backup, copies } = state;
  const outing = outings.find((each) => each.id === id);
  const first = outing?.id ?? null;
  return (
    <ViewPage view="files" back={outing ? backToLog(outing) : BACK_TO_OUTINGS}>
      <div className={styles.columns}>
        <div>
          <Backup backup={backup} copies={copies} onOffer={offer} />
          <Import offered={offered} onOffer={setOffered} />
        </div>
        <div>
          <Export
            outings={only ? outings.filter((each) => only.includes(each.id)) : outings}
            first={first}
            isSome={only !== null}
          />
          <KeptHeights outings={outings} />
          <PhoneToPhone outings={outings} first={first} onOffer={offer} />
        </div>
      </div>
    </ViewPage>
  );
}
