'use client';
import { figureUnits, lengthUnit } from '@/ui/units/shown';
import dynamic from 'next/dynamic';
import { useCallback, useMemo } from 'react';
import type { PreviewLeg } from '@/core/navigation/preview';
import { generalPace } from '@/core/survey/log-state';
import type { Solution, SolvedLeg } from '@/core/survey/solution';
import { lineNear } from '@/sketch/hit';
import { layerPoints, NO_LAYER, viewOfLayers, type Layer } from '@/sketch/layer';
import { homeLayer, previewHome } from '@/sketch/layers/home';
import { walkedLayer } from '@/sketch/layers/walked';
import { gridOf } from '@/sketch/grid';
import { upOf } from '@/sketch/orientation';
import { viewTransform, type Size } from '@/sketch/view';
import type { WayEnds } from '../way-home-strip';
import { WORDS } from '../words';
import { homePlate, HomePlate } from './home-plate';
import { arrowsBox, arrowsFoot, NorthArrows } from '@/views/shared/sketch/north-arrows';
import { ChosenLine, GridDrawn, MarksDrawn, ShapesDrawn } from '@/views/shared/sketch/layer-drawn';
import {
  GroundDrawn,
  GroundNote,
  groundOfView,
  GroundTools,
  useGround,
  type Ground,
} from '@/views/shared/sketch/ground';
import { ScaleBar, scaleBox } from '@/views/shared/sketch/scale-bar';
import { useSketchChoices, type SketchChoices } from './sketch-choices';
import styles from './sketch-pane.module.css';
import {
  driftTransform,
  useDrawn,
  useMovedViews,
  type MovedViews,
} from '@/views/shared/sketch/moved-views';
import { SketchTools } from './sketch-tools';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import type { KeyActions } from '@/views/shared/sketch/view-keys';

const WalksCloud = dynamic(() => import('./walks-cloud').then((it) => it.WalksCloud), {
  ssr: false,
});

const FINGER_PIXELS = 22;
/** Names of a log with fewer legs are placed at every step of a pan. */
const LEAST_LEGS_TO_WAIT = 200;

interface Props {
  solution: Solution;
  /** The selected leg. */
  leg: SolvedLeg | null;
  preview: PreviewLeg | null;
  ends: WayEnds | null;
  /** The selected entry: its name is shown. */
  selected: number | null;
  /** Selects an entry of the log. */
  onSelect: (entry: number | null) => void;
}

/** The keys that select legs. */
const legKeys = (leg: number, legs: number, selectLeg: (leg: number) => void): KeyActions => ({
  PageDown: () => selectLeg(Math.min(legs, leg + 1)),
  PageUp: () => selectLeg(Math.max(Math.min(1, legs), leg - 1)),
  Escape: () => selectLeg(0),
});

/** The route as it was walked, with the way home across it. */
export function SketchPane(props: Props) {
  const { solution, leg, preview, ends, onSelect } = props;
  const { legs } = solution;
  const [choices, choose] = useSketchChoices();
  const walked = useMemo(() => walkedLayer(solution, figureUnits()), [solution]);
  const home = useMemo(() => homeLayer(solution, ends), [solution, ends]);
  const up = upOf(solution, choices.orientation);
  const toFit = useCallback(
    (size: Size) => viewOfLayers([walked], size, preview?.end ?? null, up),
    [walked, preview, up],
  );
  const surface = useSurface(toFit);
  const { view, size } = surface;
  const { origin, unit } = solution.places.frame;
  const ground = useGround(groundOfView(unit === 'metre' ? origin : null, view, size));
  const selectLeg = (wanted: number) => onSelect(wanted > 0 ? legs.leg(wanted).entry : null);
  const views = useMovedViews(view, legs.count > LEAST_LEGS_TO_WAIT);
  const parts = { ...props, walked, home, views, size, choices, ground };
  return (
    <Surface
      surface={surface}
      label={WORDS.sketchLabel}
      toolsLabel={WORDS.sketchTools}
      under={<Base {...parts} />}
      onTap={(pixel) => selectLeg(lineNear([walked], view, pixel, FINGER_PIXELS) ?? 0)}
      keys={legKeys(leg?.number ?? 0, legs.count, selectLeg)}
      tools={
        <>
          <SketchTools
            choices={choices}
            onChoose={(change) => {
              choose(change);
              if (change.orientation) surface.fit();
            }}
            canWalk={ends === null}
          />
          <GroundTools ground={ground} />
        </>
      }
      note={<GroundNote ground={ground} />}
      testId="sketch"
    >
      <Drawing {...parts} />
    </Surface>
  );
}

