import { memo, useMemo } from 'react';
import type { PreviewLeg } from '@/core/navigation/preview';
import type { SolvedLeg } from '@/core/survey/solution';
import type { PlanePoint } from '@/core/units/plane';
import { legPaths, sightingsPath, stationsPath } from '@/sketch/paths';
import type { Scene } from '@/sketch/scene';
import styles from './sketch-pane.module.css';

interface WalkedProps {
  /** As it is drawn. */
  scene: Scene;
  /** How many legs there are, drawn or not. */
  legs: number;
}

/** The logged route, as a few paths: a long log costs the browser five elements, not thousands. */
export const Walked = memo(function Walked({ scene, legs }: WalkedProps) {
  const { way, sideTrips } = useMemo(() => legPaths(scene), [scene]);
  const sightings = useMemo(() => sightingsPath(scene), [scene]);
  const stations = useMemo(() => stationsPath(scene), [scene]);
  return (
    <g data-testid="route" data-legs={legs}>
      <path className={styles.sightings} d={sightings} data-testid="sightings" />
      <path className={styles.sideTrips} d={sideTrips} data-testid="side-trips" />
      <path className={styles.legs} d={way} data-testid="legs" />
      <path className={styles.stationRim} d={stations} />
      <path className={styles.stationDot} d={stations} />
    </g>
  );
});

const line = (from: PlanePoint, to: PlanePoint) =>
  `M${from.east} ${-from.north}L${to.east} ${-to.north}`;

export const SelectedLeg = ({ leg }: { leg: SolvedLeg | null }) =>
  leg && (
    <path
      className={styles.selected}
      d={line(leg.start, leg.end)}
      data-testid="selected-leg"
      data-leg={leg.number}
    />
  );

/** The leg that is being typed. */
export const Preview = ({ preview: { start, end } }: { preview: PreviewLeg }) => (
  <>
    <path className={styles.preview} d={line(start, end)} data-testid="preview-leg" />
    <path className={styles.previewStation} d={`M${end.east} ${-end.north}h0`} />
  </>
);
