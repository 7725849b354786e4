import BorderOutlined from '@ant-design/icons-svg/es/asn/BorderOutlined';
import CompassOutlined from '@ant-design/icons-svg/es/asn/CompassOutlined';
import DotChartOutlined from '@ant-design/icons-svg/es/asn/DotChartOutlined';
import { ORIENTATIONS } from '@/sketch/orientation';
import { ToolButton } from '@/ui/controls/tool-button';
import { WORDS } from '../words';
import type { SketchChoices } from './sketch-choices';

interface Props {
  choices: SketchChoices;
  onChoose: (change: Partial<SketchChoices>) => void;
  /** False while another way than the one home is shown: walks simulate that. */
  canWalk: boolean;
}

/** What is up, the grid, simulated walks. */
export function SketchTools({ choices, onChoose, canWalk }: Props) {
  const { orientation, grid, walks } = choices;
  const next = ORIENTATIONS[(ORIENTATIONS.indexOf(orientation) + 1) % ORIENTATIONS.length];
  return (
    <>
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
    </>
  );
}
