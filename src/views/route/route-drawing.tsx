import { useCallback, useMemo } from 'react';
import type { Plan } from '@/core/navigation/route/plan';
import { lineNear } from '@/sketch/hit';
import { viewOfLayers } from '@/sketch/layer';
import { planLayer, type WalkedOn } from '@/sketch/layers/plan';
import type { Size } from '@/sketch/view';
import {
  GroundDrawn,
  GroundNote,
  groundOfView,
  GroundTools,
  useGround,
} from '@/views/shared/sketch/ground';
import { LayersDrawn } from '@/views/shared/sketch/layer-drawn';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import { WORDS } from './words';

const FINGER_PIXELS = 22;

interface Props {
  plan: Plan;
  walked: WalkedOn | null;
  chosen: number | null;
  onChoose: (number: number | null) => void;
}

/** The route to scale, true north up, with how far off one may arrive at each point. */
export function RouteDrawing({ plan, walked, chosen, onChoose }: Props) {
  const layers = useMemo(() => [planLayer(plan, walked)], [plan, walked]);
  const toFit = useCallback((size: Size) => viewOfLayers(layers, size), [layers]);
  const surface = useSurface(toFit, true);
  const { view, size } = surface;
  const ground = useGround(groundOfView(plan.positions[0] ?? null, view, size));
  const last = plan.legs.length;
  const keys = {
    PageDown: () => onChoose(Math.min(last, (chosen ?? 0) + 1) || null),
    PageUp: () => onChoose(Math.max(1, (chosen ?? 2) - 1)),
    Escape: () => onChoose(null),
  };
  return (
    <Surface
      surface={surface}
      label={WORDS.drawing(plan.route.name, plan.route.points.length)}
      toolsLabel={WORDS.drawingTools}
      onTap={(pixel) => onChoose(lineNear(layers, view, pixel, FINGER_PIXELS))}
      keys={keys}
      tools={<GroundTools ground={ground} />}
      note={<GroundNote ground={ground} />}
      inPage
      testId="route-drawing"
    >
      <GroundDrawn ground={ground} view={view} size={size} />
      <LayersDrawn layers={layers} view={view} size={size} chosen={chosen} />
    </Surface>
  );
}
