'use client';
import { useState } from 'react';
import { nameOf } from '@/core/survey/party/party';
import { partyFaultText } from '@/core/survey/party/party-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { BACK_TO_OUTINGS, ViewPage } from '@/views/shared/page/view-page';
import { AreaSketch } from './map/area-sketch';
import { AreaTools } from './map/area-tools';
import styles from './area.module.css';
import { Estimates } from './loops/estimates';
import { Loops } from './loops/loops';
import { KnownPlaces } from './known-places';
import { Members } from './members';
import { OnePlace } from './one-place';
import { Points } from './map/points';
import { Suspects } from './loops/suspects';
import type { OpenArea } from './use-area';
import { WayBetween, type WayEnds } from './way-between';
import { WORDS } from './words';

/** What is picked on the page: by number, as the area is now. */
interface Picked {
  readonly ends: WayEnds;
  readonly hidden: ReadonlySet<number>;
}
const NOTHING: Picked = { ends: { from: null, to: null }, hidden: new Set() };

/** What is picked; nothing any more once outings or places have other numbers. */
function usePicked(shape: string) {
  const [kept, setKept] = useState({ shape, picked: NOTHING });
  const picked = kept.shape === shape ? kept.picked : NOTHING;
  const pick = (change: Partial<Picked>) => setKept({ shape, picked: { ...picked, ...change } });
  return { picked, pick };
}

/** A map of all outings, and beside it what joins them, what disagrees, and the ways between. */
export function AreaPage({ open }: { open: OpenArea }) {
  const { area, answer } = open;
  const { joined, found } = answer;
  const places = joined.ok ? joined.survey.party.nodes.all.length : 0;
  const { picked, pick } = usePicked(`${found.ids.join(' ')} ${area.same.length} ${places}`);
  const { hidden, ends } = picked;
  // What is asked comes first; what was said is looked up seldom.
  const asks = answer.named.length > 0 || (joined.ok && joined.near.length > 0);
  const setEnds = (chosen: WayEnds) => pick({ ends: chosen });
  const onPick = (node: number) =>
    setEnds(
      ends.from === null || ends.to !== null
        ? { from: node, to: null }
        : { from: ends.from, to: node },
    );
  return (
    <ViewPage
      view="area"
      back={BACK_TO_OUTINGS}
      about={area.name || WORDS.untitled}
      width="window"
      plain
    >
      {open.fault && <p role="alert">{STORE_MESSAGES[open.fault]}</p>}
      <div className={styles.columns}>
        <div className={styles.map}>
          {joined.ok ? (
            <AreaSketch survey={joined.survey} hidden={hidden} ends={ends} onPick={onPick} />
          ) : (
            <p role="status" className={styles.notJoined}>
              {partyFaultText(joined.fault, (outing) => nameOf(found, outing))}{' '}
              {joined.fault.code === 'not-joined' && WORDS.notJoined}
            </p>
          )}
          <AreaTools open={open} />
        </div>
        <div className={styles.rooms}>
          {asks && <OnePlace open={open} />}
          {joined.ok && <Suspects open={open} survey={joined.survey} suspects={joined.suspects} />}
          {joined.ok && (
            <WayBetween open={open} survey={joined.survey} ends={ends} onEnds={setEnds} />
          )}
          <Members open={open} hidden={hidden} onHidden={(shown) => pick({ hidden: shown })} />
          {!asks && <OnePlace open={open} />}
          {joined.ok && <Loops open={open} survey={joined.survey} />}
          {joined.ok && <Estimates survey={joined.survey} />}
          {joined.ok && <KnownPlaces open={open} survey={joined.survey} />}
        </div>
      </div>
      {joined.ok && <Points survey={joined.survey} />}
    </ViewPage>
  );
}
