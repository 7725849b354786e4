'use client';
import {
  CompressOutlined,
  DotChartOutlined,
  ZoomInOutlined,
  ZoomOutOutlined,
} from '@ant-design/icons';
import { Button } from 'antd';
import dynamic from 'next/dynamic';
import {
  memo,
  useCallback,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
} from 'react';
import { threeDigits } from '@/core/angle';
import type { Ellipse } from '@/core/error-model';
import { missAtHome, placeOnMap, way } from '@/core/home';
import type { GhostLeg } from '@/core/preview';
import { CairnStones } from '@/ui/cairn-mark';
import { ThingMark } from '@/ui/thing-mark';
import type { Solution } from '@/core/solve';
import { placedLabels } from '@/formats/sketch/label-places';
import { NorthArrows } from './north-arrows';
import { ScaleBar } from './scale-bar';
import {
  fitted,
  legNear,
  legsPaths,
  marksOf,
  onScreen,
  pebblesPath,
  raysPath,
  type Size,
  type Spot,
  type View,
} from '@/formats/sketch/geometry';
import styles from './sketch-leaf.module.css';
import { useView } from './use-view';
import type { WayEnds } from './way-home-strip';
import { metresText, WORDS } from './words';

const WalksCloud = dynamic(() => import('./walks-cloud').then((it) => it.WalksCloud), {
  ssr: false,
});

const FINGER_PIXELS = 22;
const PAN_PIXELS = 60;
const ZOOM_STEP = 1.5;

interface Props {
  solution: Solution;
  /** The chosen leg; 0 for none. */
  leg: number;
  ghost: GhostLeg | null;
  ends: WayEnds | null;
  onSelectLeg: (leg: number) => void;
}

/** The route as it was walked, north up, with the way home across it. */
export function SketchLeaf({ solution, leg, ghost, ends, onSelectLeg }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [cloud, setCloud] = useState(false);
  const toFit = useCallback((size: Size) => fitted(solution, size, ghost), [solution, ghost]);
  const { view, size, isFitted, zoomBy, panBy, fit } = useView(svg, toFit);

  const onClick = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const spot = { x: event.clientX - box.left, y: event.clientY - box.top };
    onSelectLeg(legNear(solution, view, spot, FINGER_PIXELS));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const acts: Record<string, () => void> = {
      '+': () => zoomBy(ZOOM_STEP),
      '=': () => zoomBy(ZOOM_STEP),
      '-': () => zoomBy(1 / ZOOM_STEP),
      '0': fit,
      ArrowLeft: () => panBy(PAN_PIXELS, 0),
      ArrowRight: () => panBy(-PAN_PIXELS, 0),
      ArrowUp: () => panBy(0, PAN_PIXELS),
      ArrowDown: () => panBy(0, -PAN_PIXELS),
      PageDown: () => onSelectLeg(Math.min(solution.traverse.legs, leg + 1)),
      PageUp: () => onSelectLeg(Math.max(1, leg - 1)),
      Escape: () => onSelectLeg(0),
    };
    const act = event.ctrlKey || event.metaKey ? undefined : acts[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };

  const drawn = size.width > 0;
  return (
    <div className={styles.leaf}>
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
        {drawn && (
          <>
            <Doubt solution={solution} view={view} ends={ends} />
            <g transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
              {cloud && !ends && <WalksCloud solution={solution} />}
              <Walked solution={solution} />
              <Chosen solution={solution} leg={leg} />
              {ghost && <Ghost solution={solution} ghost={ghost} />}
            </g>
            <HomeLine solution={solution} view={view} ends={ends} ghost={ghost} size={size} />
            <Names solution={solution} view={view} ends={ends} sheet={isFitted ? size : null} />
            <NorthArrows norths={solution.norths} place={arrowsPlace(solution, view, size)} />
            <ScaleBar view={view} height={size.height} paceMetres={solution.end.paceLength} />
          </>
        )}
      </svg>
      <div className={styles.tools}>
        <Button
          icon={<ZoomInOutlined aria-hidden="true" />}
          aria-label={WORDS.zoomIn}
          title={WORDS.zoomIn}
          onClick={() => zoomBy(ZOOM_STEP)}
        />
        <Button
          icon={<ZoomOutOutlined aria-hidden="true" />}
          aria-label={WORDS.zoomOut}
          title={WORDS.zoomOut}
          onClick={() => zoomBy(1 / ZOOM_STEP)}
        />
        <Button
          icon={<CompressOutlined aria-hidden="true" />}
          aria-label={WORDS.fit}
          title={WORDS.fit}
          onClick={fit}
        />
        <Button
          icon={<DotChartOutlined aria-hidden="true" />}
          aria-label={WORDS.cloud}
          title={WORDS.cloud}
          aria-pressed={cloud}
          type={cloud ? 'primary' : 'default'}
          disabled={ends !== null}
          onClick={() => setCloud(!cloud)}
        />
      </div>
    </div>
  );
}

