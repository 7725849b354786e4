'use client';
import CompressOutlined from '@ant-design/icons-svg/es/asn/CompressOutlined';
import ZoomInOutlined from '@ant-design/icons-svg/es/asn/ZoomInOutlined';
import ZoomOutOutlined from '@ant-design/icons-svg/es/asn/ZoomOutOutlined';
import { useRef, type MouseEvent, type PointerEvent, type ReactNode, type RefObject } from 'react';
import type { Pixel, Size, View } from '@/sketch/view';
import { ToolButton } from '@/ui/controls/tool-button';
import { SHARED_WORDS } from '@/views/shared/words/words';
import styles from './surface.module.css';
import { useView, type ViewControls } from './use-view';
import { onKeyOf, viewKeys, ZOOM_STEP, type KeyActions } from './view-keys';

/** A drawing surface: its view and what moves it. */
export interface SurfaceControls extends ViewControls {
  readonly svg: RefObject<SVGSVGElement | null>;
}

/**
 * The one drawing surface: moved by drag, wheel, pinch and keys. Until it is moved it shows what
 * `toFit` says. `inPage` is one within a page that scrolls: the wheel then zooms with Ctrl, and two
 * fingers move it.
 */
export function useSurface(toFit: (size: Size) => View, inPage = false): SurfaceControls {
  const svg = useRef<SVGSVGElement>(null);
  return { svg, ...useView(svg, toFit, inPage) };
}

interface Props {
  surface: SurfaceControls;
  /** What it shows, for those who don't see it. */
  label: string;
  /** The name of its tools, where that is another. */
  toolsLabel?: string;
  /** What lies under the drawing and over it, in sheets of their own. */
  under?: ReactNode;
  over?: ReactNode;
  /** A place was tapped; Enter and space tap the middle where `tapsMiddle` says so. */
  onTap?: (pixel: Pixel) => void;
  tapsMiddle?: boolean;
  /** A place was held, or clicked with the right button. */
  onHold?: (pixel: Pixel) => void;
  /** Keys beside those of every surface. */
  keys?: KeyActions;
  /** Tools beside those of every surface. */
  tools?: ReactNode;
  /** Said between the drawing and its tools. */
  note?: ReactNode;
  inPage?: boolean;
  testId: string;
  children: ReactNode;
}

const pixelOf = (event: MouseEvent<SVGSVGElement>): Pixel => {
  const box = event.currentTarget.getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top };
};

const HOLD_MS = 550;
/** A finger that is held moves less than this. */
const HELD_PIXELS = 8;

/** A finger held at a place, or the right button of a mouse. */
function useHold(onHold: Props['onHold']) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const from = useRef<Pixel | null>(null);
  /** The click that ends a hold is none. */
  const held = useRef(false);
  const stop = () => clearTimeout(timer.current);
  const handlers = {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      stop();
      held.current = false;
      if (event.pointerType === 'mouse' || !event.isPrimary) return;
      const pixel = pixelOf(event);
      from.current = pixel;
      timer.current = setTimeout(() => {
        held.current = true;
        onHold?.(pixel);
      }, HOLD_MS);
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      const { x, y } = pixelOf(event);
      const start = from.current;
      if (start && Math.hypot(x - start.x, y - start.y) > HELD_PIXELS) stop();
    },
    onPointerUp: stop,
    onPointerCancel: stop,
    onContextMenu: (event: MouseEvent<SVGSVGElement>) => {
      event.preventDefault();
      stop();
      if (!held.current) onHold?.(pixelOf(event));
      held.current = true;
    },
  };
  return { onHold, handlers, isHeld: () => held.current };
}

/** The surface with its tools: below the drawing, never on it. */
export function Surface(props: Props) {
  const { surface, label, toolsLabel = label, under, over, onTap, tapsMiddle, keys, tools } = props;
  const { svg, size, zoomBy, fit } = surface;
  const { onHold, ...holds } = useHold(props.onHold);
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    if (!holds.isHeld()) onTap?.(pixelOf(event));
  };
  const tapMiddle = () => onTap?.({ x: size.width / 2, y: size.height / 2 });
  const taps: KeyActions = tapsMiddle ? { Enter: tapMiddle, ' ': tapMiddle } : {};
  const isSized = size.width > 0;
  return (
    <div className={styles.pane} data-in-page={props.inPage || undefined}>
      <div className={styles.sheet} data-sheet>
        {isSized && under}
        <svg
          ref={svg}
          className={styles.drawing}
          role="application"
          aria-label={label}
          tabIndex={0}
          onClick={tap}
          {...(onHold && holds.handlers)}
          onKeyDown={onKeyOf({ ...viewKeys(surface), ...taps, ...keys })}
          data-testid={props.testId}
        >
          {isSized && props.children}
        </svg>
        {over && (
          <svg className={styles.over} aria-hidden="true">
            {isSized && over}
          </svg>
        )}
      </div>
      {props.note}
      <div className={styles.tools} role="toolbar" aria-label={toolsLabel}>
        <ToolButton
          icon={ZoomInOutlined}
          label={SHARED_WORDS.zoomIn}
          onClick={() => zoomBy(ZOOM_STEP)}
        />
        <ToolButton
          icon={ZoomOutOutlined}
          label={SHARED_WORDS.zoomOut}
          onClick={() => zoomBy(1 / ZOOM_STEP)}
        />
        <ToolButton icon={CompressOutlined} label={SHARED_WORDS.fit} onClick={fit} />
        {tools}
      </div>
    </div>
  );
}
