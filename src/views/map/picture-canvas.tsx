import { useEffect, useRef } from 'react';
import type { Size, View } from '@/sketch/view';
import { drawTiles } from './draw-tiles';
import styles from './map.module.css';
import type { Tiles } from './use-tiles';

interface Props {
  tiles: Tiles;
  view: View;
  size: Size;
  /** Changes when tiles have come. */
  arrived: number;
}

/** The pixels of the picture; what is shown on it is drawn separately. */
export function PictureCanvas({ tiles, view, size, arrived }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!canvas.current || !context || size.width === 0) return;
    const ratio = Math.min(2, devicePixelRatio);
    const [width, height] = [Math.round(size.width * ratio), Math.round(size.height * ratio)];
    if (canvas.current.width !== width) canvas.current.width = width;
    if (canvas.current.height !== height) canvas.current.height = height;
    drawTiles(context, tiles, view, size, ratio);
  }, [tiles, view, size, arrived]);
  return <canvas ref={canvas} className={styles.canvas} aria-hidden="true" data-testid="picture" />;
}
