import { useMemo } from 'react';
import type { PlanePoint } from '@/core/units/plane';
import type { GroundLine } from '@/sketch/layers/ground-layer';
import { viewTransform, type Pixel, type Size, type View } from '@/sketch/view';
import { lengthFigure } from '@/ui/units/shown';
import styles from './ground.module.css';

const toPlane = ({ east, north }: PlanePoint): Pixel => ({ x: east, y: -north });

export interface DrawnProps {
  lines: readonly GroundLine[];
  view: View;
  size: Size;
  /** Where a point of the ground is before the view is applied; null where that is nowhere. */
  place?: ((point: PlanePoint) => Pixel | null) | undefined;
}

/** A label has so much of its contour on each side, and no other label nearer than this. */
const LEAST_LENGTH_PIXELS = 140;
const LEAST_APART_PIXELS = 90;
const MOST_LABELS = 40;

/** The lines of the ground, and the heights on them. */
export function LinesDrawn({ lines, view, size, place = toPlane }: DrawnProps) {
  const placed = useMemo(
    () =>
      lines.map(({ kind, points, heightMetres }) => ({
        kind,
        heightMetres,
        points: points.map(place).filter((point) => point !== null),
      })),
    [lines, place],
  );
  const paths = useMemo(() => {
    const found: Record<GroundLine['kind'], string> = { contour: '', 'index-contour': '' };
    for (const { kind, points } of placed) {
      for (const [index, { x, y }] of points.entries()) {
        found[kind] += `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
      }
    }
    return found;
  }, [placed]);
  return (
    <g data-testid="ground" aria-hidden="true">
      <g transform={viewTransform(view)}>
        {Object.entries(paths).map(([kind, d]) => (
          <path key={kind} className={styles.line} data-kind={kind} d={d} />
        ))}
      </g>
      {labelsOf(placed, view, size).map(({ at, metres }, index) => (
        <text key={index} className={styles.label} x={at.x} y={at.y + 4}>
          {lengthFigure(metres)}
        </text>
      ))}
    </g>
  );
}

interface Label {
  readonly at: Pixel;
  readonly metres: number;
}

/** Heights in the middle of contours that are long enough on the screen. */
function labelsOf(
  placed: readonly { readonly points: readonly Pixel[]; readonly heightMetres?: number }[],
  view: View,
  { width, height }: Size,
): Label[] {
  const onView = screenOf(view);
  const found: Label[] = [];
  for (const { points, heightMetres } of placed) {
    const middle = points[Math.floor(points.length / 2)];
    if (heightMetres === undefined || !middle || found.length >= MOST_LABELS) continue;
    const [first, last] = [points[0]!, points.at(-1)!];
    const at = onView(middle);
    const reach =
      view.k * Math.max(away(middle, first), away(middle, last), away(middle, points[1]!));
    const isSeen = at.x > 20 && at.y > 12 && at.x < width - 20 && at.y < height - 12;
    if (!isSeen || reach < LEAST_LENGTH_PIXELS / 2) continue;
    if (found.some((other) => away(other.at, at) < LEAST_APART_PIXELS)) continue;
    found.push({ at, metres: heightMetres });
  }
  return found;
}

const away = (one: Pixel, other: Pixel) => Math.hypot(one.x - other.x, one.y - other.y);

/** Screen pixels of points before the view: as `viewTransform` has them. */
function screenOf({ k, x, y, turn }: View): (point: Pixel) => Pixel {
  const angle = (-turn * Math.PI) / 180;
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  return (point) => ({
    x: x + k * (point.x * cos - point.y * sin),
    y: y + k * (point.x * sin + point.y * cos),
  });
}
