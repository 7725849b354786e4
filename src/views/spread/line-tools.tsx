import { Button } from 'antd';
import type { Warning } from '@/core/checks/check';
import { threeDigits } from '@/core/angle';
import { bearingDegrees } from '@/core/reading';
import type { Entry } from '@/core/logbook';
import styles from './spread.module.css';
import { isLeg } from './leaf-rows';
import { WORDS } from './words';

interface Props {
  entry: Entry;
  leg: number;
  /** What the page remarks on the line. */
  warnings: readonly Warning[];
  onEdit: () => void;
  onInsert: () => void;
  onStrike: () => void;
  onMove: (way: 'up' | 'down') => void;
  onName: () => void;
  onWay: () => void;
  onLegFrom: () => void;
  onRight: (code: string) => void;
  onMend: (leg: Entry) => void;
  onHalfCircle: () => void;
}

/** What can be done with the chosen line, and with what the page remarks on it. */
export function LineTools(props: Props) {
  const { entry, leg, warnings } = props;
  const name = isLeg(entry) ? WORDS.legNumber(leg) : 'Line';
  if (entry.kind === 'struck') return null;
  return (
    <div className={styles.tools} role="toolbar" aria-label={name}>
      <b>{name}</b>
      {warnings.map(({ code, mend }) => (
        <span key={code} className={styles.remark}>
          {mend && (
            <Button onClick={() => props.onMend(mend)}>
              {WORDS.takeInstead(threeDigits(bearingDegrees(mend.bearing)))}
            </Button>
          )}
          {code === 'expected-other-way' && (
            <Button type="text" onClick={props.onHalfCircle}>
              {WORDS.halfCircle}
            </Button>
          )}
          <Button data-code={code} onClick={() => props.onRight(code)}>
            {WORDS.isRight}
          </Button>
        </span>
      ))}
      <Button type="text" onClick={props.onEdit}>
        {WORDS.edit}
      </Button>
      <Button type="text" onClick={props.onInsert}>
        {WORDS.insert}
      </Button>
      <Button type="text" onClick={props.onStrike}>
        {WORDS.strike}
      </Button>
      {isLeg(entry) && (
        <>
          <Button type="text" onClick={props.onLegFrom}>
            {WORDS.legFromHere}
          </Button>
          <Button type="text" onClick={props.onName}>
            {WORDS.name}
          </Button>
          <Button type="text" onClick={props.onWay}>
            {WORDS.wayFromHere}
          </Button>
          <Button type="text" onClick={() => props.onMove('up')}>
            {WORDS.moveUp}
          </Button>
          <Button type="text" onClick={() => props.onMove('down')}>
            {WORDS.moveDown}
          </Button>
        </>
      )}
    </div>
  );
}
