import type { PictureTie } from '@/core/place/picture/tie';
import { positionAt } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { polar, sumOf } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import type { Pixel, View } from '@/sketch/view';
import styles from './map.module.css';
import { positionOnScreen } from './picture-plane';
import type { LayerEllipse, LayerMark, Layers } from './use-layers';

interface Props {
  layers: Layers;
  tie: PictureTie;
  view: View;
}

export const pathThrough = (points: readonly (Pixel | null)[]): string =>
  points
    .filter((point): point is Pixel => point !== null)
    .map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('');

/** Corners of an ellipse: as a polygon it follows the slant of the picture. */
const CORNERS = 36;

function ellipseCorners({ at, ellipse }: LayerEllipse): Position[] {
  const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = ellipse;
  return Array.from({ length: CORNERS + 1 }, (_, index) => {
    const angle = (2 * Math.PI * index) / CORNERS;
    const long = polar(azimuthDegrees, semiMajorMetres * Math.cos(angle));
    const short = polar(azimuthDegrees + 90, semiMinorMetres * Math.sin(angle));
    return positionAt(at, sumOf(long, short));
  });
}

/** How large each mark is, in pixels. */
const RADIUS: Readonly<Record<LayerMark['kind'], number>> = {
  station: 5,
  route: 5,
  known: 5,
  here: 7,
  fix: 7,
  hundred: 2.5,
  count: 8,
};

/** What lies over the picture wherever it has a position. */
export function LayersDrawn({ layers, tie, view }: Props) {
  const on = (position: Position) => positionOnScreen(view, tie, position);
  return (
    <g data-testid="layers">
      {layers.ellipses.map((each, index) => (
        <path
          key={index}
          className={styles.ellipse}
          d={pathThrough(ellipseCorners(each).map(on))}
        />
      ))}
      {layers.lines.map(({ kind, positions }, index) => (
        <path
          key={index}
          className={styles.layerLine}
          data-kind={kind}
          d={pathThrough(positions.map(on))}
        />
      ))}
      {placedMarks(layers, on).map(({ kind, name, at, isNamed }, index) => (
        <g key={index} className={styles.layerMark} data-kind={kind}>
          <circle cx={at.x} cy={at.y} r={RADIUS[kind]} />
          {isNamed && (
            <text x={at.x + 9} y={at.y + 5}>
              {visibleText(name)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** A mark on the screen; its name is left out where it would lie on another one. */
interface PlacedMark extends Pick<LayerMark, 'kind' | 'name'> {
  readonly at: Pixel;
  readonly isNamed: boolean;
}

/** About what a letter and a line of a name take, in pixels. */
const LETTER = { width: 8, height: 17 } as const;

function placedMarks({ marks }: Layers, on: (position: Position) => Pixel | null): PlacedMark[] {
  const placed: PlacedMark[] = [];
  // The last ones are of what is walked and planned now: they are named first.
  for (const { kind, name, position } of [...marks].reverse()) {
    const at = on(position);
    if (!at) continue;
    const isNamed =
      name !== '' &&
      !placed.some(
        (other) =>
          other.isNamed &&
          Math.abs(other.at.y - at.y) < LETTER.height &&
          at.x < other.at.x + LETTER.width * other.name.length + 12 &&
          other.at.x < at.x + LETTER.width * name.length + 12,
      );
    placed.push({ kind, name, at, isNamed });
  }
  return placed.reverse();
}
