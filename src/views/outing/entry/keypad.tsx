'use client';
import { Modal } from 'antd';
import { useState } from 'react';
import type { Entry } from '@/core/entries/entry';
import { faultMessage } from '@/core/faults/messages';
import { interpretLine } from '@/core/log-text/interpret';
import { writeGround } from '@/core/readings/ground';
import { generalPace } from '@/core/survey/log-state';
import type { Solution } from '@/core/survey/solution';
import { Dial } from '@/ui/controls/dial';
import { GroundChips } from '@/ui/controls/ground-chips';
import { NumberPad } from '@/ui/controls/number-pad';
import { interpretationWords } from '@/views/shared/words/entry-words';
import { groundsOf } from '@/views/shared/words/grounds';
import { WORDS } from '../words';
import styles from './keypad.module.css';

interface Props {
  solution: Solution;
  onSave: (entry: Entry) => void;
  onClose: () => void;
}

const PARTS = ['bearing', 'count'] as const;
type Part = (typeof PARTS)[number];
const MOST_DIGITS: Readonly<Record<Part, number>> = { bearing: 3, count: 5 };

type Unit = 'p' | 'm';
const UNIT_WORDS: Readonly<Record<Unit, string>> = { p: 'paces', m: 'metres' };
const otherUnit = (unit: Unit): Unit => (unit === 'p' ? 'm' : 'p');

/** The digits, unit and ground of the leg, and how they are read. */
function useKeypad(solution: Solution) {
  const [digits, setDigits] = useState({ bearing: '', count: '' });
  const [unit, setUnit] = useState<Unit>(generalPace(solution.end) === null ? 'm' : 'p');
  const [ground, setGround] = useState<string | undefined>(undefined);
  const distance = digits.count === '' ? '' : digits.count + unit;
  const line = [digits.bearing, distance, ground && writeGround(ground)].filter(Boolean).join(' ');
  const found = interpretLine(line, solution);
  const entry = found.kind === 'entry' && found.entry.kind === 'leg' ? found.entry : null;
  const begun = digits.bearing !== '' && digits.count !== '';
  const write = (part: Part, text: string) => setDigits({ ...digits, [part]: text });
  const words = entry
    ? interpretationWords(found)
    : begun && found.kind === 'fault'
      ? faultMessage(found.fault)
      : '';
  return { digits, write, unit, setUnit, ground, setGround, entry, words };
}

/** A leg without a keyboard: turn the dial or tap the bearing, tap the count, log it. */
export function Keypad({ solution, onSave, onClose }: Props) {
  const { digits, write, unit, setUnit, ground, setGround, entry, words } = useKeypad(solution);
  const [part, setPart] = useState<Part>('bearing');
  const otherPart = part === 'bearing' ? 'count' : 'bearing';
  return (
    <Modal
      open
      centered
      title={WORDS.keypad}
      okText={WORDS.save}
      cancelText={WORDS.cancel}
      okButtonProps={{ disabled: !entry }}
      onOk={() => entry && onSave(entry)}
      onCancel={onClose}
    >
      <div className={styles.pad}>
        <div className={styles.parts} role="radiogroup" aria-label="What the keys write">
          {PARTS.map((each) => (
            <button
              key={each}
              type="button"
              role="radio"
              aria-checked={part === each}
              className={styles.part}
              onClick={() => setPart(each)}
            >
              <small>{each === 'bearing' ? 'Bearing' : UNIT_WORDS[unit]}</small>
              <span data-testid={`keypad-${each}`}>{digits[each] || '–'}</span>
            </button>
          ))}
          <button type="button" className={styles.unit} onClick={() => setUnit(otherUnit(unit))}>
            in {UNIT_WORDS[otherUnit(unit)]}
          </button>
        </div>
        {part === 'bearing' ? (
          <Dial
            label="Bearing"
            degrees={Number(digits.bearing) % 360 || 0}
            onTurn={(degrees) => write('bearing', String(degrees).padStart(3, '0'))}
          />
        ) : (
          <GroundChips grounds={groundsOf(solution)} chosen={ground} onChoose={setGround} />
        )}
        <NumberPad
          next={otherPart === 'count' ? 'Count' : 'Bearing'}
          onDigit={(digit) => write(part, (digits[part] + digit).slice(-MOST_DIGITS[part]))}
          onErase={() => write(part, digits[part].slice(0, -1))}
          onNext={() => setPart(otherPart)}
        />
        <p aria-live="polite" className={styles.reading}>
          {words}
        </p>
      </div>
    </Modal>
  );
}
