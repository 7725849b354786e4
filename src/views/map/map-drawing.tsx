import { Select } from 'antd';
import { useMemo, type ReactNode } from 'react';
import { NO_LAYER, layerPoints, viewOfPoints } from '@/sketch/layer';
import { gridOf } from '@/sketch/grid';
import { onPlaneOfMetres } from '@/sketch/paths';
import type { Pixel, Size, View } from '@/sketch/view';
import { generalPace } from '@/core/survey/log-state';
import type { PlanePoint } from '@/core/units/plane';
import { lengthUnit } from '@/ui/units/shown';
import { GroundDrawn, GroundNote, type Ground } from '@/views/shared/sketch/ground';
import { ChosenLine, GridDrawn, MarksDrawn, ShapesDrawn } from '@/views/shared/sketch/layer-drawn';
import {
  driftTransform,
  useDrawn,
  useMovedViews,
  type MovedViews,
} from '@/views/shared/sketch/moved-views';
import { arrowsBox, arrowsFoot, NorthArrows } from '@/views/shared/sketch/north-arrows';
import type { Insets } from '@/views/shared/sketch/use-view';
import { ScaleBar, scaleBox } from '@/views/shared/sketch/scale-bar';
import { Surface, type SurfaceControls } from '@/views/shared/sketch/surface';
import type { MapBase, PlacedLayer } from './base';
import { northsOf, type MapContext } from './layers/context';
import { TOOLS } from './insets';
import type { MapChoices } from './map-choices';
import styles from './map.module.css';
import { PictureCanvas } from './picture-canvas';
import { groundOfPicture, pixelAt, pixelOnScreen, wholePicture } from './picture-plane';
import type { Thing } from './things/thing';
import type { Up } from './ups';
import { WORDS } from './words';

/** Layers that don't say how much of the map is seen at first: they may reach far. */
const FAR_REACHING = new Set(['known', 'outings']);

/** Where the points of some layers are on the base. */
const pointsOf = (placed: readonly PlacedLayer[]): PlanePoint[] =>
  placed.flatMap(({ layer, place }) =>
    layerPoints(layer).flatMap((point) => {
      const pixel = place(point);
      return pixel ? [{ east: pixel.x, north: -pixel.y }] : [];
    }),
  );

/** The view of the whole map: of its picture, or of log and plan. */
export function toFitOf(
  { opened }: MapBase,
  placed: readonly PlacedLayer[],
  insetsIn: (size: Size) => Insets,
) {
  const near = pointsOf(placed.filter(({ id }) => !FAR_REACHING.has(id)));
  const points = near.length > 0 ? near : pointsOf(placed);
  const whole = opened && wholePicture(opened.tiles.size);
  return (size: Size): View => {
    const { left, top, right, bottom } = insetsIn(size);
    const free = { width: size.width - left - right, height: size.height - top - bottom };
    const view = whole ? whole(free) : viewOfPoints(points, free);
    return { ...view, x: view.x + left, y: view.y + top };
  };
}

/** Where the arrows are: clear of tools and panes. */
function footOf(
  points: readonly PlanePoint[],
  view: View,
  size: Size,
  { left, right, bottom }: Insets,
) {
  // The tools reach from side to side of what is free.
  const top = TOOLS;
  const free = { width: size.width - left - right, height: size.height - top - bottom };
  const foot = arrowsFoot(points, { ...view, x: view.x - left, y: view.y - top }, free);
  return { x: foot.x + left, y: foot.y + top };
}

/** A log of fewer legs is drawn again at every step of a pan. */
const LEAST_LINES_TO_WAIT = 200;

interface Props {
  surface: SurfaceControls;
  base: MapBase;
  placed: readonly PlacedLayer[];
  context: MapContext;
  choices: MapChoices;
  ground: Ground;
  ups: readonly Up[];
  chosen: Thing | null;
  insets: Insets;
  /** Changes when tiles of the picture have come. */
  arrived: number;
  onTap: (pixel: Pixel) => void;
  onHold: (pixel: Pixel) => void;
  /** Chooses nothing, and takes no tool. */
  onEscape: () => void;
  tools: ReactNode;
  /** What is drawn over the map by the tool in hand. */
  over: ReactNode;
}

/** The map: its picture or its ground, and all layers on it, moved by drag, wheel, pinch, keys. */
export function MapDrawing(props: Props) {
  const { surface, base, placed, choices, ground, ups, tools } = props;
  const { view, turnTo } = surface;
  const lines = placed.reduce((count, { layer }) => count + layer.lines.length, 0);
  const views = useMovedViews(view, lines > LEAST_LINES_TO_WAIT);
  const up = ups.find(({ turn }) => Math.abs(turn - view.turn) < 1e-6)?.key ?? null;
  return (
    <div
      className={styles.sheetPane}
      data-picture={base.opened ? true : undefined}
      style={{ '--strength': choices.strength / 100 } as object}
    >
      <Surface
        surface={surface}
        label={WORDS.mapLabel}
        toolsLabel={WORDS.mapTools}
        under={<Below {...props} views={views} />}
        onTap={(pixel) => props.onTap(pixelAt(view, pixel))}
        onHold={(pixel) => props.onHold(pixelAt(view, pixel))}
        tapsMiddle
        keys={{ Escape: props.onEscape }}
        tools={
          <>
            {ups.length > 1 && (
              <Select
                className={styles.short}
                aria-label={WORDS.turn}
                value={up}
                options={ups.map(({ key }) => ({ value: key, label: WORDS.ups[key] }))}
                onChange={(key) => turnTo(ups.find((each) => each.key === key)?.turn ?? 0)}
              />
            )}
            {tools}
          </>
        }
        note={<GroundNote ground={ground} />}
        testId="map-sheet"
      >
        <g className={base.opened ? styles.over : undefined}>
          <Above {...props} views={views} />
        </g>
      </Surface>
    </div>
  );
}

