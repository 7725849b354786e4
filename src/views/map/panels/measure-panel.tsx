import { converted } from '@/core/north/norths';
import type { OutingNorths } from '@/core/north/outing-norths';
import { planePointOf } from '@/core/place/geodesic';
import type { MapTie } from '@/core/place/map-tie';
import { lengthOf } from '@/core/units/plane';
import { bearingText, lengthText } from '@/ui/units/shown';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../map.module.css';
import { WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  tie: MapTie;
  taps: readonly Pixel[];
  /** Null where no declination is known. */
  norths: OutingNorths | null;
  onAgain: () => void;
}

/** Bearing and metres between two places of the map, at once. */
export function MeasurePanel({ tie, taps, norths, onAgain }: Props) {
  const [from, to] = taps;
  const measured = from && to ? tie.measured(from, to) : null;
  const bearing = measured && { degrees: measured.degrees, north: tie.north };
  const magnetic = bearing && norths ? converted(bearing, 'magnetic', norths) : null;
  const shown = magnetic ?? bearing;
  return (
    <>
      <p className={layout.soft}>{WORDS.measureHow}</p>
      {measured && bearing && shown && (
        <div data-testid="measured">
          <p className={styles.big}>
            {WORDS.measured(
              WORDS.bearing(bearingText(shown.degrees), shown.north),
              measured.metres,
            )}
          </p>
          {!magnetic && <p className={layout.soft}>{WORDS.noDeclination}</p>}
          {magnetic && tie.north !== 'magnetic' && (
            <p>{WORDS.bearing(bearingText(bearing.degrees), bearing.north)}</p>
          )}
          {tie.north === 'grid' && <OnGround tie={tie} from={from!} to={to!} />}
        </div>
      )}
      {taps.length > 0 && <PressButton onClick={onAgain}>{WORDS.again}</PressButton>}
    </>
  );
}

function OnGround({ tie, from, to }: { tie: MapTie; from: Pixel; to: Pixel }) {
  const [start, end] = [tie.positionOf(from), tie.positionOf(to)];
  if (!start || !end) return null;
  return (
    <p className={layout.soft}>{WORDS.onGround(lengthText(lengthOf(planePointOf(start, end))))}</p>
  );
}
