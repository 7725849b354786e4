import { NO_LAYER, type Layer } from '@/sketch/layer';
import { dashesOf } from '@/sketch/layers/area';
import { MarksDrawn, ShapesDrawn } from '@/views/shared/sketch/layer-drawn';
import styles from '../area.module.css';

const SIZE = { width: 64, height: 24 };
const VIEW = { k: 1, x: 0, y: 12, turn: 0 };

/** A piece of an outing’s line, with its number on the map. */
export function LineSample({ outing }: { outing: number }) {
  const points = [26, 62].map((east) => ({ east, north: 0 }));
  const layer: Layer = {
    ...NO_LAYER,
    lines: [{ kind: 'leg', points }],
    marks: [{ key: 'number', kind: 'number', text: `${outing + 1}`, east: 12, north: 0 }],
    dash: dashesOf(outing),
  };
  return (
    <svg className={styles.sample} viewBox="0 0 64 24" {...SIZE} aria-hidden="true">
      <ShapesDrawn layers={[layer]} view={VIEW} />
      <MarksDrawn layers={[layer]} view={VIEW} size={SIZE} />
    </svg>
  );
}
