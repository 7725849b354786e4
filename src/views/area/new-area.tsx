'use client';
import { Checkbox } from 'antd';
import { useEffect, useState } from 'react';
import { blankArea } from '@/core/model/area';
import type { Outing } from '@/core/model/outing';
import { visibleText } from '@/core/units/visible';
import { addArea } from '@/store/areas/areas';
import { listedOutings } from '@/store/snapshots/listed';
import { storeFault } from '@/store/store-fault';
import { PressButton } from '@/ui/controls/press-button';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { browserDatabase } from '@/views/shared/data/browser-store';
import { BACK_TO_OUTINGS, Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from './area.module.css';
import { WORDS } from './words';

/** Choosing the outings of a new area. */
export function NewArea({ chosenFirst }: { chosenFirst: readonly string[] }) {
  const [outings, setOutings] = useState<readonly Outing[]>([]);
  const [chosen, setChosen] = useState<readonly string[]>(chosenFirst);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    void listedOutings(browserDatabase()).then(
      (listed) => setOutings(listed.outings.map(({ state }) => state.outing)),
      (error: unknown) => setFault(STORE_MESSAGES[storeFault(error)]),
    );
  }, []);
  const make = async () => {
    const id = crypto.randomUUID();
    // In the order of the list: the first one is the origin.
    const ids = outings.map((outing) => outing.id).filter((each) => chosen.includes(each));
    const name = visibleText(outings.find((outing) => outing.id === ids[0])?.name ?? '');
    const outcome = await addArea(browserDatabase(), blankArea(id, name, ids), new Date());
    if (outcome.kind === 'unsaved') setFault(STORE_MESSAGES[outcome.fault]);
    else location.assign(viewUrl('area', id));
  };
  return (
    <ViewPage view="area" back={BACK_TO_OUTINGS} width="medium">
      <Section id="new-area" title={WORDS.newArea}>
        <p>{WORDS.newAreaWhy}</p>
        {fault && <p role="alert">{fault}</p>}
        <ul className={styles.rows}>
          {outings.map((outing) => (
            <li key={outing.id}>
              <Checkbox
                checked={chosen.includes(outing.id)}
                onChange={({ target }) =>
                  setChosen((before) =>
                    target.checked
                      ? [...before, outing.id]
                      : before.filter((each) => each !== outing.id),
                  )
                }
              >
                {visibleText(outing.name) || WORDS.untitled}
                {outing.by && <span className={styles.soft}> {WORDS.byWhom(outing.by)}</span>}
              </Checkbox>
            </li>
          ))}
        </ul>
        <PressButton
          look="primary"
          large
          disabled={chosen.length === 0}
          onClick={() => void make()}
        >
          {WORDS.make}
        </PressButton>
        {chosen.length === 0 && <p className={styles.soft}>{WORDS.chooseSome}</p>}
      </Section>
    </ViewPage>
  );
}
