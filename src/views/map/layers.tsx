import { useMemo } from 'react';
import type { PictureTie } from '@/core/place/picture/tie';
import { positionAt } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { polar, sumOf, type PlanePoint } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { placeLabels } from '@/sketch/labels';
import type { Mark } from '@/sketch/scene';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import styles from './map.module.css';
import { planeOf } from './picture-plane';
import type { LayerEllipse, LayerMark, Layers } from './use-layers';

interface Props {
  layers: Layers;
  tie: PictureTie;
  view: View;
  size: Size;
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

/** A mark in the plane of the picture. */
interface PlacedMark extends Mark {
  readonly is: LayerMark['kind'];
}

/** All that is shown on a picture, in the picture's own pixels as a plane. */
function placedOn({ lines, marks, ellipses }: Layers, tie: PictureTie) {
  const at = (position: Position) => {
    const pixel = tie.pixelOf(position);
    return pixel && planeOf(pixel);
  };
  const through = (positions: readonly Position[]) =>
    positions.map(at).filter((point) => point !== null);
  const drawn = lines.map(({ kind, positions }) => ({ kind, points: through(positions) }));
  const named = new Set<string>();
  const placed = marks.flatMap(({ kind: is, name, position }, index): PlacedMark[] => {
    const point = at(position);
    if (!point) return [];
    // A route that comes back to a place names it once.
    const place = `${name} ${Math.round(point.east)} ${Math.round(point.north)}`;
    const text = named.has(place) ? '' : visibleText(name);
    named.add(place);
    return [{ key: `m${index}`, kind: 'station', is, text, ...point }];
  });
  return {
    lines: drawn,
    marks: placed,
    ellipses: ellipses.map((each) => through(ellipseCorners(each))),
    named: {
      // The last ones are of what is walked and planned now: they are named first.
      marks: [...placed].reverse(),
      stretches: drawn.flatMap(({ points }) =>
        points.slice(1).map((to, index) => ({ from: points[index] ?? to, to })),
      ),
    },
  };
}

const NOTHING_ELSE = { lines: [], boxes: [] };

/** What is shown on the picture wherever it has a position. */
export function LayersDrawn({ layers, tie, view, size }: Props) {
  const { lines, marks, ellipses, named } = useMemo(() => placedOn(layers, tie), [layers, tie]);
  const on = (point: PlanePoint) => onScreen(view, point);
  const sheet = { left: 0, top: 0, right: size.width, bottom: size.height };
  return (
    <g data-testid="layers">
      {ellipses.map((corners, index) => (
        <path key={index} className={styles.ellipse} d={pathThrough(corners.map(on))} />
      ))}
      {lines.map(({ kind, points }, index) => (
        <path
          key={index}
          className={styles.layerLine}
          data-kind={kind}
          d={pathThrough(points.map(on))}
        />
      ))}
      {marks.map(({ key, is, ...at }) => {
        const { x, y } = on(at);
        return (
          <g key={key} className={styles.layerMark} data-kind={is}>
            <circle cx={x} cy={y} r={RADIUS[is]} />
          </g>
        );
      })}
      {placeLabels(named, view, NOTHING_ELSE, sheet, null).map(({ mark, x, y }) => (
        <text key={mark.key} x={x} y={y}>
          {mark.text}
        </text>
      ))}
    </g>
  );
}
