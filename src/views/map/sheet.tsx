import CompressOutlined from '@ant-design/icons-svg/es/asn/CompressOutlined';
import ZoomInOutlined from '@ant-design/icons-svg/es/asn/ZoomInOutlined';
import ZoomOutOutlined from '@ant-design/icons-svg/es/asn/ZoomOutOutlined';
import { Select } from 'antd';
import { useCallback, useRef, type MouseEvent, type ReactNode } from 'react';
import type { Pixel, Size, View } from '@/sketch/view';
import { ToolButton } from '@/ui/controls/tool-button';
import { useView } from '@/views/shared/sketch/use-view';
import { onKeyOf, viewKeys, ZOOM_STEP } from '@/views/shared/sketch/view-keys';
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
  const svg = useRef<SVGSVGElement>(null);
  const { width, height } = tiles.size;
  const toFit = useCallback((size: Size) => wholePicture({ width, height })(size), [width, height]);
  const controls = useView(svg, toFit);
  const { view, size, zoomBy, fit, turnTo } = controls;
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    onTap(pixelAt(view, { x: event.clientX - box.left, y: event.clientY - box.top }));
  };
  // A tap from the keyboard is in the middle of what is seen.
  const tapMiddle = () => onTap(pixelAt(view, { x: size.width / 2, y: size.height / 2 }));
  const chosen = ups.find(({ turn }) => Math.abs(turn - view.turn) < 1e-6)?.key ?? null;
  return (
    <div className={styles.sheetPane}>
      <div className={styles.picture}>
        <PictureCanvas tiles={tiles} view={view} size={size} arrived={arrived} />
        <svg
          ref={svg}
          className={styles.over}
          role="application"
          aria-label={WORDS.sheet}
          tabIndex={0}
          onClick={tap}
          onKeyDown={onKeyOf({ ...viewKeys(controls), Enter: tapMiddle, ' ': tapMiddle })}
          data-testid="map-sheet"
        >
          {size.width > 0 && over(view)}
        </svg>
      </div>
      <div className={styles.tools} role="toolbar" aria-label={WORDS.sheet}>
        <ToolButton icon={ZoomInOutlined} label={WORDS.zoomIn} onClick={() => zoomBy(ZOOM_STEP)} />
        <ToolButton
          icon={ZoomOutOutlined}
          label={WORDS.zoomOut}
          onClick={() => zoomBy(1 / ZOOM_STEP)}
        />
        <ToolButton icon={CompressOutlined} label={WORDS.fit} onClick={fit} />
        {ups.length > 1 && (
          <Select
            className={styles.short}
            aria-label={WORDS.turn}
            value={chosen}
            options={ups.map(({ key }) => ({ value: key, label: WORDS.ups[key] }))}
            onChange={(key) => turnTo(ups.find((each) => each.key === key)?.turn ?? 0)}
          />
        )}
      </div>
    </div>
  );
}
