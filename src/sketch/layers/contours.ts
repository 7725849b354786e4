import { contoursAt, insideParts, levelsOf } from '@/core/terrain/contours';
import type { HeightField } from '@/core/terrain/height-field';
import type { Metres } from '@/core/units/units';
import { NO_LAYER, type Layer, type LayerLine } from '../layer';
import { nth } from '@/core/units/nth';

/** At what scale the ground is drawn, and what heights are shown in. */
export interface GroundScale {
  readonly metresPerPixel: number;
  readonly unitMetres: Metres;
}

/** Round intervals, in the unit that heights are shown in. */
const INTERVALS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
/** So many contours from one that is drawn strong, with its height, to the next. */
const INDEX_EVERY = 5;
/** Contours of a steep slope are this far apart, in pixels. */
const LEAST_APART_PIXELS = 7;
/** How steep the slope is that they are spaced for: nine tenths of the ground are less so. */
const STEEP_SHARE = 0.9;

/** Rise per metre from post to post, of the ground that is steeper than a share of it. */
function gradientAt(field: HeightField, share: number): number {
  const { columns, metres, cellMetres } = field;
  const found: number[] = [];
  const every = Math.max(1, Math.floor(metres.length / 20_000));
  for (let post = 0; post + columns + 1 < metres.length; post += every) {
    const [east, north] = [nth(metres, post + 1), nth(metres, post + columns)];
    const rise = Math.hypot(east - nth(metres, post), north - nth(metres, post)) / cellMetres;
    if ((post + 1) % columns !== 0 && !Number.isNaN(rise)) found.push(rise);
  }
  found.sort((a, b) => a - b);
  return found[Math.floor(share * (found.length - 1))] ?? 0;
}

/** The interval of contours that leaves room between them at a scale, in metres. */
function intervalOf(field: HeightField, { metresPerPixel, unitMetres }: GroundScale): Metres {
  const least = gradientAt(field, STEEP_SHARE) * LEAST_APART_PIXELS * metresPerPixel;
  const units = INTERVALS.find((each) => each * unitMetres >= least) ?? INTERVALS.at(-1)!;
  return units * unitMetres;
}

/** Contours at a round interval; every fifth one is an index contour, with its height. */
export function contourLayer(field: HeightField, scale: GroundScale): Layer {
  const interval = intervalOf(field, scale);
  const levels = contoursAt(field, levelsOf(field, interval));
  const lines = levels.flatMap(({ heightMetres, rings }) => {
    const isIndex = Math.round(heightMetres / interval) % INDEX_EVERY === 0;
    return rings
      .flatMap((ring) => insideParts(field, ring))
      .map((points): LayerLine =>
        isIndex ? { kind: 'index-contour', points, heightMetres } : { kind: 'contour', points },
      );
  });
  return { ...NO_LAYER, lines };
}
