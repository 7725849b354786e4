import { placeOnMap, positionErrorEllipse } from '@/core/navigation/position-error';
import type { Solution } from '@/core/survey/solution';
import { onScreen, type View } from '@/sketch/view';
import { ellipseAt } from '@/views/shared/sketch/ellipse-at';
import type { WayEnds } from '../way-home-strip';
import styles from './sketch-pane.module.css';

interface Props {
  solution: Solution;
  view: View;
  ends: WayEnds | null;
}

/** Where the walk home ends with 95 %, and, apart from that, one's place on the map. */
export function Uncertainty({ solution, view, ends }: Props) {
  const { places, current } = solution;
  const from = ends?.from ?? current;
  const to = ends?.to ?? 0;
  if (from === to) return null;
  const home = onScreen(view, places.at(to));
  const here = onScreen(view, places.at(from));
  return (
    <>
      <ellipse
        className={styles.uncertainty}
        {...ellipseAt(home, positionErrorEllipse(solution, from, to), view)}
      />
      {places.frame.north === 'true' && !ends && (
        <ellipse
          className={styles.placeOnMap}
          data-testid="place-on-map"
          {...ellipseAt(here, placeOnMap(solution, from), view)}
        />
      )}
    </>
  );
}
