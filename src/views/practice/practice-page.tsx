'use client';
import dayjs from 'dayjs';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { EXERCISES, exerciseOf } from '@/core/practice/exercises';
import { EXERCISE_GROUPS, type Exercise, type ExerciseGroup } from '@/core/practice/question';
import { dueAt, type Standing } from '@/core/practice/schedule';
import { PressButton } from '@/ui/controls/press-button';
import { BACK_TO_OUTINGS, Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { Courses } from './courses/courses';
import styles from './practice.module.css';
import type { PracticeState } from './use-practice';
import { BlindWalks } from './walk/blind-walks';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

const Progress = dynamic(() => import('./progress').then((it) => it.Progress), { ssr: false });

/** Everything that can be practised, what is due, and how it goes. */
export function PracticePage({ practice }: { practice: PracticeState }) {
  const [now] = useState(() => new Date());
  const due = dueAt(practice.standings, now).flatMap((id) => exerciseOf(id) ?? []);
  return (
    <ViewPage view="practice" back={BACK_TO_OUTINGS}>
      <p>{WORDS.lead}</p>
      <p className={layout.soft}>{WORDS.caution}</p>
      <Section id="due" title={WORDS.due}>
        {due.length === 0 ? (
          <p className={layout.soft}>
            {practice.attempts!.length === 0 ? WORDS.newHere : WORDS.nothingDue}
          </p>
        ) : (
          <ExerciseList exercises={due} practice={practice} now={now} />
        )}
      </Section>
      {(Object.keys(EXERCISE_GROUPS) as ExerciseGroup[]).map((group) => (
        <Section key={group} id={`group-${group}`} title={EXERCISE_GROUPS[group]}>
          {group === 'compass' && <OwnCompass />}
          <ExerciseList
            exercises={EXERCISES.filter((each) => each.group === group)}
            practice={practice}
            now={now}
          />
        </Section>
      ))}
      <BlindWalks />
      <Courses attempts={practice.attempts!} />
      <Progress attempts={practice.attempts!} />
    </ViewPage>
  );
}

const OwnCompass = () => (
  <p>
    <a href={viewUrl('practice', undefined, { compass: '' })} className={styles.first}>
      {WORDS.freeCompass}
    </a>{' '}
    <span className={layout.soft}>{WORDS.freeCompassWhy}</span>
  </p>
);

/** Where one stands with an exercise, in a few words. */
function standingWords({ tries, right, due }: Standing, now: Date): string {
  if (tries === 0) return WORDS.notBegun;
  const when = !due || due <= now ? WORDS.isDue : WORDS.dueOn(dayjs(due).format('D MMM, HH:mm'));
  return `${WORDS.standing(right, tries)}, ${when}`;
}

interface ListProps {
  exercises: readonly Exercise[];
  practice: PracticeState;
  now: Date;
}

const ExerciseList = ({ exercises, practice, now }: ListProps) => (
  <ul className={styles.list}>
    {exercises.map(({ id, title, why }) => (
      <li key={id}>
        <PressButton
          href={viewUrl('practice', undefined, { exercise: id })}
          aria-label={WORDS.openExercise(title)}
        >
          {title}
        </PressButton>
        <span>{why}</span>
        <span className={styles.standing}>{standingWords(practice.standingOf(id), now)}</span>
      </li>
    ))}
  </ul>
);
