import { useEffect, useMemo, useState } from 'react';
import { drawnKey, drawnLayer } from '@/sketch/drawn';
import type { Layer } from '@/sketch/layer';
import type { Size, View } from '@/sketch/view';

/** The layer as it is drawn; the same object for as long as that is the same. */
export function useDrawn(layer: Layer, view: View, size: Size): Layer {
  const key = drawnKey(layer, view, size);
  return useMemo(() => drawnLayer(layer, key), [layer, key]);
}

/** A view that hasn't moved for this long lies still. */
const STILL_MS = 120;

/** The view now, and the older ones that what takes long is still drawn in. */
export interface MovedViews {
  readonly view: View;
  /** The last one that lay still: the picture of the route is moved and scaled from it. */
  readonly still: View;
  /** The one that names were placed in: at the scale of now, they are moved alone. */
  readonly placed: View;
  readonly waits: boolean;
}

/**
 * A view as it is moved. What takes long to draw `waits` until it lies still: the browser moves its
 * picture meanwhile.
 */
export function useMovedViews(view: View, waits: boolean): MovedViews {
  const [last, setLast] = useState(view);
  useEffect(() => {
    if (!waits) return;
    const timer = setTimeout(() => setLast(view), STILL_MS);
    return () => clearTimeout(timer);
  }, [view, waits]);
  const isNear = waits && last.turn === view.turn;
  return useMemo(
    () => ({
      view,
      still: isNear ? last : view,
      placed: isNear && last.k === view.k ? last : view,
      waits,
    }),
    [view, last, isNear, waits],
  );
}

/** What a picture drawn in one view has to be moved and scaled by to be in another. */
export function driftTransform(still: View, view: View): string | undefined {
  if (still === view) return undefined;
  const scale = view.k / still.k;
  return `translate(${view.x - scale * still.x}px, ${view.y - scale * still.y}px) scale(${scale})`;
}
