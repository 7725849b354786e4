'use client';
import dynamic from 'next/dynamic';
import { useCallback, useRef, useState } from 'react';
import type { Attempt } from '@/core/practice/attempt';
import { readPracticeFile } from '@/formats/practice/practice-file';
import { faultMessage } from '@/core/faults/messages';
import { courseResults, courses, keepCourse, keepResults } from '@/store/practice/practice';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase } from '@/store/browser-database';
import { Section } from '@/views/shared/page/view-page';
import styles from '../practice.module.css';
import { WORDS } from '../words';
import { CourseItem } from './course-item';
import { NewCourse } from './new-course';
import { ResultsList } from './results-list';

const ReadCodes = dynamic(
  () => import('@/views/files/codes/read-codes').then((it) => it.ReadCodes),
  { ssr: false },
);

/** Keeps what a file or a series of codes brought; resolves to what to say of it. */
async function taken(text: string): Promise<string> {
  const read = readPracticeFile(text);
  if (!read.ok) return WORDS.unreadable(faultMessage(read.fault.fault));
  try {
    if (read.value.kind === 'course') {
      await keepCourse(browserDatabase(), read.value.course);
      return WORDS.gotCourse(read.value.course.name);
    }
    await keepResults(browserDatabase(), read.value.results);
    return WORDS.gotResults(read.value.results.who, read.value.results.name);
  } catch (error) {
    return STORE_MESSAGES[storeFault(error)];
  }
}

/** Courses: made here or read, done item by item, and handed back. */
export function Courses({ attempts }: { attempts: readonly Attempt[] }) {
  const live = useLive(useCallback(() => courses(browserDatabase()), []));
  const handed = useLive(useCallback(() => courseResults(browserDatabase()), []));
  const all = live && 'value' in live ? live.value : [];
  const results = handed && 'value' in handed ? handed.value : [];
  const picker = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState('');
  const [isReading, setIsReading] = useState(false);
  const [isMaking, setIsMaking] = useState(false);
  const take = async (text: string) => setSaid(await taken(text));
  return (
    <Section id="courses" title={WORDS.courses}>
      <p>{WORDS.coursesWhy}</p>
      {all.map((course) => (
        <CourseItem key={course.id} course={course} attempts={attempts} />
      ))}
      <div className={styles.row}>
        <PressButton onClick={() => setIsMaking(!isMaking)} aria-pressed={isMaking}>
          {WORDS.newCourse}
        </PressButton>
        <PressButton onClick={() => picker.current?.click()}>{WORDS.readFile}</PressButton>
        <input
          ref={picker}
          type="file"
          hidden
          aria-label={WORDS.readFile}
          accept=".json,application/json"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            target.value = '';
            void file?.text().then(take);
          }}
        />
        <PressButton onClick={() => setIsReading(!isReading)} aria-pressed={isReading}>
          {isReading ? WORDS.hideReader : WORDS.readCode}
        </PressButton>
      </div>
      <p role="status" data-testid="course-said">
        {said}
      </p>
      {isReading && (
        <ReadCodes
          onText={(text) => {
            setIsReading(false);
            void take(text);
          }}
        />
      )}
      {isMaking && <NewCourse onMade={() => setIsMaking(false)} />}
      {results.length > 0 && <ResultsList results={results} />}
    </Section>
  );
}
