'use client';
import { Button } from 'antd';
import dayjs from 'dayjs';
import { NORTH_WORDS } from '@/core/entries/describe';
import type { Outing } from '@/core/model/outing';
import { wayBackToPath } from '@/core/navigation/step-off';
import { bearingDegrees } from '@/core/readings/bearing';
import { backBearing } from '@/core/units/angle';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useClock } from '@/views/shared/data/use-clock';
import { useOuting } from '@/views/shared/data/use-outing';
import { PlainPage } from '@/views/shared/page/plain-page';
import { BACK_TO_OUTINGS, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from './step-off.module.css';
import { bearingText } from '@/ui/units/shown';
import { WORDS } from './words';

/** While away: the way back as large as the screen allows, and how long it has been. */
export function Away({ id }: { id: string }) {
  const { session, state } = useOuting(id);
  if (session.status === 'unavailable') {
    return <PlainPage words={STORE_MESSAGES[session.fault]} alert />;
  }
  if (session.status === 'missing') return <PlainPage words={WORDS.missing} />;
  if (!state) return <PlainPage words={WORDS.loading} />;
  return <WayBack outing={state.document} />;
}

/** Minutes since a step-off of this day at a time; 0 where that is not known. */
function useMinutesSince(outing: Outing, time: string | undefined): number {
  const now = dayjs(useClock(1));
  if (!outing.date || time === undefined) return 0;
  return Math.max(0, now.diff(dayjs(`${outing.date.day}T${time}`), 'minute'));
}

function WayBack({ outing }: { outing: Outing }) {
  const out = outing.entries.findLast((entry) => entry.kind === 'out');
  const landmark = outing.entries.findLast((entry) => entry.kind === 'landmark');
  const minutes = useMinutesSince(outing, out?.time);
  if (!out) return <PlainPage words={WORDS.missing} />;
  const outward = bearingDegrees(out.bearing);
  const back = bearingText(backBearing(outward));
  // Path and bearing are read with one compass, from one north.
  const isAlike = out.path?.north === out.bearing.north;
  const toPath = out.path && isAlike ? wayBackToPath(outward, bearingDegrees(out.path)) : null;
  return (
    <ViewPage view="step-off" about={outing.name} back={BACK_TO_OUTINGS} width="narrow" plain>
      <section className={styles.away} aria-label={WORDS.back}>
        <p className={styles.figure} data-testid="way-back">
          {back}
        </p>
        <p className={styles.north}>{NORTH_WORDS[out.bearing.north]}</p>
        <p className={styles.set}>{WORDS.setBack(back)}</p>
        <p className={styles.outward} data-testid="way-out">
          {WORDS.out(bearingText(outward))}
        </p>
        <p role="status" className={styles.set}>
          {minutes === 0 ? WORDS.justNow : WORDS.away(minutes)}
        </p>
        {toPath && (
          <p className={styles.know} data-testid="to-path">
            {WORDS.bothSides(bearingText(toPath.left), bearingText(toPath.right))}{' '}
            {WORDS.aimed(bearingText(toPath.aimed), bearingText(toPath.right))}
          </p>
        )}
        {landmark && <p className={styles.know}>{WORDS.know(landmark.what)}</p>}
        <div className={styles.choices}>
          <Button ghost href={viewUrl('outing', outing.id)}>
            {WORDS.more}
          </Button>
          <Button ghost href={viewUrl('outings')}>
            {WORDS.done}
          </Button>
        </div>
      </section>
    </ViewPage>
  );
}
