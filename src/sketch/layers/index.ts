import { contourLayer } from './contours';

/**
 * The layers of the ground that heights draw, below any drawing of something on the earth: the
 * outing, the route and the picture of a map. A new one is one more file and line here; the
 * compiler asks for its name.
 */
export const LAYERS = { contours: contourLayer };
export type LayerName = keyof typeof LAYERS;
