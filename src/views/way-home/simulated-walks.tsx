import { useMemo } from 'react';
import { thousandArrivals } from '@/core/errors/arrivals';
import { ellipse, isInsideEllipse } from '@/core/errors/ellipse';
import { positionError } from '@/core/navigation/position-error';
import { straightWalk } from '@/core/navigation/simulated-walk';
import { stationName, type Solution } from '@/core/survey/solution';
import type { PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { Section } from '@/views/shared/page/view-page';
import styles from './way-home.module.css';
import { WORDS } from './words';
import { visibleText } from '@/core/units/visible';
import layout from '@/views/shared/page/layout.module.css';

/** Half the drawing's side, and how much of it the larger of ellipse and sight fills. */
const HALF = 150;
const FILLED = 0.74;

interface Props {
  solution: Solution;
  sight: Metres;
}

/** Where simulated walks home end, around home, with the 95 % ellipse and the range of sight. */
export function SimulatedWalks({ solution, sight }: Props) {
  const error = positionError(solution, solution.current, 0);
  const ends = useMemo(() => endsOf(solution), [solution]);
  const inside = ends.filter((end) => isInsideEllipse(error, end)).length;
  const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = ellipse(error);
  const k = (FILLED * HALF) / Math.max(semiMajorMetres, sight);
  return (
    <Section id="walks" title={WORDS.walks}>
      <svg
        viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
        className={styles.walks}
        role="img"
        aria-label={WORDS.walksHow}
      >
        <path d={dots(ends, k)} className={styles.dots} />
        <ellipse
          rx={semiMajorMetres * k}
          ry={semiMinorMetres * k}
          transform={`rotate(${azimuthDegrees - 90})`}
          className={styles.ellipse}
        />
        <circle r={sight * k} className={styles.sight} />
        <path d="M-6 0H6M0 -6V6" className={styles.cross} />
        <text x="8" y="-8">
          {visibleText(stationName(solution, 0))}
        </text>
      </svg>
      <p className={layout.soft}>
        {WORDS.walksHow} <span data-testid="inside">{WORDS.inside(inside)}</span>
      </p>
    </Section>
  );
}

/** Where a thousand walks end: less work than a frame has time for; the million is for workers. */
function endsOf(solution: Solution): PlanePoint[] {
  const drawn = thousandArrivals(straightWalk(solution));
  return Array.from({ length: drawn.length / 2 }, (_, index) => {
    const [east = 0, north = 0] = drawn.subarray(2 * index);
    return { east, north };
  });
}

/** Dots of no length, for those that lie on the drawing. */
const dots = (ends: readonly PlanePoint[], k: number): string =>
  ends
    .filter(({ east, north }) => Math.max(Math.abs(east), Math.abs(north)) * k <= HALF)
    .map(({ east, north }) => `M${(k * east).toFixed(1)} ${(-k * north).toFixed(1)}h0`)
    .join('');
