import RedoOutlined from '@ant-design/icons-svg/es/asn/RedoOutlined';
import SettingOutlined from '@ant-design/icons-svg/es/asn/SettingOutlined';
import UndoOutlined from '@ant-design/icons-svg/es/asn/UndoOutlined';
import dynamic from 'next/dynamic';
import { northShown, type Solution } from '@/core/survey/solution';
import type { OutingState } from '@/store/replay';
import { CairnMark } from '@/ui/cairn-mark';
import { ToolButton } from '@/ui/controls/tool-button';
import { declinationSentence } from '@/views/shared/declination/words';
import { adjustedSentence } from '@/views/shared/words/method-words';
import { viewUrl } from '@/views/views';
import styles from './outing.module.css';
import { WORDS } from './words';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** Comes after the rest: few outings are walks of the trainer. */
const WalkLink = dynamic(
  () => import('@/views/practice/walk/walk-link').then((it) => it.WalkLink),
  { ssr: false },
);

interface Props {
  name: string;
  solution: Solution;
  state: OutingState | null;
  onStep: (kind: 'undo' | 'redo') => void;
  onSettings: () => void;
}

/** The head of the outing view: name, declination, undo and redo, settings, menu. */
export function OutingHeader({ name, solution, state, onStep, onSettings }: Props) {
  const { outing, places, end } = solution;
  return (
    <header className={styles.header}>
      {/* A whole page load: it works from the offline cache like any other. */}
      <a href="/" aria-label={WORDS.brand} title={WORDS.toOutings} className={styles.brand}>
        <CairnMark />
        <span>Cairn Back</span>
      </a>
      <h1 className={styles.title}>{name}</h1>
      <a
        className={styles.declination}
        href={viewUrl('declination', outing.id)}
        title={WORDS.toDeclination}
      >
        {declinationSentence(places.frame.norths, end.readingNorth, northShown(solution))}{' '}
        {adjustedSentence(solution)}
      </a>
      <div className={styles.headerTools}>
        <WalkLink outing={outing.id} />
        <ToolButton
          plain
          icon={UndoOutlined}
          label={SHARED_WORDS.undo}
          disabled={state?.undoable.length === 0}
          onClick={() => onStep('undo')}
        />
        <ToolButton
          plain
          icon={RedoOutlined}
          label={SHARED_WORDS.redo}
          disabled={state?.redoable.length === 0}
          onClick={() => onStep('redo')}
        />
        <ToolButton plain icon={SettingOutlined} label={WORDS.settings} onClick={onSettings} />
      </div>
    </header>
  );
}
