import { memo, useMemo } from 'react';
import type { OutingNorths } from '@/core/north/outing-norths';
import type { Metres } from '@/core/units/units';
import type { Grid } from '@/sketch/grid';
import type { Obstacles } from '@/sketch/labels';
import { layerPoints, namedIn, type Layer } from '@/sketch/layer';
import {
  dotsPath,
  ellipsePath,
  leastEllipse,
  linePaths,
  onPlaneOfMetres,
  type Place,
} from '@/sketch/paths';
import { viewTransform, type Size, type View } from '@/sketch/view';
import styles from './layer-drawn.module.css';
import { Names } from './names';
import { arrowsBox, arrowsFoot, NorthArrows } from './north-arrows';
import { ScaleBar, scaleBox } from './scale-bar';

interface ShapesProps {
  layer: Layer;
  place: Place;
  /** An ellipse is drawn no smaller than this: it would not be seen. */
  leastMetres: Metres;
}

/** The lines, dots and ellipses of a layer: a few paths, whatever its length. */
const Shapes = memo(function Shapes({ layer, place, leastMetres }: ShapesProps) {
  const { ellipses, circles, dash } = layer;
  const dots = dotsPath(layer, place);
  const round = circles.map(({ radius, ...at }) => ({
    ...at,
    kind: 'place' as const,
    ellipse: { semiMajorMetres: radius, semiMinorMetres: radius, azimuthDegrees: 0 },
  }));
  return (
    <g>
      {ellipses.map((each, index) => (
        <path
          key={index}
          className={styles.ellipse}
          data-kind={each.kind}
          data-testid="ellipse"
          d={ellipsePath(each, place, leastMetres)}
        />
      ))}
      {round.map((each, index) => (
        <path key={index} className={styles.circle} d={ellipsePath(each, place)} />
      ))}
      {linePaths(layer, place).map(({ kind, d }) => (
        <path key={kind} className={styles.line} data-kind={kind} strokeDasharray={dash} d={d} />
      ))}
      {dots !== '' && (
        <>
          <path className={styles.rim} d={dots} data-testid="stations" />
          <path className={styles.dot} d={dots} />
        </>
      )}
    </g>
  );
});

interface DrawnProps {
  layers: readonly Layer[];
  view: View;
  /** Where a point of the layers is before the view is applied. */
  place?: Place | undefined;
}

/** What moves and scales with the view, as the browser applies it. */
export function ShapesDrawn({ layers, view, place = onPlaneOfMetres }: DrawnProps) {
  const leastMetres = leastEllipse(view, place);
  return (
    <g transform={viewTransform(view)} data-testid="shapes">
      {layers.map((layer, index) => (
        <Shapes key={index} layer={layer} place={place} leastMetres={leastMetres} />
      ))}
    </g>
  );
}

/** The lines of a grid. */
export const GridDrawn = ({ grid, view }: { grid: Grid; view: View }) => (
  <g transform={viewTransform(view)}>
    <path className={styles.grid} d={grid.path} data-testid="grid" />
  </g>
);

/** The line of a layer that is chosen, drawn strong. */
export function ChosenLine({ layer, number, view, place }: ChosenProps) {
  const lines = layer.lines.filter((line) => line.number === number);
  return (
    <g transform={viewTransform(view)}>
      {linePaths({ ...layer, lines }, place).map(({ kind, d }) => (
        <path
          key={kind}
          className={styles.line}
          data-kind={kind}
          data-chosen={number}
          data-testid="chosen-line"
          d={d}
        />
      ))}
    </g>
  );
}

interface ChosenProps {
  layer: Layer;
  number: number;
  view: View;
  place?: Place | undefined;
}

interface MarksProps extends Omit<DrawnProps, 'place'> {
  size: Size;
  obstacles?: Obstacles;
  selected?: number | null;
}

const NO_OBSTACLES: Obstacles = { lines: [], boxes: [] };

/** What keeps its size at any view: marks and names. The last layers are named first. */
export function MarksDrawn(props: MarksProps) {
  const { layers, view, size, obstacles = NO_OBSTACLES, selected = null } = props;
  const named = useMemo(() => namedIn(...[...layers].reverse()), [layers]);
  return <Names named={named} view={view} obstacles={obstacles} size={size} selected={selected} />;
}

/** What is at the edges of a sketch: its norths, and its scale. */
interface Furniture {
  /** Null where true north is all that is drawn. */
  readonly norths: OutingNorths | null;
  readonly paceMetres: Metres | null;
  /** Metres between the lines of the grid; null without one. */
  readonly gridMetres: Metres | null;
}

const OF_THE_EARTH: Furniture = { norths: null, paceMetres: null, gridMetres: null };

interface LayersProps extends Omit<DrawnProps, 'place'> {
  size: Size;
  furniture?: Furniture;
  /** The number of the line that is chosen. */
  chosen?: number | null;
}

/** Layers of a plane with their names, norths and scale: of the earth unless it says otherwise. */
export function LayersDrawn(props: LayersProps) {
  const { layers, view, size, furniture = OF_THE_EARTH, chosen = null } = props;
  const points = useMemo(() => layers.flatMap(layerPoints), [layers]);
  const foot = useMemo(() => arrowsFoot(points, view, size), [points, view, size]);
  const isAlone = furniture.norths === null;
  const obstacles = useMemo(
    () => ({ lines: [], boxes: [arrowsBox(foot, isAlone), scaleBox(size.height)] }),
    [foot, isAlone, size.height],
  );
  return (
    <>
      <ShapesDrawn layers={layers} view={view} />
      {chosen !== null &&
        layers.map((layer, index) => (
          <ChosenLine key={index} layer={layer} number={chosen} view={view} />
        ))}
      <MarksDrawn layers={layers} view={view} size={size} obstacles={obstacles} />
      <NorthArrows norths={furniture.norths} foot={foot} up={view.turn} />
      <ScaleBar view={view} height={size.height} {...furniture} />
    </>
  );
}
