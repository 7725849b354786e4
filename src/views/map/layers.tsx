import { useMemo } from 'react';
import type { PictureTie } from '@/core/place/picture/tie';
import { positionAt } from '@/core/place/geodesic';
import { placedMarks, type Place } from '@/sketch/paths';
import type { Size, View } from '@/sketch/view';
import { MarksDrawn, ShapesDrawn } from '@/views/shared/sketch/layer-drawn';
import type { EarthLayer } from './use-layers';

interface Props {
  layers: readonly EarthLayer[];
  tie: PictureTie;
  view: View;
  size: Size;
}

/** What is shown on the picture wherever it has a position: points are projected one by one. */
export function LayersOnPicture({ layers, tie, view, size }: Props) {
  const placed = useMemo(
    () =>
      layers.map(({ origin, layer }) => {
        const place: Place = (point) => tie.pixelOf(positionAt(origin, point));
        return { layers: [layer], place, marks: placedMarks(layer, place) };
      }),
    [layers, tie],
  );
  const named = useMemo(() => placed.map(({ marks }) => marks), [placed]);
  return (
    <g data-testid="layers">
      {placed.map((each, index) => (
        <ShapesDrawn key={index} layers={each.layers} place={each.place} view={view} />
      ))}
      <MarksDrawn layers={named} view={view} size={size} />
    </g>
  );
}
