'use client';
import { Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { EXERCISES } from '@/core/practice/exercises';
import { keepCourse } from '@/store/practice/practice';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase } from '@/store/browser-database';
import { anySeed } from '../exercise/use-attempt';
import styles from '../practice.module.css';
import { WORDS } from '../words';

const MOST_OF_EACH = 10;

/** What an instructor chooses: exercises, and how many goes of each; all learners get the same. */
export function NewCourse({ onMade }: { onMade: () => void }) {
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [ofEach, setOfEach] = useState(2);
  const [said, setSaid] = useState('');
  const make = async () => {
    if (name.trim() === '' || chosen.length === 0) return setSaid(WORDS.needName);
    const items = chosen.flatMap((exercise) =>
      Array.from({ length: ofEach }, () => ({ exercise, seed: anySeed() })),
    );
    try {
      await keepCourse(browserDatabase(), { id: crypto.randomUUID(), name: name.trim(), items });
      onMade();
    } catch (error) {
      setSaid(STORE_MESSAGES[storeFault(error)]);
    }
  };
  return (
    <div role="group" aria-label={WORDS.newCourse}>
      <label className={styles.field}>
        <span>{WORDS.courseName}</span>
        <Input
          id="course-name"
          value={name}
          autoComplete="off"
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className={styles.field}>
        <span>{WORDS.chosenExercises}</span>
        <Select
          id="course-exercises"
          mode="multiple"
          aria-label={WORDS.chosenExercises}
          showSearch={{ optionFilterProp: 'label' }}
          value={[...chosen]}
          onChange={(all: string[]) => setChosen(all)}
          options={EXERCISES.map(({ id, title }) => ({ value: id, label: title }))}
        />
      </label>
      <label className={styles.field}>
        <span>{WORDS.each}</span>
        <InputNumber
          min={1}
          max={MOST_OF_EACH}
          precision={0}
          value={ofEach}
          onChange={(count) => setOfEach(count ?? 1)}
        />
      </label>
      {said && <p role="alert">{said}</p>}
      <PressButton look="primary" onClick={() => void make()}>
        {WORDS.makeCourse}
      </PressButton>
    </div>
  );
}
