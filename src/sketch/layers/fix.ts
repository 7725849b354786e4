import type { EarthFix } from '@/core/survey/fix/on-earth';
import { locusOf } from '@/core/survey/observations';
import { markFor } from '@/core/survey/observations/observation';
import {
  azimuthOf,
  lengthOf,
  offsetFromLine,
  ORIGIN,
  polar,
  scaled,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { visibleText } from '@/core/units/visible';
import {
  around,
  NO_LAYER,
  type Layer,
  type LayerCircle,
  type LayerLine,
  type Mark,
} from '../layer';

/** A line of sight is drawn this much beyond the traveller. */
const BEYOND = 0.35;
/** A close-up shows this many times the ellipse, and names so far from the place. */
const CLOSE = 1.7;
const NAME_SHARE = 1;

/** How far a close-up of a fix reaches from its place. */
const reachOf = ({ fix }: EarthFix): Metres => CLOSE * Math.max(1, fix.ellipse.semiMajorMetres);

/** What a view of a fix shows: all its marks, or in a close-up the triangle of error. */
export function fixPoints(found: EarthFix, isClose: boolean): PlanePoint[] {
  const near = around(ORIGIN, reachOf(found));
  return isClose ? near : [ORIGIN, ...near, ...fixLayer(found, false).marks];
}

/**
 * A fix, in metres about its place: the lines on which each reading puts the traveller, circles of
 * paced lengths, the marks, and how sure the place is. In a close-up the marks are far off, and
 * their names are on their lines.
 */
export function fixLayer(found: EarthFix, isClose: boolean): Layer {
  const { fix, observations } = found;
  const lines: LayerLine[] = [];
  const circles: LayerCircle[] = [];
  const marks = new Map<string, Mark>();
  for (const each of observations) {
    const locus = locusOf(each);
    if (!('mark' in each)) {
      if (each.kind === 'on-line') lines.push({ kind: 'path', points: [each.from, each.to] });
      continue;
    }
    const at = markFor(each);
    if (locus?.is === 'circle') circles.push({ ...locus.at, radius: locus.metres });
    let named: PlanePoint = at;
    if (locus?.is === 'line') {
      const reach = lengthOf(at) * (1 + BEYOND) + 3 * fix.ellipse.semiMajorMetres;
      const to = sumOf(at, scaled(locus.toward, -reach));
      lines.push({ kind: 'sight', points: [at, to] });
      if (isClose) named = onLine(at, to, polar(azimuthOf(at), NAME_SHARE * reachOf(found)));
    }
    const { name } = each.mark;
    const kind = isClose ? 'station' : 'known';
    marks.set(name, { key: name, kind, text: visibleText(name), ...named });
  }
  return {
    ...NO_LAYER,
    ellipses: [{ kind: 'place', ...ORIGIN, ellipse: fix.ellipse }],
    circles,
    lines,
    marks: [...marks.values(), { key: 'here', kind: 'here', text: '', ...ORIGIN }],
  };
}

/** The point of a line that is nearest to another one. */
function onLine(from: PlanePoint, to: PlanePoint, near: PlanePoint): PlanePoint {
  const { along } = offsetFromLine(near, from, to);
  return sumOf(from, polar(azimuthOf(vectorBetween(from, to)), along));
}
