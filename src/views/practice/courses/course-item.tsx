'use client';
import { Input } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Attempt } from '@/core/practice/attempt';
import { courseStanding, type Course, type ItemDone } from '@/core/practice/course';
import { exerciseOf } from '@/core/practice/exercises';
import { writePracticeFile } from '@/formats/practice/practice-file';
import { fileName } from '@/formats/zip';
import { removeCourse } from '@/store/practice/practice';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase } from '@/store/browser-database';
import { save } from '@/views/shared/data/save-file';
import { viewUrl } from '@/views/views';
import styles from '../practice.module.css';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';
import layout from '@/views/shared/page/layout.module.css';

const ShowCodes = dynamic(
  () => import('@/views/files/codes/show-codes').then((it) => it.ShowCodes),
  { ssr: false },
);

const saveJson = (name: string, text: string) =>
  void save(`${fileName(name)}.json`, new Blob([text], { type: 'application/json' }));

/** The items, each with its link; what is done says so. */
const Items = ({ course, done }: { course: Course; done: readonly ItemDone[] }) => (
  <ol className={styles.items}>
    {course.items.map(({ exercise, seed }, index) => (
      <li key={`${exercise} ${seed}`}>
        <a
          href={viewUrl('practice', undefined, {
            exercise,
            seed: String(seed),
            course: course.id,
          })}
        >
          {WORDS.item(exerciseOf(exercise)?.title ?? exercise, index + 1)}
        </a>
        {nth(done, index).isDone && <span className={layout.soft}>{WORDS.isDone}</span>}
      </li>
    ))}
  </ol>
);

interface Props {
  course: Course;
  attempts: readonly Attempt[];
}

/** A course: its items, how far one is, and what is passed on. */
export function CourseItem({ course, attempts }: Props) {
  const done = courseStanding(course, attempts);
  const [codes, setCodes] = useState<string | null>(null);
  const courseText = () => writePracticeFile({ kind: 'course', course });
  const toggle = (text: string) => setCodes(codes === null ? text : null);
  return (
    <div className={styles.course} role="group" aria-label={course.name}>
      <h3>{course.name}</h3>
      <p>{WORDS.courseDone(done.filter(({ isDone }) => isDone).length, course.items.length)}</p>
      <Items course={course} done={done} />
      <div className={styles.row}>
        <PressButton
          aria-label={WORDS.saveCourse(course.name)}
          onClick={() => saveJson(course.name, courseText())}
        >
          {WORDS.saveFile}
        </PressButton>
        <PressButton
          aria-label={codes === null ? WORDS.showCode(course.name) : undefined}
          onClick={() => toggle(courseText())}
        >
          {codes === null ? WORDS.showCodes : WORDS.hideCode}
        </PressButton>
        <PressButton
          aria-label={WORDS.removeCourse(course.name)}
          onClick={() => void removeCourse(browserDatabase(), course.id)}
        >
          {WORDS.remove}
        </PressButton>
      </div>
      {codes !== null && <ShowCodes text={codes} />}
      <HandBack course={course} attempts={attempts} onCodes={toggle} />
    </div>
  );
}

/** What a learner hands back: all goes at the course, under a name. */
function HandBack({ course, attempts, onCodes }: Props & { onCodes: (text: string) => void }) {
  const [who, setWho] = useState('');
  const hasName = who.trim() !== '';
  const resultsText = () =>
    writePracticeFile({
      kind: 'results',
      results: {
        course: course.id,
        name: course.name,
        who: who.trim(),
        attempts: attempts.filter((each) => each.course === course.id),
      },
    });
  return (
    <div className={styles.row}>
      <label className={styles.field}>
        <span>{WORDS.yourName}</span>
        <Input value={who} autoComplete="off" onChange={(event) => setWho(event.target.value)} />
      </label>
      <PressButton
        disabled={!hasName}
        onClick={() => saveJson(`${course.name} ${who.trim()}`, resultsText())}
      >
        {WORDS.handBack}
      </PressButton>
      <PressButton disabled={!hasName} onClick={() => onCodes(resultsText())}>
        {WORDS.handBackCode}
      </PressButton>
    </div>
  );
}
