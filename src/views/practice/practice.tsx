'use client';
import { useSearchParams } from 'next/navigation';
import { exerciseOf } from '@/core/practice/exercises';
import { PlainPage } from '@/views/shared/page/plain-page';
import { FreeCompass } from './compass/free-compass';
import { ExercisePage } from './exercise/exercise-page';
import { seedOf } from './exercise/use-attempt';
import { PracticePage } from './practice-page';
import { usePractice } from './use-practice';
import { BlindWalkView } from './walk/blind-walk';
import { WORDS } from './words';

/** The trainer: all of it, an exercise, the compass by itself, or a blind walk. */
export function PracticeView() {
  const query = useSearchParams();
  const practice = usePractice();
  const walk = query.get('walk');
  if (walk !== null) return <BlindWalkView outing={walk} />;
  if (query.has('compass')) return <FreeCompass />;
  if (practice.failed) return <PlainPage words={WORDS.failed} alert />;
  if (!practice.attempts) return <PlainPage words={WORDS.loading} />;
  const wanted = query.get('exercise');
  if (wanted === null) return <PracticePage practice={practice} />;
  const exercise = exerciseOf(wanted);
  if (!exercise) return <PlainPage words={WORDS.missing} />;
  const course = query.get('course');
  // In a course one is tested from the first; alone one is shown it first.
  const stage = course === null ? practice.standingOf(wanted).stage : 'test';
  return (
    <ExercisePage
      key={`${wanted} ${query.get('seed')}`}
      exercise={exercise}
      seed={seedOf(query.get('seed'))}
      stage={stage}
      course={course}
    />
  );
}
