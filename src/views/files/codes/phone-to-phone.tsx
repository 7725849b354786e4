import { Button, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { logbookOf } from '@/core/model/logbook';
import type { Outing } from '@/core/model/outing';
import { outingInList } from '@/views/shared/words/outing-about';
import { Section } from '@/views/shared/page/view-page';
import styles from '../files.module.css';
import { offeredFile, type Offered } from '../import/offered-file';
import { WORDS } from '../words';
import { codedText } from './coded-text';
import layout from '@/views/shared/page/layout.module.css';

const ShowCodes = dynamic(() => import('./show-codes').then((it) => it.ShowCodes), { ssr: false });
const ReadCodes = dynamic(() => import('./read-codes').then((it) => it.ReadCodes), { ssr: false });

interface Props {
  outings: readonly Outing[];
  /** The outing that is chosen at first. */
  first: string | null;
  onOffer: (file: Offered) => void;
}

/** An outing from one phone's screen to another's camera, without a network. */
export function PhoneToPhone({ outings, first, onOffer }: Props) {
  const [id, setId] = useState(first ?? outings[0]?.id ?? '');
  const [mode, setMode] = useState<'show' | 'read' | null>(null);
  const outing = outings.find((each) => each.id === id);
  const text = useMemo(
    () => (outing ? codedText(logbookOf([outing], new Date().toISOString())) : null),
    [outing],
  );
  const toggle = (wanted: 'show' | 'read') => setMode(mode === wanted ? null : wanted);
  return (
    <Section id="phone" title={WORDS.phone}>
      <p className={layout.soft}>{WORDS.phoneHow}</p>
      {outing && (
        <>
          <label htmlFor="sent">{WORDS.whichOuting}</label>
          <Select
            id="sent"
            className={styles.select}
            value={id}
            onChange={setId}
            options={outings.map((each) => ({
              value: each.id,
              label: outingInList(each, WORDS.untitled),
            }))}
          />
        </>
      )}
      <div className={styles.row}>
        {outing && (
          <Button onClick={() => toggle('show')} aria-pressed={mode === 'show'}>
            {mode === 'show' ? WORDS.hideCodes : WORDS.showCodes}
          </Button>
        )}
        <Button onClick={() => toggle('read')} aria-pressed={mode === 'read'}>
          {mode === 'read' ? WORDS.stopReading : WORDS.readCodes}
        </Button>
      </div>
      {mode === 'show' && text !== null && <ShowCodes key={outing?.id} text={text} />}
      {mode === 'read' && (
        <ReadCodes
          onText={(content) => {
            setMode(null);
            onOffer(offeredFile(WORDS.scanned, content));
          }}
        />
      )}
    </Section>
  );
}
