'use client';
import {
  CompressOutlined,
  DotChartOutlined,
  ZoomInOutlined,
  ZoomOutOutlined,
} from '@ant-design/icons';
import dynamic from 'next/dynamic';
import { useMemo, useRef, useState, useCallback, type KeyboardEvent, type MouseEvent } from 'react';
import type { PreviewLeg } from '@/core/navigation/preview';
import { generalPace } from '@/core/survey/log-state';
import type { Solution, SolvedLeg } from '@/core/survey/solution';
import { legNear } from '@/sketch/paths';
import { sceneOf, type Scene } from '@/sketch/scene';
import { fitView, type Size } from '@/sketch/view';
import { ToolButton } from '@/ui/controls/tool-button';
import type { WayEnds } from '../way-home-strip';
import { WORDS } from '../words';
import { HomeLine } from './home-line';
import { arrowsFoot, NorthArrows } from './north-arrows';
import { Names } from './names';
import { Preview, SelectedLeg, Walked } from './route';
import { ScaleBar } from './scale-bar';
import styles from './sketch-pane.module.css';
import { Uncertainty } from './uncertainty';
import { useView, type ViewControls } from './use-view';

const WalksCloud = dynamic(() => import('./walks-cloud').then((it) => it.WalksCloud), {
  ssr: false,
});

const FINGER_PIXELS = 22;
const PAN_PIXELS = 60;
const ZOOM_STEP = 1.5;

interface Props {
  solution: Solution;
  /** The selected leg. */
  leg: SolvedLeg | null;
  preview: PreviewLeg | null;
  ends: WayEnds | null;
  /** Selects an entry of the log. */
  onSelect: (entry: number | null) => void;
}

/** What the keys of the sketch do. */
function keyActions(
  { zoomBy, panBy, fit }: ViewControls,
  leg: number,
  legs: number,
  selectLeg: (leg: number) => void,
): Readonly<Record<string, () => void>> {
  return {
    '+': () => zoomBy(ZOOM_STEP),
    '=': () => zoomBy(ZOOM_STEP),
    '-': () => zoomBy(1 / ZOOM_STEP),
    '0': fit,
    ArrowLeft: () => panBy(PAN_PIXELS, 0),
    ArrowRight: () => panBy(-PAN_PIXELS, 0),
    ArrowUp: () => panBy(0, PAN_PIXELS),
    ArrowDown: () => panBy(0, -PAN_PIXELS),
    PageDown: () => selectLeg(Math.min(legs, leg + 1)),
    PageUp: () => selectLeg(Math.max(Math.min(1, legs), leg - 1)),
    Escape: () => selectLeg(0),
  };
}

/** The route as it was walked, north up, with the way home across it. */
export function SketchPane({ solution, leg, preview, ends, onSelect }: Props) {
  const { legs } = solution;
  const svg = useRef<SVGSVGElement>(null);
  const [walks, setWalks] = useState(false);
  const scene = useMemo(() => sceneOf(solution), [solution]);
  const toFit = useCallback(
    (size: Size) => fitView(scene, size, preview?.end ?? null),
    [scene, preview],
  );
  const controls = useView(svg, toFit);
  const { view, size } = controls;
  const selectLeg = (wanted: number) => onSelect(wanted > 0 ? legs.leg(wanted).entry : null);
  const onClick = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const pixel = { x: event.clientX - box.left, y: event.clientY - box.top };
    selectLeg(legNear(scene, view, pixel, FINGER_PIXELS));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey) return;
    const act = keyActions(controls, leg?.number ?? 0, legs.count, selectLeg)[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  return (
    <div className={styles.pane}>
      <svg
        ref={svg}
        className={styles.sketch}
        role="application"
        aria-label={WORDS.sketchLabel}
        tabIndex={0}
        onClick={onClick}
        onKeyDown={onKeyDown}
        data-testid="sketch"
      >
        {size.width > 0 && (
          <Drawing
            solution={solution}
            leg={leg}
            preview={preview}
            ends={ends}
            scene={scene}
            controls={controls}
            walks={walks && !ends}
          />
        )}
      </svg>
      <SketchTools
        controls={controls}
        walks={walks}
        onWalks={ends === null ? () => setWalks(!walks) : null}
      />
    </div>
  );
}

interface DrawingProps extends Omit<Props, 'onSelect'> {
  scene: Scene;
  controls: ViewControls;
  walks: boolean;
}

/** The sketch itself, from the back to the front. */
function Drawing({ solution, leg, preview, ends, scene, controls, walks }: DrawingProps) {
  const { view, size, isFitted } = controls;
  const { norths } = solution.places.frame;
  return (
    <>
      <Uncertainty solution={solution} view={view} ends={ends} />
      <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
        {walks && <WalksCloud solution={solution} />}
        <Walked scene={scene} />
        <SelectedLeg leg={leg} />
        {preview && <Preview preview={preview} />}
      </g>
      <HomeLine solution={solution} view={view} ends={ends} preview={preview} size={size} />
      <Names
        solution={solution}
        scene={scene}
        view={view}
        ends={ends}
        sheet={isFitted ? size : null}
      />
      <NorthArrows norths={norths} foot={arrowsFoot(scene, view, size)} />
      <ScaleBar view={view} height={size.height} paceMetres={generalPace(solution.end)} />
    </>
  );
}

interface ToolsProps {
  controls: ViewControls;
  walks: boolean;
  /** Null while they can't be shown. */
  onWalks: (() => void) | null;
}

const SketchTools = ({ controls: { zoomBy, fit }, walks, onWalks }: ToolsProps) => (
  <div className={styles.tools}>
    <ToolButton icon={ZoomInOutlined} label={WORDS.zoomIn} onClick={() => zoomBy(ZOOM_STEP)} />
    <ToolButton
      icon={ZoomOutOutlined}
      label={WORDS.zoomOut}
      onClick={() => zoomBy(1 / ZOOM_STEP)}
    />
    <ToolButton icon={CompressOutlined} label={WORDS.fit} onClick={fit} />
    <ToolButton
      icon={DotChartOutlined}
      label={WORDS.walks}
      about={WORDS.walksAbout}
      pressed={walks}
      disabled={onWalks === null}
      onClick={onWalks ?? undefined}
    />
  </div>
);
