import BorderOutlined from '@ant-design/icons-svg/es/asn/BorderOutlined';
import CompassOutlined from '@ant-design/icons-svg/es/asn/CompassOutlined';
import CompressOutlined from '@ant-design/icons-svg/es/asn/CompressOutlined';
import DotChartOutlined from '@ant-design/icons-svg/es/asn/DotChartOutlined';
import ZoomInOutlined from '@ant-design/icons-svg/es/asn/ZoomInOutlined';
import ZoomOutOutlined from '@ant-design/icons-svg/es/asn/ZoomOutOutlined';
import { ORIENTATIONS } from '@/sketch/orientation';
import { ToolButton } from '@/ui/controls/tool-button';
import { WORDS } from '../words';
import type { SketchChoices } from './sketch-choices';
import styles from './sketch-pane.module.css';
import type { ViewControls } from '@/views/shared/sketch/use-view';
import { ZOOM_STEP } from '@/views/shared/sketch/view-keys';

interface Props {
  controls: ViewControls;
  choices: SketchChoices;
  onChoose: (change: Partial<SketchChoices>) => void;
  /** False while another way than the one home is shown: walks simulate that. */
  canWalk: boolean;
}

/** Below the drawing, never on it: zoom, what is up, the grid, simulated walks. */
export function SketchTools({ controls: { zoomBy, fit }, choices, onChoose, canWalk }: Props) {
  const { orientation, grid, walks } = choices;
  const next = ORIENTATIONS[(ORIENTATIONS.indexOf(orientation) + 1) % ORIENTATIONS.length];
  return (
    <div className={styles.tools} role="toolbar" aria-label={WORDS.sketchTools}>
      <ToolButton icon={ZoomInOutlined} label={WORDS.zoomIn} onClick={() => zoomBy(ZOOM_STEP)} />
      <ToolButton
        icon={ZoomOutOutlined}
        label={WORDS.zoomOut}
        onClick={() => zoomBy(1 / ZOOM_STEP)}
      />
      <ToolButton icon={CompressOutlined} label={WORDS.fit} onClick={fit} />
      <ToolButton
        icon={CompassOutlined}
        label={WORDS.orientations[orientation]}
        about={WORDS.orientationAbout(WORDS.orientations[orientation])}
        onClick={() => onChoose({ orientation: next })}
      />
      <ToolButton
        icon={BorderOutlined}
        label={WORDS.grid}
        pressed={grid}
        onClick={() => onChoose({ grid: !grid })}
      />
      <ToolButton
        icon={DotChartOutlined}
        label={WORDS.walks}
        about={WORDS.walksAbout}
        pressed={walks}
        disabled={!canWalk}
        onClick={() => onChoose({ walks: !walks })}
      />
    </div>
  );
}
