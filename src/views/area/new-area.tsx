'use client';
import { Checkbox } from 'antd';
import { useEffect, useState } from 'react';
import { blankArea, MOST_OUTINGS, type Area } from '@/core/model/area';
import type { Outing } from '@/core/model/outing';
import { visibleText } from '@/core/units/visible';
import { areaLogs } from '@/store/documents/areas';
import type { DocumentOutcome } from '@/store/documents/document-log';
import { listedOutings } from '@/store/snapshots/listed';
import { storeFault } from '@/store/store-fault';
import { PressButton } from '@/ui/controls/press-button';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { aboutOuting } from '@/views/shared/words/outing-about';
import { BACK_TO_OUTINGS, Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from './area.module.css';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** An area with more outings; those that it has already stay where they are. */
const joined = (area: Area, ids: readonly string[]): Area => ({
  ...area,
  outings: [...new Set([...area.outings, ...ids])].slice(0, MOST_OUTINGS),
});

/** The outings and the areas of this device, and what is done with those that are chosen. */
function useChoice(chosen: readonly string[]) {
  const [outings, setOutings] = useState<readonly Outing[]>([]);
  const [areas, setAreas] = useState<readonly Area[]>([]);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    const database = browserDatabase();
    void Promise.all([listedOutings(database), areaLogs.all(database)]).then(
      ([listed, stored]) => {
        setOutings(listed.outings.map(({ state }) => state.document));
        setAreas(stored.map(({ document: area }) => area));
      },
      (error: unknown) => setFault(STORE_MESSAGES[storeFault(error)]),
    );
  }, []);
  const openWhenSaved = (outcome: DocumentOutcome, id: string) => {
    if (outcome.kind === 'unsaved') setFault(STORE_MESSAGES[outcome.fault]);
    else void leaveFor(viewUrl('area', id));
  };
  // In the order of the list: the first one is the origin.
  const ids = outings.map((outing) => outing.id).filter((each) => chosen.includes(each));
  const make = async () => {
    const id = crypto.randomUUID();
    const name = visibleText(outings.find((outing) => outing.id === ids[0])?.name ?? '');
    openWhenSaved(await areaLogs.add(browserDatabase(), blankArea(id, name, ids), new Date()), id);
  };
  const addTo = async ({ id }: Area) => {
    const add = (before: Area) => ({ kind: 'edit' as const, before, after: joined(before, ids) });
    const now = new Date();
    openWhenSaved(
      await areaLogs.change(browserDatabase(), id, (state) => state && add(state.document), now),
      id,
    );
  };
  return { outings, areas, fault, make, addTo };
}

/** Choosing outings, for a new area or for one that is there. */
export function NewArea({ chosenFirst }: { chosenFirst: readonly string[] }) {
  const [chosen, setChosen] = useState<readonly string[]>(chosenFirst);
  const { outings, areas, fault, make, addTo } = useChoice(chosen);
  const choose = (id: string, isChosen: boolean) =>
    setChosen((before) => (isChosen ? [...before, id] : before.filter((each) => each !== id)));
  const isNone = chosen.length === 0;
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
                onChange={({ target }) => choose(outing.id, target.checked)}
              >
                {visibleText(outing.name) || WORDS.untitled}{' '}
                <span className={styles.soft}>{aboutOuting(outing)}</span>
              </Checkbox>
            </li>
          ))}
        </ul>
        <div className={layout.row}>
          <PressButton look="primary" large disabled={isNone} onClick={() => void make()}>
            {WORDS.make}
          </PressButton>
          {areas.map((area) => (
            <PressButton key={area.id} large disabled={isNone} onClick={() => void addTo(area)}>
              {WORDS.addTo(visibleText(area.name) || WORDS.untitled)}
            </PressButton>
          ))}
        </div>
        {isNone && <p className={styles.soft}>{WORDS.chooseSome}</p>}
      </Section>
    </ViewPage>
  );
}
