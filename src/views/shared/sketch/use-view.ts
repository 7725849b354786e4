'use client';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import type { PlanePoint } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { onPlane, onScreen, type Size, type View } from '@/sketch/view';

/** How far one may zoom: pixels a metre. */
const ZOOM_LIMITS: [number, number] = [0.0005, 40];
/** A point nearer to an edge than this is moved into the middle when it is to be shown. */
const SHOWN_INSET = 30;
/** A pointer that moved less made a click. */
const CLICK_PIXELS = 6;

/** What lies over a drawing at its sides, in pixels. */
export interface Insets {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
const NO_INSETS: Insets = { left: 0, top: 0, right: 0, bottom: 0 };

type Svg = RefObject<SVGSVGElement | null>;

/** The size of the sketch, followed as it changes. */
function useSize(svg: Svg): Size {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const { width, height } = entry.contentRect;
      setSize({ width, height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [svg]);
  return size;
}

/** True for what moves the drawing. Within a page one finger and the wheel alone move the page. */
function moves(event: MouseEvent | TouchEvent, inPage: boolean): boolean {
  // What is dragged by itself, such as a point of a route, doesn't move the drawing.
  if (event.type !== 'wheel' && (event.target as Element).closest('[data-handle]')) return false;
  if (event.type === 'wheel') return !inPage || event.ctrlKey;
  if ('touches' in event) return !inPage || event.touches.length > 1;
  return !event.ctrlKey && event.button === 0;
}

/** Pan and zoom by wheel, drag and pinch. */
function useZoomBehaviour(
  svg: Svg,
  view: View,
  onMoved: (view: View) => void,
  inPage: boolean,
): void {
  const turn = useRef(view.turn);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const created = zoom<SVGSVGElement, unknown>()
      .filter((event: MouseEvent | TouchEvent) => moves(event, inPage))
      .scaleExtent(ZOOM_LIMITS)
      .clickDistance(CLICK_PIXELS)
      .on('zoom', (event: { transform: View; sourceEvent: unknown }) => {
        const { k, x, y } = event.transform;
        if (event.sourceEvent !== null) onMoved({ k, x, y, turn: turn.current });
      });
    behaviour.current = created;
    const selection = select(element);
    selection.call(created).on('dblclick.zoom', null);
    return () => {
      selection.on('.zoom', null);
    };
  }, [svg, onMoved, inPage]);
  // The behaviour has to know the view that is shown, so that a drag begins where the picture is.
  useEffect(() => {
    const element = svg.current;
    if (!element || !behaviour.current) return;
    const { k, x, y } = view;
    turn.current = view.turn;
    select(element).property('__zoom', zoomIdentity.translate(x, y).scale(k));
  }, [svg, view]);
}

/** The view of a surface. Until the person moves it, it shows what `toFit` says. */
export function useView(svg: Svg, toFit: (size: Size) => View, inPage = false) {
  const size = useSize(svg);
  const [moved, setMoved] = useState<View | null>(null);
  const fitted = useMemo(() => toFit(size), [toFit, size]);
  const view = moved ?? fitted;
  useZoomBehaviour(svg, view, setMoved, inPage);
  const zoomBy = useCallback(
    (factor: number) => {
      const { k, x, y } = view;
      const [least, most] = ZOOM_LIMITS;
      const scale = Math.min(most, Math.max(least, k * factor));
      const ratio = scale / k;
      const [cx, cy] = [size.width / 2, size.height / 2];
      const moved = { x: cx - (cx - x) * ratio, y: cy - (cy - y) * ratio };
      setMoved({ ...view, ...moved, k: scale });
    },
    [view, size],
  );
  const panBy = useCallback(
    (dx: number, dy: number) => setMoved({ ...view, x: view.x + dx, y: view.y + dy }),
    [view],
  );
  /** Another bearing up, about the middle of what is seen. */
  const turnTo = useCallback(
    (turn: Degrees) => {
      const middle = { x: size.width / 2, y: size.height / 2 };
      const turned = { ...view, turn };
      const { x, y } = onScreen(turned, onPlane(view, middle));
      setMoved({ ...turned, x: view.x + middle.x - x, y: view.y + middle.y - y });
    },
    [view, size],
  );
  /** Moves a point of the plane into the middle of what nothing lies over, where it isn't seen. */
  const show = useCallback(
    (point: PlanePoint, { left, top, right, bottom }: Insets = NO_INSETS) => {
      const { x, y } = onScreen(view, point);
      const isSeen =
        x > left + SHOWN_INSET &&
        y > top + SHOWN_INSET &&
        x < size.width - right - SHOWN_INSET &&
        y < size.height - bottom - SHOWN_INSET;
      const middle = { x: (left + size.width - right) / 2, y: (top + size.height - bottom) / 2 };
      if (!isSeen) panBy(middle.x - x, middle.y - y);
    },
    [view, size, panBy],
  );
  const fit = useCallback(() => setMoved(null), []);
  return { view, size, isFitted: moved === null, zoomBy, panBy, turnTo, show, fit };
}

export type ViewControls = ReturnType<typeof useView>;
