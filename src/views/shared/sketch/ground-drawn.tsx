import { heightLabels } from '@/sketch/height-labels';
import type { Layer } from '@/sketch/layer';
import type { Place } from '@/sketch/paths';
import type { Size, View } from '@/sketch/view';
import { lengthFigure } from '@/ui/units/shown';
import styles from './ground.module.css';
import { ShapesDrawn } from './layer-drawn';

export interface GroundProps {
  layers: readonly Layer[];
  view: View;
  size: Size;
  place?: Place | undefined;
}

/** The layers of the ground, and the heights on their lines. */
export function LayersOfGround({ layers, view, size, place }: GroundProps) {
  return (
    <g data-testid="ground" aria-hidden="true">
      <ShapesDrawn layers={layers} view={view} place={place} />
      {heightLabels(layers, view, size, place).map(({ at, metres }, index) => (
        <text key={index} className={styles.label} x={at.x} y={at.y + 4}>
          {lengthFigure(metres)}
        </text>
      ))}
    </g>
  );
}
