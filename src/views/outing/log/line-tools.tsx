import type { Warning } from '@/core/checks/check';
import { isLeg, type Entry, type Leg } from '@/core/entries/entry';
import { bearingDegrees } from '@/core/readings/bearing';
import styles from '../outing.module.css';
import { bearingText } from '@/ui/units/shown';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import { WORDS } from '../words';

interface Props {
  outing: string;
  entry: Entry;
  leg: number;
  /** The warnings on the line. */
  warnings: readonly Warning[];
  onEdit: () => void;
  onInsert: () => void;
  onStrike: () => void;
  onMove: (way: 'up' | 'down') => void;
  onName: () => void;
  onWay: () => void;
  onLegFrom: () => void;
  onAccept: (code: string) => void;
  onCorrection: (leg: Leg) => void;
  onReversed: () => void;
  /** Back to the line that is typed. */
  onDone: () => void;
}

/** What can be done with the selected line, and with the warnings on it. */
export function LineTools(props: Props) {
  const { entry, leg, warnings } = props;
  if (entry.kind === 'struck') return null;
  const name = isLeg(entry) ? WORDS.legNumber(leg) : WORDS.line;
  const tools: readonly (readonly [string, () => void])[] = [
    [WORDS.edit, props.onEdit],
    [WORDS.insert, props.onInsert],
    [WORDS.strike, props.onStrike],
  ];
  const legTools: readonly (readonly [string, () => void])[] = [
    [WORDS.legFromHere, props.onLegFrom],
    [WORDS.name, props.onName],
    [WORDS.wayFromHere, props.onWay],
    [WORDS.moveUp, () => props.onMove('up')],
    [WORDS.moveDown, () => props.onMove('down')],
  ];
  return (
    <div className={styles.tools} role="toolbar" aria-label={name} data-line-tools>
      <span className={styles.chosen}>
        <b>{name}</b>
        <PressButton look="plain" onClick={props.onDone}>
          {WORDS.done}
        </PressButton>
      </span>
      {warnings.map((warning) => (
        <WarningTools key={warning.code} {...props} warning={warning} />
      ))}
      {[...tools, ...(isLeg(entry) ? legTools : [])].map(([label, act]) => (
        <PressButton key={label} look="plain" onClick={act}>
          {label}
        </PressButton>
      ))}
      {isLeg(entry) && (
        <PressButton
          look="plain"
          href={viewUrl('map', undefined, { outing: props.outing, leg: `${leg}` })}
        >
          {WORDS.onMap}
        </PressButton>
      )}
    </div>
  );
}

function WarningTools({ warning, ...props }: Props & { warning: Warning }) {
  const { code, correction } = warning;
  return (
    <span className={styles.remark}>
      {correction && (
        <PressButton onClick={() => props.onCorrection(correction)}>
          {WORDS.insteadUse(bearingText(bearingDegrees(correction.bearing)))}
        </PressButton>
      )}
      {code === 'expected-other-way' && (
        <PressButton look="plain" onClick={props.onReversed}>
          {WORDS.reversed}
        </PressButton>
      )}
      <PressButton data-code={code} onClick={() => props.onAccept(code)}>
        {WORDS.accept}
      </PressButton>
    </span>
  );
}
