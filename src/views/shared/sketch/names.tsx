import { useMemo } from 'react';
import { placeLabels, type Label, type Obstacles } from '@/sketch/labels';
import type { Mark, Scene } from '@/sketch/scene';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import { CairnStones } from '@/ui/cairn-mark';
import { FeatureMark } from '@/ui/feature-mark';
import { ellipseAt } from './ellipse-at';
import styles from './names.module.css';

interface Props {
  scene: Scene;
  view: View;
  /** What labels keep off: the way home with its plate, the scale bar, the arrows. */
  obstacles: Obstacles;
  size: Size;
  /** The entry that is selected. */
  selected?: number | null;
}

/** The keys of the marks that an entry of the log has made. */
const keysOf = (entry: number) => [`s${entry}`, `a${entry}`, `l${entry}`];

/** The start's cairn, the traveller, what was seen, and as many names as there is room for. */
export function Names({ scene, view, obstacles, size, selected = null }: Props) {
  const marks = useMemo(() => scene.outings.flatMap((outing) => outing.marks), [scene]);
  const labels = useMemo(() => {
    const keys = selected === null ? [] : keysOf(selected);
    const key = marks.find((mark) => keys.includes(mark.key))?.key ?? null;
    const sheet = { left: 0, top: 0, right: size.width, bottom: size.height };
    return placeLabels(scene, view, obstacles, sheet, key);
  }, [marks, scene, view, obstacles, size, selected]);
  return (
    <g data-testid="names">
      {marks.map((mark) => (
        <Symbol key={mark.key} mark={mark} pixel={onScreen(view, mark)} view={view} />
      ))}
      {labels.map(({ mark, x, y }: Label) => (
        <text key={mark.key} className={styles[mark.kind]} x={x} y={y} data-kind={mark.kind}>
          {mark.text}
        </text>
      ))}
    </g>
  );
}

interface SymbolProps {
  mark: Mark;
  pixel: Pixel;
  view: View;
}

/** What is drawn at a mark: a station has its pebble from the route. */
function Symbol({ mark, pixel, view }: SymbolProps) {
  if (mark.kind === 'you') {
    return <circle className={styles.you} cx={pixel.x} cy={pixel.y} r="8" />;
  }
  if (mark.kind === 'start') {
    return (
      <g className={styles.start} transform={`translate(${pixel.x} ${pixel.y + 4})`}>
        <CairnStones />
      </g>
    );
  }
  if (mark.kind === 'station') return null;
  return (
    <>
      {mark.uncertainty && (
        <ellipse
          className={styles.landmarkUncertainty}
          {...ellipseAt(pixel, mark.uncertainty, view)}
        />
      )}
      <g className={styles.seenMark} transform={`translate(${pixel.x} ${pixel.y})`}>
        <FeatureMark kind={mark.feature} />
      </g>
    </>
  );
}
