import { Button, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Outing } from '@/core/logbook';
import styles from './files.module.css';
import type { Offered } from './offered';
import { WORDS } from './words';

const ShowCodes = dynamic(() => import('./show-codes').then((it) => it.ShowCodes), { ssr: false });
const ReadCodes = dynamic(() => import('./read-codes').then((it) => it.ReadCodes), { ssr: false });

/** An outing from one screen to another's camera, without a network. */
export function PhoneToPhone({
  outings,
  first,
  onOffer,
}: {
  outings: readonly Outing[];
  first: string | null;
  onOffer: (offered: Offered) => void;
}) {
  const [id, setId] = useState(first ?? outings[0]?.id ?? '');
  const [mode, setMode] = useState<'show' | 'read' | null>(null);
  const outing = outings.find((each) => each.id === id);
  return (
    <section className={styles.part} aria-labelledby="phone">
      <h2 id="phone">{WORDS.phone}</h2>
      <p className={styles.soft}>{WORDS.phoneHow}</p>
      {outing && (
        <>
          <label htmlFor="sent">{WORDS.which}</label>
          <Select
            id="sent"
            className={styles.select}
            value={id}
            onChange={(value: string) => setId(value)}
            options={outings.map((each) => ({ value: each.id, label: each.name || 'Outing' }))}
          />
        </>
      )}
      <div className={styles.row}>
        {outing && (
          <Button
            onClick={() => setMode(mode === 'show' ? null : 'show')}
            aria-pressed={mode === 'show'}
          >
            {mode === 'show' ? WORDS.stopCodes : WORDS.showCodes}
          </Button>
        )}
        <Button
          onClick={() => setMode(mode === 'read' ? null : 'read')}
          aria-pressed={mode === 'read'}
        >
          {mode === 'read' ? WORDS.stopReading : WORDS.readCodes}
        </Button>
      </div>
      {mode === 'show' && outing && <ShowCodes key={outing.id} outing={outing} />}
      {mode === 'read' && (
        <ReadCodes
          onText={(content) => {
            setMode(null);
            onOffer({ name: WORDS.scanned, content });
          }}
        />
      )}
    </section>
  );
}
