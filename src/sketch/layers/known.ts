import type { KnownPlace } from '@/core/model/known-place';
import { planePointOf } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { visibleText } from '@/core/units/visible';
import { NO_LAYER, type Layer, type LayerLine, type Mark } from '../layer';

/** The known places, lines and barriers, in metres about a position. */
export function knownLayer(known: readonly KnownPlace[], origin: Position): Layer {
  const lines: LayerLine[] = [];
  const marks: Mark[] = [];
  for (const { id, name, positions, isBarrier } of known) {
    const points = positions.map((position) => planePointOf(origin, position));
    if (points.length > 1) lines.push({ kind: isBarrier ? 'barrier' : 'known', points });
    const [first] = points;
    if (first) marks.push({ key: id, kind: 'known', text: visibleText(name), ...first });
  }
  return { ...NO_LAYER, lines, marks };
}