type PartProps = Props & { views: MovedViews };

/** The picture, the ground, the grid and the lines: what takes long to draw follows the view. */
function Below({ surface, base, placed, choices, ground, views, arrived }: PartProps) {
  const { size, view } = surface;
  const { still, waits } = views;
  const { opened } = base;
  const groundPlace = base.placeOf(base.origin) ?? onPlaneOfMetres;
  const grid = choices.grid && !opened ? gridOf(still, size, lengthUnit().metres) : null;
  return (
    <>
      {opened && <PictureCanvas tiles={opened.tiles} view={view} size={size} arrived={arrived} />}
      <svg
        className={`${styles.below} ${opened ? styles.over : ''}`}
        aria-hidden="true"
        data-moves={waits || undefined}
        style={{ transform: driftTransform(still, view) }}
      >
        <GroundDrawn ground={ground} view={still} size={size} place={groundPlace} />
        {grid && <GridDrawn grid={grid} view={still} />}
        <g data-testid="layers">
          {placed.map((each, index) => (
            <LayerShapes key={`${each.id} ${index}`} placed={each} view={still} size={size} />
          ))}
        </g>
      </svg>
    </>
  );
}

/** The lines of one layer, thinned to the screen where they are many. */
function LayerShapes({ placed, view, size }: { placed: PlacedLayer; view: View; size: Size }) {
  const { id, layer, place } = placed;
  const isPlain = place === onPlaneOfMetres;
  const thinned = useDrawn(isPlain ? layer : NO_LAYER, view, size);
  const drawn = isPlain ? thinned : layer;
  const layers = useMemo(() => [drawn], [drawn]);
  return (
    <g data-layer={id}>
      <ShapesDrawn layers={layers} view={view} place={place} />
    </g>
  );
}

/** What keeps its size: names and marks, what is chosen, the norths and the scale. */
function Above(props: PartProps) {
  const { surface, base, placed, context, choices, chosen, views, over, insets } = props;
  const { size, view } = surface;
  const { placed: namedIn } = views;
  const points = useMemo(() => pointsOf(placed), [placed]);
  const foot = useMemo(
    () => footOf(points, namedIn, size, insets),
    [points, namedIn, size, insets],
  );
  const scaleHeight = size.height - insets.bottom;
  const obstacles = useMemo(
    () => ({
      lines: [],
      boxes: [
        arrowsBox(foot),
        scaleBox(scaleHeight, insets.left),
        { left: 0, right: insets.left, top: 0, bottom: size.height },
      ],
    }),
    [foot, scaleHeight, insets.left, size.height],
  );
  const marks = useMemo(() => placed.map((each) => each.marks), [placed]);
  const number = chosen?.number ?? null;
  const line = chosen && number !== null ? placed.find((each) => isOf(each, chosen)) : null;
  const seen = base.opened ? groundOfPicture(base.tie, base.origin, view, size) : null;
  const metresPerPixel = base.opened ? seen?.metresPerPixel : 1 / view.k;
  const { solution } = context;
  const pace = solution?.places.frame.unit === 'metre' ? generalPace(solution.end) : null;
  const norths = northsOf(context);
  return (
    <>
      {line && number !== null && (
        <ChosenLine layer={line.layer} number={number} view={view} place={line.place} />
      )}
      <g transform={`translate(${view.x - namedIn.x} ${view.y - namedIn.y})`}>
        <MarksDrawn layers={marks} view={namedIn} obstacles={obstacles} size={size} />
      </g>
      {chosen && number === null && <ChosenMark thing={chosen} view={view} />}
      {over}
      {!base.opened && scaleHeight - insets.top > LEAST_FOR_ARROWS && (
        <NorthArrows norths={norths} foot={foot} up={view.turn} />
      )}
      {metresPerPixel && (
        <ScaleBar
          view={{ ...view, k: 1 / metresPerPixel }}
          height={scaleHeight}
          left={insets.left}
          paceMetres={pace}
          gridMetres={choices.grid && !base.opened ? gridStep(view, size) : null}
        />
      )}
    </>
  );
}

/** With less of the map in view the arrows would cover it: what is up is said in the bar below. */
const LEAST_FOR_ARROWS = 280;

const gridStep = (view: View, size: Size) => gridOf(view, size, lengthUnit().metres).stepMetres;

const isOf = ({ id, layer }: PlacedLayer, { layer: wanted, number }: Thing) =>
  id === wanted && layer.lines.some((line) => line.number === number);

/** A ring about the mark that is chosen. */
function ChosenMark({ thing, view }: { thing: Thing; view: View }) {
  const { x, y } = pixelOnScreen(view, thing.at);
  return <circle className={styles.chosenMark} cx={x} cy={y} r={15} data-testid="chosen-mark" />;
}
