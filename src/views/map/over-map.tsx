import { useRef, useState, type PointerEvent } from 'react';
import { normalised } from '@/core/units/angle';
import { visibleText } from '@/core/units/visible';
import type { Pixel, View } from '@/sketch/view';
import type { MapBase, PlacedLayer } from './base';
import styles from './map.module.css';
import { PlateDrawn } from './panels/protractor';
import { pixelAt, pixelOnScreen } from './picture-plane';
import type { Placing } from './things/thing-props';
import type { InHand } from './tools';

interface Props {
  base: MapBase;
  placed: readonly PlacedLayer[];
  inHand: InHand;
  view: View;
  /** A handle of the route was dragged to a place. */
  onDragged: (placing: Placing, to: Pixel) => Promise<unknown>;
}

/** What the tool in hand draws over the map. */
export function OverMap(props: Props) {
  const { base, inHand, view } = props;
  const { mode, taps, plate } = inHand;
  const screen = taps.map((tap) => pixelOnScreen(view, tap));
  const [first] = screen;
  const up = base.tie?.upDegrees ?? 0;
  return (
    <>
      {mode === 'tie' && <Controls base={base} view={view} />}
      {screen.length > 1 && (
        <polyline
          className={styles.tappedLine}
          points={screen.map(({ x, y }) => `${x},${y}`).join(' ')}
        />
      )}
      {screen.map(({ x, y }, index) => (
        <circle key={index} className={styles.tapped} cx={x} cy={y} r={7} />
      ))}
      {mode === 'protractor' && first && (
        <PlateDrawn state={plate} at={first} turn={normalised(plate.edge - up - view.turn)} />
      )}
      {mode === 'route' && <Handles {...props} />}
    </>
  );
}

/** The points by which a picture has its position. */
function Controls({ base: { opened }, view }: Pick<Props, 'base' | 'view'>) {
  const suspect = opened?.tie.ok ? opened.tie.value.suspect?.index : undefined;
  return opened?.picture.controls.map(({ x, y, label }, index) => {
    const at = pixelOnScreen(view, { x, y });
    return (
      <g key={index} className={styles.control} data-suspect={suspect === index}>
        <path d={`M${at.x - 11} ${at.y}h22M${at.x} ${at.y - 11}v22`} />
        <text x={at.x + 8} y={at.y - 8}>
          {visibleText(label)}
        </text>
      </g>
    );
  });
}

/** The points of the route to drag, and between them those that a drag inserts. */
function Handles({ placed, view, onDragged }: Props) {
  const route = placed.find(({ id, marks }) => id === 'route' && marks.marks.some(isPoint));
  const points = (route?.marks.marks.filter(isPoint) ?? []).map(({ east, north }) => ({
    x: east,
    y: -north,
  }));
  return (
    <>
      {points.slice(1).map((to, index) => {
        const from = points[index] ?? to;
        const at = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
        const placing = { does: 'insert', after: index } as const;
        return <Handle key={`i${index}`} at={at} {...{ view, placing, onDragged }} />;
      })}
      {points.map((at, index) => {
        const placing = { does: 'move', point: index } as const;
        return <Handle key={`p${index}`} at={at} {...{ view, placing, onDragged }} />;
      })}
    </>
  );
}

const isPoint = ({ key }: { key: string }) => /^p\d+$/.test(key);

/** A finger that taps moves less. */
const DRAG_PIXELS = 10;

interface HandleProps extends Pick<Props, 'view' | 'onDragged'> {
  at: Pixel;
  placing: Placing;
}

/** A point that is dragged; a tap on it is one on the map. */
function Handle({ at, view, placing, onDragged }: HandleProps) {
  const [moved, setMoved] = useState<Pixel | null>(null);
  /** The click that ends a drag is no tap on the map. */
  const isDrag = useRef(false);
  const { x, y } = moved ?? pixelOnScreen(view, at);
  const onScreenOf = (event: PointerEvent<SVGCircleElement>): Pixel => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    return { x: event.clientX - (box?.x ?? 0), y: event.clientY - (box?.y ?? 0) };
  };
  const down = (event: PointerEvent<SVGCircleElement>) => {
    isDrag.current = false;
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent<SVGCircleElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const to = onScreenOf(event);
    const from = pixelOnScreen(view, at);
    if (!isDrag.current && Math.hypot(to.x - from.x, to.y - from.y) < DRAG_PIXELS) return;
    isDrag.current = true;
    setMoved(to);
  };
  const up = async () => {
    if (!moved) return;
    await onDragged(placing, pixelAt(view, moved));
    setMoved(null);
  };
  return (
    <circle
      className={styles.handle}
      data-handle={placing.does}
      cx={x}
      cy={y}
      r={placing.does === 'move' ? 14 : 10}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={() => void up()}
      onPointerCancel={() => setMoved(null)}
      onClick={(event) => isDrag.current && event.stopPropagation()}
    />
  );
}
