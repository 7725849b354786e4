'use client';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import type { Size, View } from '@/formats/sketch/geometry';

/** How far one may zoom: pixels a metre. */
const ZOOM_LIMITS: [number, number] = [0.0005, 40];

/**
 * Pan and zoom of the sketch by wheel, drag and pinch, and by the functions returned. Until the person
 * moves it, the view follows what it is told to show.
 */
export function useView(svg: RefObject<SVGSVGElement | null>, toFit: (size: Size) => View) {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const [moved, setMoved] = useState<View | null>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  const view = moved ?? toFit(size);

  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const { width, height } = entry.contentRect;
      setSize({ width, height });
    });
    observer.observe(element);
    const created = zoom<SVGSVGElement, unknown>()
      .scaleExtent(ZOOM_LIMITS)
      // A click is told from a drag by how far the pointer went.
      .clickDistance(6)
      .on('zoom', (event: { transform: View; sourceEvent: unknown }) => {
        const { k, x, y } = event.transform;
        if (event.sourceEvent !== null) setMoved({ k, x, y });
      });
    behaviour.current = created;
    const selection = select(element);
    selection.call(created).on('dblclick.zoom', null);
    return () => {
      observer.disconnect();
      selection.on('.zoom', null);
    };
  }, [svg]);

  // The behaviour has to know the view that is shown, so that a drag begins where the picture is.
  useEffect(() => {
    const element = svg.current;
    if (!element || !behaviour.current) return;
    const { k, x, y } = view;
    select(element).property('__zoom', zoomIdentity.translate(x, y).scale(k));
  }, [svg, view]);

  const zoomBy = useCallback(
    (factor: number) => {
      const { k, x, y } = view;
      const [least, most] = ZOOM_LIMITS;
      const scale = Math.min(most, Math.max(least, k * factor));
      const ratio = scale / k;
      const [cx, cy] = [size.width / 2, size.height / 2];
      setMoved({ k: scale, x: cx - (cx - x) * ratio, y: cy - (cy - y) * ratio });
    },
    [view, size],
  );
  const panBy = useCallback(
    (dx: number, dy: number) => setMoved({ k: view.k, x: view.x + dx, y: view.y + dy }),
    [view],
  );
  const fit = useCallback(() => setMoved(null), []);
  return { view, size, isFitted: moved === null, zoomBy, panBy, fit };
}
