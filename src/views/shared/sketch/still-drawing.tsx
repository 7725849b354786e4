import { useMemo } from 'react';
import type { OutingNorths } from '@/core/north/outing-norths';
import { boundsOf, ORIGIN } from '@/core/units/plane';
import type { Solution } from '@/core/survey/solution';
import { layerPoints, NO_LAYER, type Layer } from '@/sketch/layer';
import { viewOfBounds } from '@/sketch/view';
import { MarksDrawn, ShapesDrawn } from './layer-drawn';
import { NorthArrows } from './north-arrows';

/** What norths take at the right of a drawing. */
const NORTHS_WIDTH = 110;

interface Props {
  layers: readonly Layer[];
  /** The side of its square, in pixels, and what is left free at the edges. */
  side: number;
  margin: number;
  /** What it shows; left out where the words beside it say so. */
  label?: string;
  className?: string | undefined;
  /** Draws the norths that are known. */
  norths?: OutingNorths;
}

/** A small drawing to scale, north up, that is not moved. */
export function StillDrawing({ layers, side, margin, label, className, norths }: Props) {
  const size = useMemo(() => ({ width: side, height: side }), [side]);
  const view = useMemo(
    () => viewOfBounds(boundsOf([ORIGIN, ...layers.flatMap(layerPoints)]), size, margin),
    [layers, size, margin],
  );
  const width = norths ? side + NORTHS_WIDTH : side;
  const named = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  return (
    <svg
      viewBox={`0 0 ${width} ${side}`}
      width={width}
      height={side}
      className={className}
      {...named}
    >
      <ShapesDrawn layers={layers} view={view} />
      <MarksDrawn layers={layers} view={view} size={size} />
      {norths && <NorthArrows norths={norths} foot={{ x: width - 50, y: 110 }} up={0} />}
    </svg>
  );
}

/** The shape of an outing. */
export function SmallSketch({ solution }: { solution: Solution }) {
  const layers = useMemo((): Layer[] => {
    const lines = Array.from(solution.legs, ({ start, end }) => ({
      kind: 'leg' as const,
      points: [start, end],
    }));
    const start = { key: 'start', kind: 'point' as const, text: '', ...solution.places.at(0) };
    return [{ ...NO_LAYER, lines, marks: [start] }];
  }, [solution]);
  return <StillDrawing layers={layers} side={96} margin={10} />;
}
