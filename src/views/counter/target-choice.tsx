'use client';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { wayHome } from '@/core/navigation/ways/way';
import { stationName, type Solution } from '@/core/survey/solution';
import styles from './counter.module.css';
import { lengthText, lengthUnit } from '@/ui/units/shown';
import { WORDS } from './words';

const MOST_METRES = 1e6;

interface Props {
  solution: Solution;
  onChoose: (target: { metres?: number; name: string }) => void;
}

/** How far to count: home, a distance, or nowhere in particular. */
export function TargetChoice({ solution, onChoose }: Props) {
  const [text, setText] = useState('');
  const metres = Number(text) * lengthUnit().metres;
  const isGood = text.trim() !== '' && metres > 0 && metres <= MOST_METRES;
  const home = wayHome(solution).distanceMetres;
  const place = stationName(solution, 0);
  const take = () => isGood && onChoose({ metres, name: lengthText(metres) });
  return (
    <div className={styles.chips} role="group" aria-label={WORDS.countTo}>
      <Input
        id="target"
        className={styles.short}
        value={text}
        aria-label={WORDS.targetLength()}
        placeholder={WORDS.targetLength()}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        onPressEnter={take}
      />
      <Button disabled={!isGood} onClick={take}>
        {WORDS.set}
      </Button>
      {home >= 1 && (
        <Button onClick={() => onChoose({ metres: home, name: place })}>
          {WORDS.toHome(place, home)}
        </Button>
      )}
      <Button onClick={() => onChoose({ name: '' })}>{WORDS.noTarget}</Button>
    </div>
  );
}
