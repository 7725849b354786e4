import type { HeightField } from '@/core/terrain/height-field';
import type { Layer } from '../layer';
import { contourLayer, type GroundScale } from './contours';

/** What heights draw of the ground, in the plane of their field. */
type GroundLayer = (field: HeightField, scale: GroundScale) => Layer;

/**
 * The layers of the ground that heights draw, below any drawing of something on the earth: the
 * outing, the route and the picture of a map. A new one is one more file and line here; the
 * compiler asks for its name.
 */
export const LAYERS = { contours: contourLayer } satisfies Record<string, GroundLayer>;
export type LayerName = keyof typeof LAYERS;
