import { useMemo } from 'react';
import type { Solution } from '@/core/survey/solution';
import { placeLabels, type Label } from '@/sketch/labels';
import type { Scene } from '@/sketch/scene';
import { onScreen, type Size, type View } from '@/sketch/view';
import { CairnStones } from '@/ui/cairn-mark';
import { FeatureMark } from '@/ui/feature-mark';
import type { WayEnds } from '../way-home-strip';
import styles from './sketch-pane.module.css';
import { ellipseAt } from './uncertainty';

interface Props {
  solution: Solution;
  scene: Scene;
  view: View;
  ends: WayEnds | null;
  /** The sheet that labels should stay on, while all of it is in view. */
  sheet: Size | null;
}

/** The start's cairn, the traveller, and the names on the sketch. */
export function Names({ solution, scene, view, ends, sheet }: Props) {
  // Where labels go depends on the scale only: panning moves them all alike.
  const width = sheet?.width ?? 0;
  const height = sheet?.height ?? 0;
  const left = sheet ? 0 - view.x : 0;
  const top = sheet ? 0 - view.y : 0;
  const labels = useMemo(() => {
    const { places, current } = solution;
    const flat = { k: view.k, x: 0, y: 0 };
    const from = onScreen(flat, places.at(ends?.from ?? current));
    const to = onScreen(flat, places.at(ends?.to ?? 0));
    const box = width > 0 ? { left, top, right: left + width, bottom: top + height } : null;
    return placeLabels(scene, flat, [[from, to]], box);
  }, [solution, scene, view.k, ends, left, top, width, height]);
  return (
    <g transform={`translate(${view.x} ${view.y})`}>
      {labels.map((label) => (
        <Name key={label.mark.key} label={label} view={view} />
      ))}
    </g>
  );
}

/** One mark with its name. */
function Name({ label: { mark, pixel, x, y }, view }: { label: Label; view: View }) {
  return (
    <g>
      {mark.uncertainty && (
        <ellipse
          className={styles.landmarkUncertainty}
          {...ellipseAt(pixel, mark.uncertainty, view)}
        />
      )}
      {mark.kind === 'seen' && (
        <g className={styles.seenMark} transform={`translate(${pixel.x} ${pixel.y})`}>
          <FeatureMark kind={mark.feature} />
        </g>
      )}
      {mark.kind === 'you' && <circle className={styles.you} cx={pixel.x} cy={pixel.y} r="8" />}
      {mark.kind === 'start' && (
        <g className={styles.start} transform={`translate(${pixel.x} ${pixel.y + 4})`}>
          <CairnStones />
        </g>
      )}
      <text className={styles[mark.kind]} x={x} y={y}>
        {mark.text}
      </text>
    </g>
  );
}
