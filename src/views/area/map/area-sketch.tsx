'use client';
import { lengthUnit } from '@/ui/units/shown';
import { useCallback, useMemo, useState } from 'react';
import BorderOutlined from '@ant-design/icons-svg/es/asn/BorderOutlined';
import DotChartOutlined from '@ant-design/icons-svg/es/asn/DotChartOutlined';
import { ellipse } from '@/core/errors/ellipse';
import { generalPace } from '@/core/survey/log-state';
import type { Survey } from '@/core/survey/party/survey';
import { areaScene, dashesOf, labelPoint } from '@/sketch/area-scene';
import { gridOf } from '@/sketch/grid';
import { legPaths, stationsPath } from '@/sketch/paths';
import { namedIn, scenePoints, type Scene } from '@/sketch/scene';
import { fitView, onScreen, viewTransform, type Pixel, type Size, type View } from '@/sketch/view';
import { ToolButton } from '@/ui/controls/tool-button';
import { ellipseAt } from '@/views/shared/sketch/ellipse-at';
import { Names } from '@/views/shared/sketch/names';
import { arrowsBox, arrowsFoot, NorthArrows } from '@/views/shared/sketch/north-arrows';
import { ScaleBar, scaleBox } from '@/views/shared/sketch/scale-bar';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import styles from '../area.module.css';
import type { WayEnds } from '../way-between';
import { WORDS } from '../words';

const FINGER_PIXELS = 26;
/** More ellipses would cover the map, and each other. */
const MOST_ELLIPSES = 500;

interface Props {
  survey: Survey;
  hidden: ReadonlySet<number>;
  ends: WayEnds;
  onPick: (node: number) => void;
}

/** The map of an area: every outing by its own line, and the places that they share. */
export function AreaSketch({ survey, hidden, ends, onPick }: Props) {
  const [grid, setGrid] = useState(true);
  const [sure, setSure] = useState(false);
  const scene = useMemo(() => areaScene(survey, hidden), [survey, hidden]);
  const toFit = useCallback((size: Size) => fitView(scene, size, null), [scene]);
  const surface = useSurface(toFit);
  const { view, size } = surface;
  const pick = (pixel: Pixel) => {
    const node = nodeNear(survey, view, pixel);
    if (node !== null) onPick(node);
  };
  const tools = (
    <>
      <ToolButton
        icon={BorderOutlined}
        label={WORDS.grid}
        pressed={grid}
        onClick={() => setGrid(!grid)}
      />
      <ToolButton
        icon={DotChartOutlined}
        label={WORDS.ellipses}
        pressed={sure}
        onClick={() => setSure(!sure)}
      />
    </>
  );
  const parts = { survey, scene, view, size, ends, grid, sure };
  return (
    <div className={styles.sketchPane}>
      <Surface
        surface={surface}
        label={WORDS.sketch}
        toolsLabel={WORDS.tools}
        onTap={pick}
        tapsMiddle
        tools={tools}
        testId="area-sketch"
      >
        <Drawing {...parts} />
      </Surface>
    </div>
  );
}

/** The place nearest to a pixel, within reach of a finger. */
function nodeNear({ places }: Survey, view: View, pixel: Pixel): number | null {
  let [best, least]: [number | null, number] = [null, FINGER_PIXELS];
  for (const node of places.stations()) {
    const { x, y } = onScreen(view, places.at(node));
    const distance = Math.hypot(x - pixel.x, y - pixel.y);
    if (distance < least) [best, least] = [node, distance];
  }
  return best;
}

interface DrawingProps {
  survey: Survey;
  scene: Scene;
  view: View;
  size: Size;
  ends: WayEnds;
  grid: boolean;
  sure: boolean;
}

function Drawing({ survey, scene, view, size, ends, grid, sure }: DrawingProps) {
  const foot = useMemo(() => arrowsFoot(scenePoints(scene), view, size), [scene, view, size]);
  const lines = useMemo(() => gridOf(view, size, lengthUnit().metres), [view, size]);
  const named = useMemo(() => namedIn(scene), [scene]);
  const obstacles = useMemo(
    () => ({
      lines: [],
      boxes: [arrowsBox(foot), scaleBox(size.height), ...badgeBoxes(scene, view)],
    }),
    [scene, view, size, foot],
  );
  const first = survey.party.members[0]!.solution;
  return (
    <>
      <g transform={viewTransform(view)}>
        {grid && <path className={styles.gridLines} d={lines.path} data-testid="grid" />}
      </g>
      {sure && <Ellipses survey={survey} view={view} />}
      <g transform={viewTransform(view)} data-testid="area-legs">
        {scene.outings.map((outing, index) => (
          <path
            key={index}
            className={styles.leg}
            strokeDasharray={dashesOf(index)}
            d={legPaths({ outings: [outing] }).way}
            data-outing={index}
          />
        ))}
        <path className={styles.stationRim} d={stationsPath(scene)} />
        <path className={styles.stationDot} d={stationsPath(scene)} />
      </g>
      <WayLine survey={survey} view={view} ends={ends} />
      <Badges scene={scene} view={view} />
      <Names named={named} view={view} size={size} obstacles={obstacles} />
      <NorthArrows norths={survey.places.frame.norths} foot={foot} up={view.turn} />
      <ScaleBar
        view={view}
        height={size.height}
        paceMetres={generalPace(first.end)}
        gridMetres={grid ? lines.stepMetres : null}
      />
    </>
  );
}

/** How sure each place is, against the origin. */
function Ellipses({ survey, view }: { survey: Survey; view: View }) {
  const { places } = survey;
  const covariances = places.fromOrigin();
  return places
    .stations()
    .slice(0, MOST_ELLIPSES)
    .map((node) => {
      const around = ellipseAt(onScreen(view, places.at(node)), ellipse(covariances[node]!), view);
      return <ellipse key={node} className={styles.ellipse} {...around} data-testid="ellipse" />;
    });
}

/** The two places that were chosen, and the straight way between them. */
function WayLine({ survey, view, ends }: Pick<DrawingProps, 'survey' | 'view' | 'ends'>) {
  const at = (node: number | null) =>
    node === null ? null : onScreen(view, survey.places.at(node));
  const [from, to] = [at(ends.from), at(ends.to)];
  return (
    <g className={styles.way}>
      {from && to && <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />}
      {[from, to].map((end, index) => end && <circle key={index} cx={end.x} cy={end.y} r="11" />)}
    </g>
  );
}

/** What the numbers of the outings take. */
const badgeBoxes = (scene: Scene, view: View) =>
  scene.outings.flatMap((outing) => {
    const point = labelPoint(outing);
    if (!point) return [];
    const { x, y } = onScreen(view, point);
    return [{ left: x - 12, right: x + 12, top: y - 12, bottom: y + 12 }];
  });

/** The number of each outing on its longest leg. */
const Badges = ({ scene, view }: Pick<DrawingProps, 'scene' | 'view'>) =>
  scene.outings.map((outing, index) => {
    const point = labelPoint(outing);
    if (!point) return null;
    const { x, y } = onScreen(view, point);
    return (
      <g key={index} transform={`translate(${x} ${y})`}>
        <circle className={styles.badge} r="10" />
        <text className={styles.badgeText} y="4.5" textAnchor="middle">
          {index + 1}
        </text>
      </g>
    );
  });
