import { useMemo } from 'react';
import { layerPoints, namedInLayer, type Layer } from '@/sketch/layer';
import { onScreen, type Size, type View } from '@/sketch/view';
import { ellipseAt } from './ellipse-at';
import styles from './layer-drawn.module.css';
import { Names } from './names';
import { arrowsBox, arrowsFoot, NorthArrows } from './north-arrows';
import { ScaleBar, scaleBox } from './scale-bar';

interface Props {
  layer: Layer;
  view: View;
  size: Size;
  /** The number of the line that is chosen. */
  chosen?: number | null;
}

/** An ellipse is never drawn smaller than this: it would not be seen. */
const LEAST_PIXELS = 3;

/** A layer of the earth, true north up, with its names, norths and scale. */
export function LayerDrawn({ layer, view, size, chosen = null }: Props) {
  const named = useMemo(() => namedInLayer(layer), [layer]);
  const foot = useMemo(() => arrowsFoot(layerPoints(layer), view, size), [layer, view, size]);
  const obstacles = useMemo(
    () => ({ lines: [], boxes: [arrowsBox(foot), scaleBox(size.height)] }),
    [foot, size.height],
  );
  return (
    <>
      {layer.ellipses.map(({ ellipse, ...at }, index) => {
        const { rx, ry, transform } = ellipseAt(onScreen(view, at), ellipse, view);
        return (
          <ellipse
            key={index}
            className={styles.ellipse}
            rx={Math.max(LEAST_PIXELS, rx)}
            ry={Math.max(LEAST_PIXELS, ry)}
            transform={transform}
          />
        );
      })}
      {layer.circles.map(({ radius, ...at }, index) => {
        const { x, y } = onScreen(view, at);
        return <circle key={index} className={styles.circle} cx={x} cy={y} r={radius * view.k} />;
      })}
      {layer.lines.map(({ kind, number, points }, index) => (
        <polyline
          key={index}
          className={styles[kind]}
          data-kind={kind}
          data-chosen={number !== undefined && number === chosen}
          points={points
            .map((point) => onScreen(view, point))
            .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
            .join(' ')}
        />
      ))}
      <Names named={named} view={view} size={size} obstacles={obstacles} />
      <NorthArrows norths={null} foot={foot} up={view.turn} />
      <ScaleBar view={view} height={size.height} paceMetres={null} gridMetres={null} />
    </>
  );
}
