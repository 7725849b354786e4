import type { HeightField } from '@/core/terrain/height-field';
import type { PlanePoint } from '@/core/units/plane';
import type { Metres } from '@/core/units/units';

/** A line of the ground; its kind is its look on the screen. */
export interface GroundLine {
  readonly kind: 'contour' | 'index-contour';
  /** In the plane of the field. */
  readonly points: readonly PlanePoint[];
  /** A height that is written on it. */
  readonly heightMetres?: Metres;
}

/** At what scale the ground is drawn, and what heights are shown in. */
export interface GroundScale {
  readonly metresPerPixel: number;
  readonly unitMetres: Metres;
}

/** What heights draw of the ground, below everything that is drawn on it. */
export type GroundLayer = (field: HeightField, scale: GroundScale) => GroundLine[];
