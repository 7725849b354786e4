'use client';
import { Modal } from 'antd';
import { useState } from 'react';
import { faultWords } from '@/core/fault-words';
import { understand } from '@/core/log-text/understand';
import { groundText } from '@/core/log-text/write-log';
import type { Entry } from '@/core/logbook';
import type { Solution } from '@/core/solve';
import { Dial } from '@/ui/dial';
import { GroundChips } from '@/ui/ground-chips';
import { NumberPad } from '@/ui/number-pad';
import { entryWords } from '@/views/shared/entry-words';
import { groundsOf } from '@/views/shared/grounds-of';
import styles from './leg-pad.module.css';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  onSave: (entry: Entry) => void;
  onClose: () => void;
}

type Part = 'bearing' | 'count';
const MOST_DIGITS = { bearing: 3, count: 5 };

/** A leg without a keyboard: turn the dial or tap the bearing, tap the count, log it. */
export function LegPad({ solution, onSave, onClose }: Props) {
  const paced = !Number.isNaN(solution.end.paceLength);
  const [digits, setDigits] = useState({ bearing: '', count: '' });
  const [part, setPart] = useState<Part>('bearing');
  const [unit, setUnit] = useState<'p' | 'm'>(paced ? 'p' : 'm');
  const [ground, setGround] = useState<string | undefined>(undefined);
  const line = `${digits.bearing} ${digits.count}${digits.count === '' ? '' : unit}${ground ? groundText(ground) : ''}`;
  const found = understand(line, solution);
  const isLeg = found.kind === 'entry' && found.entry.kind === 'leg';
  const begun = digits.bearing !== '' && digits.count !== '';
  const write = (wanted: Part, text: string) => setDigits({ ...digits, [wanted]: text });

  return (
    <Modal
      open
      centered
      title={WORDS.pad}
      okText={WORDS.save}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !isLeg }}
      onOk={() => isLeg && onSave(found.entry)}
      onCancel={onClose}
    >
      <div className={styles.pad}>
        <div className={styles.parts} role="radiogroup" aria-label="What the pad writes">
          {(['bearing', 'count'] as const).map((each) => (
            <button
              key={each}
              type="button"
              role="radio"
              aria-checked={part === each}
              className={styles.part}
              onClick={() => setPart(each)}
            >
              <small>{each === 'bearing' ? 'Bearing' : unit === 'p' ? 'Paces' : 'Metres'}</small>
              <span data-testid={`pad-${each}`}>{digits[each] || '–'}</span>
            </button>
          ))}
          <button
            type="button"
            className={styles.unit}
            onClick={() => setUnit(unit === 'p' ? 'm' : 'p')}
          >
            in {unit === 'p' ? 'metres' : 'paces'}
          </button>
        </div>
        {part === 'bearing' && (
          <Dial
            label="Bearing"
            degrees={Number(digits.bearing) % 360 || 0}
            onTurn={(degrees) => write('bearing', String(degrees).padStart(3, '0'))}
          />
        )}
        {part === 'count' && (
          <GroundChips grounds={groundsOf(solution)} chosen={ground} onChoose={setGround} />
        )}
        <NumberPad
          next={part === 'bearing' ? 'Count' : 'Bearing'}
          onDigit={(digit) => write(part, (digits[part] + digit).slice(-MOST_DIGITS[part]))}
          onErase={() => write(part, digits[part].slice(0, -1))}
          onNext={() => setPart(part === 'bearing' ? 'count' : 'bearing')}
        />
        <p aria-live="polite" className={styles.reading}>
          {isLeg
            ? entryWords(found.entry, found.ghost?.lengthMetres ?? null)
            : begun && found.kind === 'fault'
              ? faultWords(found.fault)
              : ''}
        </p>
      </div>
    </Modal>
  );
}
