import AimOutlined from '@ant-design/icons-svg/es/asn/AimOutlined';
import { useCallback, useMemo, useState } from 'react';
import type { EarthFix } from '@/core/survey/fix/on-earth';
import { viewOfPoints } from '@/sketch/layer';
import { fixLayer, fixPoints } from '@/sketch/layers/fix';
import type { Size } from '@/sketch/view';
import { ToolButton } from '@/ui/controls/tool-button';
import { LayersDrawn } from '@/views/shared/sketch/layer-drawn';
import { Surface, useSurface } from '@/views/shared/sketch/surface';
import { WORDS } from './words';

/** The lines of sight, the triangle that they make, and the ellipse, to scale, north up. */
export function FixPicture({ found }: { found: EarthFix }) {
  const [isClose, setIsClose] = useState(false);
  const layers = useMemo(() => [fixLayer(found, isClose)], [found, isClose]);
  const toFit = useCallback(
    (size: Size) => viewOfPoints(fixPoints(found, isClose), size),
    [found, isClose],
  );
  const surface = useSurface(toFit, true);
  const { view, size } = surface;
  return (
    <Surface
      surface={surface}
      label={WORDS.picture}
      inPage
      tools={
        <ToolButton
          icon={AimOutlined}
          label={WORDS.near}
          pressed={isClose}
          onClick={() => {
            setIsClose(!isClose);
            surface.fit();
          }}
        />
      }
      testId="fix-picture"
    >
      <LayersDrawn layers={layers} view={view} size={size} />
    </Surface>
  );
}
