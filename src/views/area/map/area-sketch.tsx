'use client';
import { lengthUnit } from '@/ui/units/shown';
import { useCallback, useMemo, useState } from 'react';
import BorderOutlined from '@ant-design/icons-svg/es/asn/BorderOutlined';
import DotChartOutlined from '@ant-design/icons-svg/es/asn/DotChartOutlined';
import { generalPace } from '@/core/survey/log-state';
import type { Survey } from '@/core/survey/party/survey';
import { areaLayers, sureLayer, wayLayer } from '@/sketch/layers/area';
import { gridOf } from '@/sketch/grid';
import { viewOfLayers, type Layer } from '@/sketch/layer';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import { ToolButton } from '@/ui/controls/tool-button';
import { GridDrawn, LayersDrawn } from '@/views/shared/sketch/layer-drawn';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import styles from '../area.module.css';
import type { WayEnds } from '../way-between';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

const FINGER_PIXELS = 26;

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
  const outings = useMemo(() => areaLayers(survey, hidden), [survey, hidden]);
  const { from, to } = ends;
  const layers = useMemo(
    () => [...(sure ? [sureLayer(survey, hidden)] : []), ...outings, wayLayer(survey, [from, to])],
    [survey, hidden, sure, outings, from, to],
  );
  const toFit = useCallback((size: Size) => viewOfLayers(outings, size), [outings]);
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
        <Drawing survey={survey} layers={layers} view={view} size={size} grid={grid} />
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
  layers: readonly Layer[];
  view: View;
  size: Size;
  grid: boolean;
}

function Drawing({ survey, layers, view, size, grid }: DrawingProps) {
  const lines = useMemo(() => gridOf(view, size, lengthUnit().metres), [view, size]);
  const first = nth(survey.party.members, 0).solution;
  return (
    <>
      {grid && <GridDrawn grid={lines} view={view} />}
      <LayersDrawn
        layers={layers}
        view={view}
        size={size}
        furniture={{
          norths: survey.places.frame.norths,
          paceMetres: generalPace(first.end),
          gridMetres: grid ? lines.stepMetres : null,
        }}
      />
    </>
  );
}
