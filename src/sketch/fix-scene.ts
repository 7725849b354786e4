import type { EarthFix } from '@/core/survey/fix/on-earth';
import { sightLine } from '@/core/survey/fix/point/cuts';
import type { Ellipse } from '@/core/errors/ellipse';
import {
  azimuthOf,
  boundsOf,
  offsetFromLine,
  polar,
  lengthOf,
  ORIGIN,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '@/core/units/plane';
import type { Metres } from '@/core/units/units';
import { viewOfBounds, type Size, type View } from './view';

/** A line on which one reading puts the traveller. */
export interface FixLine {
  readonly name: string;
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  readonly kind: 'bearing' | 'path';
}

/** The picture of a fix, in metres about its place. */
export interface FixScene {
  readonly lines: readonly FixLine[];
  readonly marks: readonly (PlanePoint & { readonly name: string })[];
  /** Circles of paced distances. */
  readonly circles: readonly (PlanePoint & { readonly radius: Metres })[];
  readonly ellipse: Ellipse;
}

/** A line of sight is drawn this much beyond the traveller. */
const BEYOND = 0.35;

export function fixScene({ fix, observations }: EarthFix): FixScene {
  const lines: FixLine[] = [];
  const circles: (PlanePoint & { radius: Metres })[] = [];
  const marks = new Map<string, PlanePoint & { name: string }>();
  for (const each of observations) {
    if (each.kind === 'on-line') {
      lines.push({ name: '', from: each.from, to: each.to, kind: 'path' });
      continue;
    }
    const at = each.from ? vectorBetween(each.from, each.mark) : each.mark;
    marks.set(each.mark.name, { name: each.mark.name, ...at });
    if (each.kind === 'length') circles.push({ ...at, radius: each.metres });
    if (each.kind !== 'bearing') continue;
    const { at: from, toward } = sightLine(each);
    const reach = lengthOf(from) * (1 + BEYOND) + 3 * fix.ellipse.semiMajorMetres;
    const by = { east: -reach * toward.east, north: -reach * toward.north };
    lines.push({ name: each.mark.name, from, to: sumOf(from, by), kind: 'bearing' });
  }
  return { lines, marks: [...marks.values()], circles, ellipse: fix.ellipse };
}

/** The point so far from the place where the line of a mark has its name in a close-up. */
export function nameOnLine(
  { lines }: FixScene,
  mark: PlanePoint & { name: string },
  metres: Metres,
) {
  const near = polar(azimuthOf(mark), metres);
  const line = lines.find(({ name }) => name === mark.name);
  if (!line) return near;
  const { along } = offsetFromLine(near, line.from, line.to);
  return sumOf(line.from, polar(azimuthOf(vectorBetween(line.from, line.to)), along));
}

/** How much of a fix is looked at: all marks, or the triangle of error and the ellipse. */
export type FixZoom = 'whole' | 'near';

const MARGIN = 44;
/** The close-up shows this many times the ellipse. */
const NEAR = 2.2;

/** The view that shows a fix, north up. */
export function fixView({ marks, ellipse }: FixScene, zoom: FixZoom, size: Size): View {
  const reach = NEAR * Math.max(1, ellipse.semiMajorMetres);
  const around = [
    { east: -reach, north: -reach },
    { east: reach, north: reach },
  ];
  const bounds = boundsOf(zoom === 'near' ? around : [ORIGIN, ...marks, ...around]);
  return viewOfBounds(bounds, size, MARGIN);
}
