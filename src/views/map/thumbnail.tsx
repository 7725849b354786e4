import { useEffect, useRef } from 'react';
import styles from './map.module.css';

const WIDTH = 96;
const HEIGHT = 72;

/** A small picture, drawn so that no address of it has to be kept. */
export function Thumbnail({ blob }: { blob: Blob }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let gone = false;
    void createImageBitmap(blob).then((bitmap) => {
      const context = canvas.current?.getContext('2d');
      if (gone || !context) return;
      const k = Math.max(WIDTH / bitmap.width, HEIGHT / bitmap.height);
      const [w, h] = [bitmap.width * k, bitmap.height * k];
      context.drawImage(bitmap, (WIDTH - w) / 2, (HEIGHT - h) / 2, w, h);
      bitmap.close();
    });
    return () => {
      gone = true;
    };
  }, [blob]);
  return (
    <canvas
      ref={canvas}
      className={styles.thumbnail}
      width={WIDTH}
      height={HEIGHT}
      aria-hidden="true"
    />
  );
}
