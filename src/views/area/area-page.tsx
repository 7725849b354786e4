'use client';
import { useState } from 'react';
import { nameOf } from '@/core/survey/party/party';
import { partyFaultText } from '@/core/survey/party/party-fault';
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

const NO_ENDS: WayEnds = { from: null, to: null };

/** A map of all outings, and beside it what joins them, what disagrees, and the ways between. */
export function AreaPage({ open }: { open: OpenArea }) {
  const { area, answer } = open;
  const { joined, found } = answer;
  const [hidden, setHidden] = useState<ReadonlySet<number>>(new Set());
  const [ends, setEnds] = useState<WayEnds>(NO_ENDS);
  // What is asked comes first; what was said is looked up seldom.
  const asks = answer.named.length > 0 || (joined.ok && joined.near.length > 0);
  const onPick = (node: number) =>
    setEnds(({ from, to }) =>
      from === null || to !== null ? { from: node, to: null } : { from, to: node },
    );
  return (
    <ViewPage view="area" back={BACK_TO_OUTINGS} about={area.name || WORDS.untitled} plain>
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
          <Members open={open} hidden={hidden} onHidden={setHidden} />
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
