'use client';
import { Button, Form, Input, Modal, Radio } from 'antd';
import { useState, type ReactNode } from 'react';
import type { Header } from '@/core/model/header';
import type { Outing } from '@/core/model/outing';
import type { Position } from '@/core/readings/position';
import { PlaceField, type PlaceText } from '@/views/shared/fields/place-field';
import styles from './declination-fields.module.css';
import { marginSum, readDraft, type DeclinationDraft, type DraftField } from './draft';
import {
  questionsFor,
  settledDraft,
  type Answers,
  type Question,
  type QuestionKey,
} from './guided-questions';
import { Outlook } from './outlook';
import { useDraftOutlook } from './use-draft-outlook';

interface Props {
  outing: Outing;
  header: (draft: DeclinationDraft) => Header | null;
  draft: DeclinationDraft;
  place: PlaceText;
  onPlace: (place: PlaceText) => void;
  onDraft: (draft: DeclinationDraft) => void;
  onUse: () => void;
  onClose: () => void;
}

const needsPosition = ({ source, grid, correction }: DeclinationDraft) =>
  source === 'model' || (grid !== 'same' && grid !== 'typed' && correction !== 'none');

/** The answers so far, and where in the questions one is. */
function useQuestions(
  draft: DeclinationDraft,
  onDraft: (draft: DeclinationDraft) => void,
  at: Position | null,
) {
  const [answers, setAnswers] = useState<Answers>({});
  const [step, setStep] = useState(0);
  const questions = questionsFor(answers);
  const answer = (key: QuestionKey, value: string) => {
    // The others stay: who goes back to one question has not changed their mind on the next.
    const next: Answers = { ...answers, [key]: value };
    setAnswers(next);
    // What is not asked any more does not count.
    const asked = questionsFor(next).map((each) => [each.key, next[each.key]]);
    onDraft(settledDraft(draft, Object.fromEntries(asked) as Answers, at));
  };
  return { answers, answer, step, setStep, question: questions[step] };
}

const MISSING_ANSWER = 'Choose an answer.';

/** What one can't go on without, and because of which answer. */
function missingWords(
  { source, grid, correction }: DeclinationDraft,
  wrong: Partial<Record<DraftField, string>>,
  isPlaced: boolean,
): string | null {
  if (wrong.angle !== undefined) return 'Still needed: the declination that you were given.';
  if (wrong.margin !== undefined) return 'Still needed: what the map’s margin prints.';
  if (isPlaced) return null;
  if (source === 'model') {
    return 'Still needed: the position of the start, to compute the declination there.';
  }
  return grid === 'model' && correction !== 'none'
    ? 'Still needed: the position of the start, since you measure from the map’s grid lines, or ' +
        'the angle is from them: how far they are from true north depends on the place.'
    : null;
}

/** A few questions in plain words that end in the right setting. */
export function GuidedChoice(props: Props) {
  const { outing, draft, place, onDraft, onUse, onClose } = props;
  const { answers, answer, step, setStep, question } = useQuestions(
    draft,
    onDraft,
    place.position ?? null,
  );
  const header = question ? null : props.header(draft);
  const { wrong } = readDraft(draft, outing);
  const outlook = useDraftOutlook(outing, header, draft.read);
  const placed = !needsPosition(draft) || Boolean(place.position);
  const answered = question !== undefined && answers[question.key] !== undefined;
  const missing = answered ? missingWords(draft, wrong, placed) : MISSING_ANSWER;
  const isOfAngle = question?.key === 'angle' || question?.key === 'from';
  const ready = answered && (!isOfAngle || missing === null);
  return (
    <Modal
      open
      title="Declination: help me choose"
      onCancel={onClose}
      footer={[
        question && !ready && (
          <span key="why" className={styles.why}>
            {missing}
          </span>
        ),
        step > 0 && (
          <Button key="back" onClick={() => setStep(step - 1)}>
            Back
          </Button>
        ),
        question ? (
          <Button key="next" type="primary" disabled={!ready} onClick={() => setStep(step + 1)}>
            Next
          </Button>
        ) : (
          <Button key="use" type="primary" disabled={!header || !!outlook.fault} onClick={onUse}>
            Use this
          </Button>
        ),
      ]}
    >
      <Form layout="vertical" className={styles.steps}>
        {question && <Asked question={question} answers={answers} onAnswer={answer} />}
        {question?.key === 'angle' && answers.angle && (
          <AngleDetails draft={draft} wrong={wrong} day={outing.date?.day} onDraft={onDraft}>
            {needsPosition(draft) && <PlaceField place={place} onChange={props.onPlace} />}
          </AngleDetails>
        )}
        {question?.key === 'from' && answers.from && needsPosition(draft) && (
          <PlaceField place={place} onChange={props.onPlace} />
        )}
        {!question && <Outlook outlook={outlook} />}
      </Form>
    </Modal>
  );
}

interface AskedProps {
  question: Question;
  answers: Answers;
  onAnswer: (key: QuestionKey, value: string) => void;
}

const Asked = ({ question, answers, onAnswer }: AskedProps) => (
  <>
    <p className={styles.question} id="guide-question">
      {question.asks}
    </p>
    <Radio.Group
      key={question.key}
      aria-labelledby="guide-question"
      vertical
      value={answers[question.key]}
      onChange={(event) => onAnswer(question.key, event.target.value as string)}
      options={question.choices.map(({ value, label }) => ({ value, label }))}
    />
  </>
);

interface AngleDetailsProps {
  draft: DeclinationDraft;
  wrong: Partial<Record<DraftField, string>>;
  day: string | undefined;
  onDraft: (draft: DeclinationDraft) => void;
  children: ReactNode;
}

function AngleDetails({ draft, wrong, day, onDraft, children }: AngleDetailsProps) {
  const text = (key: DraftField, label: string, hint: string) => (
    <Form.Item
      label={label}
      htmlFor={`guide-${key}`}
      validateStatus={draft[key] && wrong[key] ? 'error' : undefined}
      help={draft[key] ? (wrong[key] ?? hint) : hint}
    >
      <Input
        id={`guide-${key}`}
        value={draft[key]}
        onChange={(event) => onDraft({ ...draft, [key]: event.target.value })}
        autoComplete="off"
      />
    </Form.Item>
  );
  return (
    <>
      {draft.source === 'typed' && text('angle', 'Declination, with its letter', '19.1 W')}
      {draft.source === 'margin' &&
        text(
          'margin',
          'As the map’s margin prints it',
          marginSum(draft, day) ?? '2°18’ W, July 2009, 9’ E a year',
        )}
      {children}
    </>
  );
}
