import { Select } from 'antd';
import { useCallback, type ReactNode } from 'react';
import type { Pixel, Size, View } from '@/sketch/view';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import styles from './map.module.css';
import { PictureCanvas } from './picture-canvas';
import { pixelAt, wholePicture } from './picture-plane';
import type { Tiles } from './use-tiles';
import { WORDS } from './words';

/** Directions that can be up, each as the turn of the picture that it takes. */
export interface Up {
  readonly key: keyof typeof WORDS.ups;
  readonly turn: number;
}

interface Props {
  tiles: Tiles;
  arrived: number;
  ups: readonly Up[];
  /** A place of the picture was tapped. */
  onTap: (pixel: Pixel) => void;
  /** What is drawn over the picture. */
  over: (view: View) => ReactNode;
}

/** The picture, moved by drag, wheel, pinch and keys; what lies over it moves with it. */
export function Sheet({ tiles, arrived, ups, onTap, over }: Props) {
  const { width, height } = tiles.size;
  const toFit = useCallback((size: Size) => wholePicture({ width, height })(size), [width, height]);
  const surface = useSurface(toFit);
  const { view, size, turnTo } = surface;
  const chosen = ups.find(({ turn }) => Math.abs(turn - view.turn) < 1e-6)?.key ?? null;
  return (
    <div className={styles.sheetPane}>
      <Surface
        surface={surface}
        label={WORDS.sheet}
        under={<PictureCanvas tiles={tiles} view={view} size={size} arrived={arrived} />}
        onTap={(pixel) => onTap(pixelAt(view, pixel))}
        tapsMiddle
        tools={
          ups.length > 1 && (
            <Select
              className={styles.short}
              aria-label={WORDS.turn}
              value={chosen}
              options={ups.map(({ key }) => ({ value: key, label: WORDS.ups[key] }))}
              onChange={(key) => turnTo(ups.find((each) => each.key === key)?.turn ?? 0)}
            />
          )
        }
        testId="map-sheet"
      >
        <g className={styles.over}>{over(view)}</g>
      </Surface>
    </div>
  );
}
