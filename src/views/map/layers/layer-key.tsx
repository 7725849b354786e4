import { NO_LAYER, LINE_KINDS, type Layer, type LayerLine, type Mark } from '@/sketch/layer';
import { MarksDrawn, ShapesDrawn } from '@/views/shared/sketch/layer-drawn';
import styles from '../map.module.css';

const SIZE = { width: 44, height: 20 };
const VIEW = { k: 1, x: 0, y: 10, turn: 0 };
const MIDDLE = { east: 22, north: 0 };

type KeyOf = LayerLine['kind'] | Mark['kind'] | 'ellipse';

const isLine = (of: KeyOf): of is LayerLine['kind'] =>
  (LINE_KINDS as readonly string[]).includes(of);

function keyLayer(of: KeyOf): Layer {
  if (of === 'ellipse') {
    const ellipse = { semiMajorMetres: 16, semiMinorMetres: 7, azimuthDegrees: 90 };
    return { ...NO_LAYER, ellipses: [{ kind: 'place', ...MIDDLE, ellipse }] };
  }
  if (!isLine(of)) return { ...NO_LAYER, marks: [{ key: of, kind: of, text: '', ...MIDDLE }] };
  const points = [2, 42].map((east) => ({ east, north: 0 }));
  return { ...NO_LAYER, lines: [{ kind: of, points }] };
}

/** A piece of what a layer draws. */
export function LayerKey({ of }: { of: KeyOf }) {
  const layers = [keyLayer(of)];
  return (
    <svg className={styles.layerKey} viewBox="0 0 44 20" {...SIZE} aria-hidden="true">
      <ShapesDrawn layers={layers} view={VIEW} />
      <MarksDrawn layers={layers} view={VIEW} size={SIZE} />
    </svg>
  );
}
