'use client';
import { useEffect, useState } from 'react';
import type { Solution } from '@/core/survey/solution';
import { bearingKeys } from './bearing-keys';
import { Dial } from '@/ui/controls/dial';
import { GroundChips } from '@/ui/controls/ground-chips';
import { NumberPad } from '@/ui/controls/number-pad';
import { CompassAid } from '@/views/shared/devices/compass-aid';
import { groundsOf } from '@/views/shared/words/grounds';
import { WORDS } from '../words';
import { PARTS, type Part, type Unit } from './keypad-draft';
import styles from './keypad.module.css';
import type { KeypadState } from './use-keypad';

const UNIT_WORDS: Readonly<Record<Unit, string>> = {
  p: 'paces',
  s: 'steps',
  m: 'metres',
  ft: 'feet',
  lk: 'links',
  min: 'minutes',
};

/** How the bearing is given: by keys, by a dial to turn, by the phone's compass. */
const INPUTS = ['keys', 'dial', 'compass'] as const;
type Input = (typeof INPUTS)[number];

interface Props {
  solution: Solution;
  pad: KeypadState;
  /** What was said of the last line. */
  status: string;
  /** Which leg is corrected, in words; null for a new one. */
  editing: string | null;
  onClose: () => void;
}

/** Physical digits, Backspace, Enter and Escape do what the keys on the screen do. */
function useDigitKeys({ press, erase, log }: KeypadState, onClose: () => void) {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const isField = event.target instanceof HTMLInputElement;
      if (isField || event.ctrlKey || event.metaKey || event.altKey) return;
      if (document.querySelector('[role=dialog]')) return;
      const isButton = event.target instanceof HTMLButtonElement;
      if (/^\d$/.test(event.key)) press(event.key);
      else if (event.key === 'Escape') onClose();
      else if (event.key === 'Backspace') erase();
      else if (event.key === 'Enter' && !isButton && !event.repeat) void log();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [press, erase, log, onClose]);
}

/** A leg with one gloved thumb: three digits, the count, Log; then the next one. */
export function Keypad({ solution, pad, status, editing, onClose }: Props) {
  const [input, setInput] = useState<Input>('keys');
  const { draft, words, isWrong, leg } = pad;
  const isBearing = draft.part === 'bearing';
  useDigitKeys(pad, onClose);
  return (
    <section className={styles.keypad} aria-label={WORDS.keypad} data-keypad>
      {editing && <p className={styles.editing}>{editing}</p>}
      <Parts pad={pad} />
      {isBearing ? (
        <Inputs input={input} onInput={setInput} onClose={onClose} />
      ) : (
        <div className={styles.grounds}>
          <GroundChips
            grounds={groundsOf(solution)}
            chosen={draft.ground}
            onChoose={pad.setGround}
          />
        </div>
      )}
      {isBearing && input === 'dial' && (
        <div className={styles.dial}>
          <Dial
            label={WORDS.keypadBearing}
            degrees={bearingKeys().toDegrees(draft.bearing)}
            onTurn={pad.turn}
            onTurned={() => pad.goTo('count')}
          />
        </div>
      )}
      {isBearing && input === 'compass' && (
        <CompassAid onUse={(read) => pad.take(Number(read.slice(0, 3)))} />
      )}
      {(!isBearing || input === 'keys') && (
        <NumberPad
          next={isBearing ? WORDS.keypadCount : WORDS.keypadBearing}
          onDigit={pad.press}
          onErase={pad.erase}
          onNext={() => pad.goTo(isBearing ? 'count' : 'bearing')}
        />
      )}
      <p
        role="status"
        className={isWrong ? `${styles.reading} ${styles.wrong}` : styles.reading}
        data-testid="keypad-reading"
      >
        {words || status}
      </p>
      <button
        type="button"
        className={styles.log}
        disabled={!leg || pad.isLogging}
        onClick={() => void pad.log()}
      >
        {editing ? WORDS.saveThis : WORDS.keypadLog}
      </button>
    </section>
  );
}

/** The bearing and the count as they stand; a tap says which of them the keys write. */
function Parts({ pad: { draft, unit, goTo, nextUnit } }: { pad: KeypadState }) {
  const names: Readonly<Record<Part, string>> = {
    bearing: WORDS.keypadBearing,
    count: UNIT_WORDS[unit],
  };
  return (
    <div className={styles.parts} role="radiogroup" aria-label={WORDS.keypadParts}>
      {PARTS.map((part) => (
        <button
          key={part}
          type="button"
          role="radio"
          aria-checked={draft.part === part}
          className={styles.part}
          onClick={() => goTo(part)}
        >
          <small>{names[part]}</small>
          <span data-testid={`keypad-${part}`}>{draft[part] || '–'}</span>
        </button>
      ))}
      <button type="button" className={styles.unit} onClick={nextUnit} title={WORDS.keypadUnit}>
        <span className="visually-hidden">{WORDS.keypadUnit}: </span>
        {UNIT_WORDS[unit]}
      </button>
    </div>
  );
}

interface InputsProps {
  input: Input;
  onInput: (input: Input) => void;
  onClose: () => void;
}

const Inputs = ({ input, onInput, onClose }: InputsProps) => (
  <div className={styles.inputs}>
    {INPUTS.map((each) => (
      <button
        key={each}
        type="button"
        aria-pressed={input === each}
        className={styles.input}
        onClick={() => onInput(each)}
      >
        {WORDS.keypadInputs[each]}
      </button>
    ))}
    <button type="button" className={styles.input} onClick={onClose}>
      {WORDS.keypadClose}
    </button>
  </div>
);