/** The foot of the north arrows: at the top right, or left where stations stand in that corner. */
function arrowsPlace(solution: Solution, view: View, size: Size): Spot {
  const right = { x: size.width - 70, y: 116 };
  const { east, north, legs } = solution.traverse;
  let [inRight, inLeft] = [0, 0];
  for (let k = 1; k <= legs; k++) {
    const { x, y } = onScreen(view, east[k]!, north[k]!);
    if (y > 130 || y < 0) continue;
    if (x > size.width - 190) inRight++;
    else if (x < 190) inLeft++;
  }
  return inRight > 0 && inLeft === 0 ? { x: 120, y: 116 } : right;
}

/** Everything logged, as two paths: a long log costs the browser two elements, not thousands. */
const Walked = memo(function Walked({ solution }: { solution: Solution }) {
  const { way: legs, sideTrips } = useMemo(() => legsPaths(solution), [solution]);
  const rays = useMemo(() => raysPath(solution), [solution]);
  const pebbles = useMemo(() => pebblesPath(solution), [solution]);
  return (
    <>
      <path className={styles.rays} d={rays} data-testid="rays" />
      <path className={styles.sideTrips} d={sideTrips} data-testid="side-trips" />
      <path className={styles.legs} d={legs} data-testid="legs" />
      <path className={styles.pebbleRim} d={pebbles} />
      <path className={styles.pebble} d={pebbles} />
    </>
  );
});

function Chosen({ solution, leg }: { solution: Solution; leg: number }) {
  if (leg < 1 || leg > solution.traverse.legs) return null;
  const { east, north, from } = solution.traverse;
  const origin = from[leg]!;
  const d = `M${east[origin]} ${-north[origin]!}L${east[leg]} ${-north[leg]!}`;
  return <path className={styles.chosen} d={d} data-testid="chosen-leg" data-leg={leg} />;
}

function Ghost({ solution, ghost }: { solution: Solution; ghost: GhostLeg }) {
  const { east, north } = solution.traverse;
  const d = `M${east[ghost.from]} ${-north[ghost.from]!}L${ghost.east} ${-ghost.north}`;
  return (
    <>
      <path className={styles.ghost} d={d} data-testid="ghost-leg" />
      <path className={styles.ghostPebble} d={`M${ghost.east} ${-ghost.north}h0`} />
    </>
  );
}

/** The way home, stitched, with its bearing and distance on it. */
function HomeLine({
  solution,
  view,
  ends,
  ghost,
  size,
}: {
  solution: Solution;
  view: View;
  ends: WayEnds | null;
  ghost: GhostLeg | null;
  size: Size;
}) {
  const { east, north } = solution.traverse;
  const from = ends?.from ?? solution.current;
  const to = ends?.to ?? 0;
  const straight = ghost ? ghost.home : way(solution, from, to);
  if (straight.distanceMetres < 0.5) return null;
  const a = ghost
    ? onScreen(view, ghost.east, ghost.north)
    : onScreen(view, east[from]!, north[from]!);
  const b = ghost ? onScreen(view, 0, 0) : onScreen(view, east[to]!, north[to]!);
  const shown = solution.outing.show.north;
  const northShown = straight.bearing[shown] === null ? 'magnetic' : shown;
  const letter = { magnetic: 'M', true: 'T', grid: 'G' }[northShown];
  const text = `${threeDigits(straight.bearing[northShown] ?? 0)} ${letter}  ${metresText(straight.distanceMetres)}`;
  const width = text.length * 9.4 + 20;
  const roomy = Math.hypot(b.x - a.x, b.y - a.y) > 70;
  // The plate stays on the sheet, as long as its line's middle is near it.
  const inset = width / 2 + 6;
  const x = Math.min(size.width - inset, Math.max(inset, (a.x + b.x) / 2));
  const y = (a.y + b.y) / 2;
  return (
    <g className={ghost ? styles.homeGhost : styles.home} data-testid="home-line">
      <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} />
      {roomy && (
        <>
          <rect x={x - width / 2} y={y - 15} width={width} height={30} rx={15} />
          <text x={x} y={y + 5} textAnchor="middle" xmlSpace="preserve">
            {text}
          </text>
        </>
      )}
    </g>
  );
}

