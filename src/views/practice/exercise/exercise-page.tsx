'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Stage } from '@/core/practice/attempt';
import { judge, type Verdict } from '@/core/practice/judge';
import type { Exercise, Question } from '@/core/practice/question';
import { PressButton } from '@/ui/controls/press-button';
import { Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { useTrainer } from '../use-trainer';
import { WORDS } from '../words';
import { AnswerFields } from './answer-fields';
import { answerOf, draftFor, shownDraft, type Draft } from './draft';
import styles from './exercise.module.css';
import { SceneView } from './scene-view';
import { anySeed, useAttempt } from './use-attempt';
import { VerdictNote } from './verdict-note';
import { nth } from '@/core/units/nth';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  exercise: Exercise;
  /** The seed of the address: of a course, or to repeat one. */
  seed: number | null;
  stage: Stage;
  course: string | null;
}

const BACK = { href: viewUrl('practice'), words: WORDS.toPractice };

/** An exercise: each go has a seed of its own, unless a course gave one. */
export function ExercisePage({ exercise, seed: given, stage: first, course }: Props) {
  const [go, setGo] = useState(() => ({ seed: given ?? anySeed(), stage: first, number: 0 }));
  const again = (stage: Stage) => setGo({ seed: anySeed(), stage, number: go.number + 1 });
  const asked = useTrainer(
    useCallback((remote) => remote.questions(exercise.id, go.seed), [exercise.id, go.seed]),
  );
  return (
    <ViewPage view="practice" about={exercise.title} back={BACK}>
      {asked.status === 'waiting' && <p role="status">{WORDS.making}</p>}
      {asked.status === 'failed' && <p role="alert">{WORDS.failed}</p>}
      {asked.status === 'ready' && (
        <Go
          key={go.number}
          exercise={exercise}
          questions={asked.value}
          go={{ seed: go.seed, stage: go.stage }}
          course={go.number === 0 ? course : null}
          onAgain={again}
        />
      )}
    </ViewPage>
  );
}

interface GoProps {
  exercise: Exercise;
  questions: readonly Question[];
  go: { seed: number; stage: Stage };
  course: string | null;
  onAgain: (stage: Stage) => void;
}

/** One go: its questions one after another, then the result of it. */
function Go({ exercise, questions, go, course, onAgain }: GoProps) {
  const [at, setAt] = useState(0);
  const [verdicts, setVerdicts] = useState<readonly Verdict[]>([]);
  const about = useMemo(
    () => ({ exercise: exercise.id, seed: go.seed, stage: go.stage, course }),
    [exercise, go.seed, go.stage, course],
  );
  const { begin, keep, saved } = useAttempt(about);
  const question = nth(questions, at);
  const isLast = at === questions.length - 1;
  const answered = (verdict: Verdict) => {
    const all = [...verdicts, verdict];
    setVerdicts(all);
    if (isLast) void keep(all);
  };
  const shown = async () => {
    if (isLast) {
      await keep([]);
      onAgain('help');
    } else setAt(at + 1);
  };
  return (
    <Section id="exercise" title={WORDS.stages[go.stage]}>
      {questions.length > 1 && (
        <p className={layout.soft}>{WORDS.question(at + 1, questions.length)}</p>
      )}
      {go.stage === 'show' ? (
        <Shown key={at} question={question} onTry={() => void shown()} isLast={isLast} />
      ) : (
        <Asked
          key={at}
          question={question}
          mayHelp={go.stage === 'help'}
          onBegin={begin}
          onAnswered={answered}
        >
          {isLast ? (
            <After saved={saved} onAgain={() => onAgain(go.stage)} />
          ) : (
            <PressButton look="primary" large onClick={() => setAt(at + 1)}>
              {WORDS.next}
            </PressButton>
          )}
        </Asked>
      )}
    </Section>
  );
}

interface AfterProps {
  saved: ReturnType<typeof useAttempt>['saved'];
  onAgain: () => void;
}

/** After the last question: on once the result of it is saved. */
const After = ({ saved, onAgain }: AfterProps) => (
  <>
    <PressButton
      look="primary"
      large
      onClick={onAgain}
      disabled={saved !== 'yes' && saved !== 'failed'}
    >
      {WORDS.another}
    </PressButton>
    <PressButton large href={BACK.href}>
      {WORDS.toPractice}
    </PressButton>
    <span role="status" data-testid="saved">
      {saved === 'yes' && WORDS.saved}
      {saved === 'failed' && WORDS.notSaved}
    </span>
  </>
);

interface ShownProps {
  question: Question;
  isLast: boolean;
  onTry: () => void;
}

/** A question with the whole way to its answer. */
const Shown = ({ question, isLast, onTry }: ShownProps) => (
  <div className={styles.columns}>
    <p className={styles.asks}>{question.asks}</p>
    <div className={styles.scene}>
      <SceneView question={question} draft={shownDraft(question)} />
    </div>
    <div>
      <Steps steps={question.steps} />
      <div className={styles.actions}>
        <PressButton look="primary" large onClick={onTry}>
          {isLast ? WORDS.tryIt : WORDS.next}
        </PressButton>
      </div>
    </div>
  </div>
);

const Steps = ({ steps }: { steps: readonly string[] }) => (
  <>
    <h3>{WORDS.how}</h3>
    <ol className={styles.steps}>
      {steps.map((step) => (
        <li key={step}>{step}</li>
      ))}
    </ol>
  </>
);

interface AskedProps {
  question: Question;
  /** Hints may be asked for, step by step. */
  mayHelp: boolean;
  onBegin: () => void;
  onAnswered: (verdict: Verdict) => void;
  /** What follows the verdict. */
  children: React.ReactNode;
}

/** A question to answer, and what is said of the answer. */
function Asked({ question, mayHelp, onBegin, onAnswered, children }: AskedProps) {
  const [draft, setDraft] = useState<Draft>(() => draftFor(question));
  const [hints, setHints] = useState(0);
  const [verdict, setVerdict] = useState<Verdict | null>(null);
  const [missing, setMissing] = useState('');
  useEffect(onBegin, [onBegin]);
  const change = (part: Partial<Draft>) => {
    setDraft((before) => ({ ...before, ...part }));
    setMissing('');
  };
  const give = () => {
    if (verdict) return;
    const answer = answerOf(question, draft);
    if (typeof answer === 'string') return setMissing(answer);
    const judged = judge(question, answer);
    setVerdict(judged);
    onAnswered(judged);
  };
  const isOpen = verdict === null;
  return (
    <div className={styles.columns}>
      <p className={styles.asks}>{question.asks}</p>
      <div className={styles.scene}>
        <SceneView question={question} draft={draft} onDraft={isOpen ? change : undefined} />
      </div>
      <div>
        {isOpen && (
          <>
            <AnswerFields question={question} draft={draft} onDraft={change} onAnswer={give} />
            {missing && (
              <p role="alert" className={styles.trouble}>
                {missing}
              </p>
            )}
            <div className={styles.actions}>
              <PressButton look="primary" large onClick={give}>
                {WORDS.answer}
              </PressButton>
              {mayHelp && hints < question.steps.length && (
                <PressButton large onClick={() => setHints(hints + 1)}>
                  {WORDS.hint}
                </PressButton>
              )}
            </div>
            {hints > 0 && <Steps steps={question.steps.slice(0, hints)} />}
          </>
        )}
        {verdict && (
          <>
            <VerdictNote question={question} verdict={verdict} />
            <div className={styles.actions}>{children}</div>
            <Steps steps={question.steps} />
          </>
        )}
      </div>
    </div>
  );
}