interface BaseProps extends Pick<Props, 'solution' | 'ends'> {
  /** The log, and the way home over it. */
  walked: Layer;
  home: Layer;
  views: MovedViews;
  size: Size;
  choices: SketchChoices;
  ground: Ground;
}

type DrawingProps = Omit<Props, 'onSelect'> & BaseProps;

/** What lies under all else: the grid, the uncertainty and the route, as far as it is seen. */
function Base(props: BaseProps) {
  const { solution, ends, walked, home, choices, ground, size } = props;
  const { still, view, waits } = props.views;
  const drawn = useDrawn(walked, still, size);
  const layers = useMemo(() => [{ ...home, lines: [] }, drawn], [home, drawn]);
  const grid = choices.grid ? gridOf(still, size, lengthUnit().metres) : null;
  return (
    <svg
      className={styles.base}
      aria-hidden="true"
      data-moves={waits || undefined}
      style={{ transform: driftTransform(still, view) }}
    >
      <GroundDrawn ground={ground} view={still} size={size} />
      {grid && <GridDrawn grid={grid} view={still} />}
      <g transform={viewTransform(still)}>
        {choices.walks && !ends && <WalksCloud solution={solution} />}
      </g>
      <g data-testid="route" data-legs={solution.legs.count}>
        <ShapesDrawn layers={layers} view={still} />
      </g>
    </svg>
  );
}

/** The leg that is being typed, to its end. */
const previewLayer = ({ start, end }: PreviewLeg): Layer => ({
  ...NO_LAYER,
  lines: [{ kind: 'preview', points: [start, end] }],
  dots: [end],
});

/** What is over the route, from the back to the front. */
function Drawing(props: DrawingProps) {
  const { solution, leg, preview, ends, walked, home, views, size, choices, selected } = props;
  const { view, placed } = views;
  const { norths } = solution.places.frame;
  const line = useMemo(
    () => (preview ? previewHome(solution, preview) : { ...home, ellipses: [] }),
    [solution, home, preview],
  );
  const lines = useMemo(() => [line], [line]);
  const plate = useMemo(
    () => homePlate(solution, line, placed, ends, preview, size),
    [solution, line, placed, ends, preview, size],
  );
  const foot = useMemo(() => arrowsFoot(layerPoints(walked), placed, size), [walked, placed, size]);
  const obstacles = useMemo(
    () => ({
      lines: plate.lines,
      boxes: [arrowsBox(foot), scaleBox(size.height), ...plate.boxes],
    }),
    [plate, foot, size.height],
  );
  const named = useMemo(() => [walked], [walked]);
  const typed = useMemo(() => (preview ? [previewLayer(preview)] : []), [preview]);
  return (
    <>
      {leg && <ChosenLine layer={walked} number={leg.number} view={view} />}
      <g className={styles.preview} data-testid={preview ? 'preview-leg' : undefined}>
        <ShapesDrawn layers={typed} view={view} />
      </g>
      <g transform={`translate(${view.x - placed.x} ${view.y - placed.y})`}>
        <g className={preview ? styles.preview : undefined} data-testid="home-line">
          <ShapesDrawn layers={lines} view={placed} />
          <HomePlate plate={plate} />
        </g>
        <MarksDrawn
          layers={named}
          view={placed}
          obstacles={obstacles}
          size={size}
          selected={selected}
        />
      </g>
      <NorthArrows norths={norths} foot={foot} up={view.turn} />
      <ScaleBar
        view={view}
        height={size.height}
        paceMetres={generalPace(solution.end)}
        gridMetres={choices.grid ? gridOf(view, size, lengthUnit().metres).stepMetres : null}
      />
    </>
  );
}