/** Where the walk home ends nineteen times in twenty, drawn softly around its end. */
function Doubt({ solution, view, ends }: { solution: Solution; view: View; ends: WayEnds | null }) {
  const from = ends?.from ?? solution.current;
  const to = ends?.to ?? 0;
  if (from === to) return null;
  const { east, north } = solution.traverse;
  const ellipseAt = (
    point: number,
    { semiMajorMetres, semiMinorMetres, azimuthDegrees }: Ellipse,
  ) => {
    const spot = onScreen(view, east[point]!, north[point]!);
    return {
      rx: semiMajorMetres * view.k,
      ry: semiMinorMetres * view.k,
      transform: `translate(${spot.x} ${spot.y}) rotate(${azimuthDegrees - 90})`,
    };
  };
  return (
    <>
      <ellipse className={styles.doubt} {...ellipseAt(to, missAtHome(solution, from, to))} />
      {/* Another figure, never mixed with the first: where the traveller is on a map. */}
      {solution.working === 'true' && !ends && (
        <ellipse
          className={styles.placeDoubt}
          data-testid="place-on-map"
          {...ellipseAt(from, placeOnMap(solution, from))}
        />
      )}
    </>
  );
}

/** The start's cairn, the traveller, and the names of what stands on the sketch. */
function Names({
  solution,
  view,
  ends,
  sheet,
}: {
  solution: Solution;
  view: View;
  ends: WayEnds | null;
  /** The sheet that labels should stay on, while all of it is in view. */
  sheet: Size | null;
}) {
  const marks = useMemo(() => marksOf(solution), [solution]);
  // Where labels stand depends on the scale alone: panning moves them all alike.
  const width = sheet?.width ?? 0;
  const height = sheet?.height ?? 0;
  const left = sheet ? 0 - view.x : 0;
  const top = sheet ? 0 - view.y : 0;
  const labels = useMemo(() => {
    const { east, north } = solution.traverse;
    const flat = { k: view.k, x: 0, y: 0 };
    const from = ends?.from ?? solution.current;
    const to = ends?.to ?? 0;
    const home = [
      onScreen(flat, east[from]!, north[from]!),
      onScreen(flat, east[to]!, north[to]!),
    ] as const;
    const box = width > 0 ? { left, top, right: left + width, bottom: top + height } : null;
    return placedLabels(solution, marks, flat, [home], box);
  }, [solution, marks, view.k, ends, left, top, width, height]);
  return (
    <g transform={`translate(${view.x} ${view.y})`}>
      {labels.map(({ mark, spot, x, y }) => (
        <g key={mark.key}>
          {mark.kind === 'seen' && (
            <>
              {mark.doubt && (
                <ellipse
                  className={styles.landmarkDoubt}
                  rx={mark.doubt.semiMajorMetres * view.k}
                  ry={mark.doubt.semiMinorMetres * view.k}
                  transform={`translate(${spot.x} ${spot.y}) rotate(${mark.doubt.azimuthDegrees - 90})`}
                />
              )}
              <g className={styles.seenMark} transform={`translate(${spot.x} ${spot.y})`}>
                <ThingMark thing={mark.thing} />
              </g>
            </>
          )}
          {mark.kind === 'you' && <circle className={styles.you} cx={spot.x} cy={spot.y} r="8" />}
          {mark.kind === 'start' && (
            <g className={styles.start} transform={`translate(${spot.x} ${spot.y + 4})`}>
              <CairnStones />
            </g>
          )}
          <text className={styles[mark.kind]} x={x} y={y}>
            {mark.text}
          </text>
        </g>
      ))}
    </g>
  );
}
