import { Select } from 'antd';
import { useCallback, useMemo, type ReactNode } from 'react';
import type { Pixel, Size, View } from '@/sketch/view';
import { positionAt } from '@/core/place/geodesic';
import type { PictureTie } from '@/core/place/picture/tie';
import type { PlanePoint } from '@/core/units/plane';
import { GroundDrawn, GroundNote, GroundTools, useGround } from '@/views/shared/sketch/ground';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import styles from './map.module.css';
import { PictureCanvas } from './picture-canvas';
import { groundOfPicture, pixelAt, wholePicture } from './picture-plane';
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
  /** Where the picture is on the earth; null while nothing tells. */
  tie: PictureTie | null;
  /** A place of the picture was tapped. */
  onTap: (pixel: Pixel) => void;
  /** What is drawn over the picture. */
  over: (view: View, size: Size) => ReactNode;
}

/** The picture, moved by drag, wheel, pinch and keys; what is shown on it moves with it. */
export function Sheet({ tiles, arrived, ups, tie, onTap, over }: Props) {
  const { width, height } = tiles.size;
  const toFit = useCallback((size: Size) => wholePicture({ width, height })(size), [width, height]);
  const surface = useSurface(toFit);
  const { view, size, turnTo } = surface;
  const origin = useMemo(
    () => tie?.positionOf({ x: width / 2, y: height / 2 }) ?? null,
    [tie, width, height],
  );
  const ground = useGround(groundOfPicture(tie, origin, view, size));
  const place = useCallback(
    (point: PlanePoint) => (tie && origin ? tie.pixelOf(positionAt(origin, point)) : null),
    [tie, origin],
  );
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
          <>
            <GroundTools ground={ground} />
            {ups.length > 1 && (
              <Select
                className={styles.short}
                aria-label={WORDS.turn}
                value={chosen}
                options={ups.map(({ key }) => ({ value: key, label: WORDS.ups[key] }))}
                onChange={(key) => turnTo(ups.find((each) => each.key === key)?.turn ?? 0)}
              />
            )}
          </>
        }
        note={<GroundNote ground={ground} />}
        testId="map-sheet"
      >
        <g className={styles.over}>
          <GroundDrawn ground={ground} view={view} size={size} place={place} />
          {over(view, size)}
        </g>
      </Surface>
    </div>
  );
}
