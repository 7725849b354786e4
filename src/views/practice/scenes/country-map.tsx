'use client';
import { memo, useCallback, useMemo, type ReactNode } from 'react';
import { angleMinutesText } from '@/core/units/angle';
import type { Marked } from '@/core/practice/question';
import { boundsOf, type Bounds, type PlanePoint } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { GRID_METRES, type CountryDrawing } from '@/sketch/country-scene';
import {
  onPlane,
  onScreen,
  viewOfBounds,
  viewTransform,
  type Size,
  type View,
} from '@/sketch/view';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import { WORDS } from '../words';
import styles from './country-map.module.css';

interface Props {
  drawing: CountryDrawing;
  marked?: readonly Marked[];
  lines?: readonly (readonly [string, string])[];
  /** How far the map is turned from north up, clockwise. */
  turned?: Degrees;
  /** What the map shows at first; without it, all of it. */
  shows?: readonly PlanePoint[];
  /** A place of the map was tapped, or chosen by the cross in the middle. */
  onTap?: (point: PlanePoint) => void;
  /** What lies on the map. */
  over?: (view: View) => ReactNode;
}

const MARGIN = 14;

/** Room left around what is shown at first. */
const AROUND_METRES = 150;

function around(points: readonly PlanePoint[]): Bounds {
  const { west, east, south, north } = boundsOf(points);
  return {
    west: west - AROUND_METRES,
    east: east + AROUND_METRES,
    south: south - AROUND_METRES,
    north: north + AROUND_METRES,
  };
}

/** The whole map in the middle of a sheet, turned about its own middle. */
function wholeMap(
  bounds: CountryDrawing['bounds'],
  { width, height }: Size,
  turned: Degrees,
): View {
  const room = { width: Math.max(1, width), height: Math.max(1, height) };
  const view = { ...viewOfBounds(bounds, room, MARGIN), turn: -turned };
  const { x, y } = onScreen(view, {
    east: (bounds.west + bounds.east) / 2,
    north: (bounds.south + bounds.north) / 2,
  });
  return { ...view, x: view.x + room.width / 2 - x, y: view.y + room.height / 2 - y };
}

const marginWords = ({ seed, margin }: CountryDrawing) =>
  WORDS.margin(
    seed,
    angleMinutesText(margin.declinationEast),
    margin.year,
    angleMinutesText(margin.annualChangeEast),
    angleMinutesText(margin.convergenceEast),
  );

/** The map of a made country: moved and zoomed by finger, wheel and keys, north up or turned. */
export function CountryMap(props: Props) {
  const { drawing, marked = [], lines = [], turned = 0, shows, onTap, over } = props;
  const bounds = useMemo(() => (shows ? around(shows) : drawing.bounds), [shows, drawing]);
  const toFit = useCallback((size: Size) => wholeMap(bounds, size, turned), [bounds, turned]);
  const surface = useSurface(toFit);
  const { view, size } = surface;
  // On a sheet of its own: what is turned and drawn doesn't draw the country again.
  const onCountry = (
    <>
      <Labels drawing={drawing} view={view} />
      <Marks marked={marked} lines={lines} view={view} />
      {onTap && <Cross x={size.width / 2} y={size.height / 2} />}
      {over?.(view)}
    </>
  );
  return (
    <figure className={styles.figure}>
      <div className={styles.map}>
        <Surface
          surface={surface}
          label={onTap ? WORDS.mapToTap : WORDS.mapToSee}
          over={onCountry}
          onTap={(pixel) => onTap?.(onPlane(view, pixel))}
          tapsMiddle
          testId="country-map"
        >
          <Country drawing={drawing} view={view} />
        </Surface>
      </div>
      <figcaption className={styles.margin}>{marginWords(drawing)}</figcaption>
    </figure>
  );
}

interface LayerProps {
  drawing: CountryDrawing;
  view: View;
}

/** The ground itself, and the grid over it. */
const Country = memo(function Country({ drawing, view }: LayerProps) {
  const { bounds } = drawing;
  const [width, height] = [bounds.east - bounds.west, bounds.north - bounds.south];
  const grid: string[] = [];
  for (let east = bounds.west; east <= bounds.east; east += GRID_METRES) {
    grid.push(`M${east} ${-bounds.south}V${-bounds.north}`);
  }
  for (let north = bounds.south; north <= bounds.north; north += GRID_METRES) {
    grid.push(`M${bounds.west} ${-north}H${bounds.east}`);
  }
  return (
    <g transform={viewTransform(view)}>
      <rect
        x={bounds.west}
        y={-bounds.north}
        width={width}
        height={height}
        className={styles.ground}
      />
      <path d={drawing.woods} className={styles.wood} />
      <path d={drawing.contours} className={styles.contour} />
      <path d={drawing.indexContours} className={styles.indexContour} />
      <path d={drawing.streams} className={styles.stream} />
      <path d={drawing.water} className={styles.water} />
      <path d={drawing.walls} className={styles.wall} />
      <path d={drawing.paths} className={styles.path} />
      <path d={grid.join('')} className={styles.grid} />
      <rect
        x={bounds.west}
        y={-bounds.north}
        width={width}
        height={height}
        className={styles.frame}
      />
    </g>
  );
});

/** Below this scale, pixels a metre, there is no room for the names of lakes and for heights. */
const ROOMY = 0.16;

const Labels = memo(function Labels({ drawing, view }: LayerProps) {
  const isRoomy = view.k > ROOMY;
  return (
    <g className={styles.labels}>
      {drawing.summits.map(({ name, point, heightMetres }) => {
        const { x, y } = onScreen(view, point);
        return (
          <g key={name}>
            <path d={`M${x - 6} ${y + 5}L${x} ${y - 6}L${x + 6} ${y + 5}Z`} />
            <text x={x + 9} y={y + 5}>
              {isRoomy ? `${name} ${Math.round(heightMetres)}` : name}
            </text>
          </g>
        );
      })}
      {drawing.buildings.map(({ name, point }) => {
        const { x, y } = onScreen(view, point);
        return (
          <g key={name}>
            <rect x={x - 5} y={y - 5} width="10" height="10" />
            <text x={x + 9} y={y + 5}>
              {name}
            </text>
          </g>
        );
      })}
      {isRoomy &&
        drawing.lakes.map(({ name, point }) => {
          const { x, y } = onScreen(view, point);
          return (
            <text key={name} x={x} y={y} textAnchor="middle" className={styles.lakeName}>
              {name}
            </text>
          );
        })}
    </g>
  );
});

function Marks({
  marked,
  lines,
  view,
}: Required<Pick<Props, 'marked' | 'lines'>> & { view: View }) {
  const pixelOf = (letter: string) => {
    const found = marked.find((each) => each.letter === letter);
    return found && onScreen(view, found.point);
  };
  return (
    <g className={styles.marks}>
      {lines.map(([from, to]) => {
        const [a, b] = [pixelOf(from), pixelOf(to)];
        return a && b ? <line key={from + to} x1={a.x} y1={a.y} x2={b.x} y2={b.y} /> : null;
      })}
      {marked.map(({ letter, point }) => {
        const { x, y } = onScreen(view, point);
        return (
          <g key={letter} data-testid={`mark-${letter}`}>
            <circle cx={x} cy={y} r="9" />
            <text x={x - 12} y={y - 12} textAnchor="end">
              {letter}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** Where Enter takes a place: the map is moved below it by the arrow keys. */
const Cross = ({ x, y }: { x: number; y: number }) => (
  <path className={styles.cross} d={`M${x - 12} ${y}H${x + 12}M${x} ${y - 12}V${y + 12}`} />
);
