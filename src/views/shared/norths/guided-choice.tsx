'use client';
import { Button, Form, Input, Modal, Radio } from 'antd';
import { useState, type ReactNode } from 'react';
import type { Correction, Header, Outing } from '@/core/logbook';
import { PlaceField, type PlaceText } from '@/views/shared/place-field';
import { compassNorth, readDraft, type DraftField, type NorthsDraft } from './draft';
import styles from './norths-fields.module.css';
import { Outlook } from './outlook';
import { useDraftOutlook } from './use-draft-solution';

type Answer = string;
interface Choice {
  readonly value: Answer;
  readonly label: string;
}
interface Question {
  readonly key: 'map' | 'compass' | 'lines' | 'angle';
  readonly asks: string;
  readonly choices: readonly Choice[];
}
type Answers = Partial<Record<Question['key'], Answer>>;

const MAP: Question = {
  key: 'map',
  asks: 'Do you have a map, and do you take bearings from it?',
  choices: [
    { value: 'no', label: 'No, compass and paces only' },
    { value: 'yes', label: 'Yes' },
    { value: 'magnetic', label: 'Yes, and its north lines are drawn for the needle' },
  ],
};
const COMPASS: Question = {
  key: 'compass',
  asks: 'What does your compass do about the angle between map and needle?',
  choices: [
    { value: 'by-sum', label: 'Nothing: a needle and a dial' },
    { value: 'by-mark', label: 'It has a small scale inside the housing' },
    { value: 'compass-set', label: 'Its dial can be set for the angle, and I have set it' },
    { value: 'left-out', label: 'The angle is small here: I leave it out' },
  ],
};
const LINES: Question = {
  key: 'lines',
  asks: 'Which lines of the map do you measure bearings from?',
  choices: [
    { value: 'grid', label: 'The lines of its grid' },
    { value: 'true', label: 'Its edges, or lines that point true north' },
  ],
};
const ANGLE: Question = {
  key: 'angle',
  asks: 'How do you know the angle?',
  choices: [
    { value: 'model', label: 'I don’t: work it out from the place and the date' },
    { value: 'margin', label: 'It is printed on the map, with a year' },
    { value: 'typed', label: 'I was told it' },
  ],
};

/** The questions that the answers so far call for. */
function questionsFor({ map, compass }: Answers): Question[] {
  if (map === 'no') return [MAP];
  if (map === 'magnetic') return [MAP, ANGLE];
  if (compass === 'left-out') return [MAP, COMPASS, ANGLE];
  return [MAP, COMPASS, LINES, ANGLE];
}

/** The setting that the answers end in. */
function settled(draft: NorthsDraft, answers: Answers): NorthsDraft {
  const correction: Correction =
    answers.map === 'no'
      ? 'none'
      : answers.map === 'magnetic'
        ? 'magnetic-map'
        : ((answers.compass as Correction | undefined) ?? 'by-sum');
  const lines = answers.lines === 'grid' ? 'grid' : 'true';
  const north = compassNorth(correction, lines);
  const source =
    correction === 'none' ? 'none' : ((answers.angle ?? 'model') as NorthsDraft['source']);
  const asksGrid = correction !== 'none' && answers.map === 'yes' && answers.lines !== undefined;
  const grid = !asksGrid
    ? 'same'
    : lines === 'true'
      ? 'same'
      : draft.grid === 'same'
        ? 'model'
        : draft.grid;
  return { ...draft, correction, source, grid, read: north, show: north };
}

interface Props {
  outing: Outing;
  header: (draft: NorthsDraft) => Header | null;
  draft: NorthsDraft;
  place: PlaceText;
  onPlace: (place: PlaceText) => void;
  onDraft: (draft: NorthsDraft) => void;
  onUse: () => void;
  onClose: () => void;
}

/** A few questions in plain words, for whoever knows none of the others; they end in the right setting. */
export function GuidedChoice(props: Props) {
  const { outing, draft, place, onDraft, onUse, onClose } = props;
  const [answers, setAnswers] = useState<Answers>({});
  const [step, setStep] = useState(0);
  const questions = questionsFor(answers);
  const done = step >= questions.length;
  const question = questions[step];
  const header = done ? props.header(draft) : null;
  const { wrong } = readDraft(draft, outing);
  const outlook = useDraftOutlook(outing, header, draft.read);

  const answer = (key: Question['key'], value: Answer) => {
    // An answer changed on the way back makes the later ones void.
    const order = questions.map((asked) => asked.key);
    const kept = Object.fromEntries(
      order.slice(0, order.indexOf(key)).map((earlier) => [earlier, answers[earlier]]),
    );
    const next = { ...kept, [key]: value };
    setAnswers(next);
    onDraft(settled(draft, next));
  };
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
  const needsPlace =
    draft.source === 'model' || (draft.grid === 'model' && draft.correction !== 'none');
  const angleReady = Object.keys(wrong).length === 0 && (!needsPlace || Boolean(place.position));
  const answered = question ? answers[question.key] !== undefined : true;
  const ready = answered && (question?.key !== 'angle' || angleReady);

  return (
    <Modal
      open
      title="Needle, map and compass"
      onCancel={onClose}
      footer={[
        step > 0 && (
          <Button key="back" onClick={() => setStep(step - 1)}>
            Back
          </Button>
        ),
        done ? (
          <Button key="use" type="primary" disabled={!header || !!outlook.fault} onClick={onUse}>
            Use this
          </Button>
        ) : (
          <Button key="next" type="primary" disabled={!ready} onClick={() => setStep(step + 1)}>
            Next
          </Button>
        ),
      ]}
    >
      <Form layout="vertical" className={styles.steps}>
        {question && (
          <>
            <p className={styles.question} id="guide-question">
              {question.asks}
            </p>
            <Radio.Group
              key={question.key}
              aria-labelledby="guide-question"
              vertical
              value={answers[question.key]}
              onChange={(event) => answer(question.key, event.target.value as Answer)}
              options={question.choices.map(({ value, label }) => ({ value, label }))}
            />
          </>
        )}
        {question?.key === 'angle' && answers.angle && (
          <AngleDetails
            source={draft.source}
            place={needsPlace ? <PlaceField place={place} onChange={props.onPlace} /> : null}
            text={text}
          />
        )}
        {done && <Outlook outlook={outlook} />}
      </Form>
    </Modal>
  );
}

function AngleDetails({
  source,
  place,
  text,
}: {
  source: NorthsDraft['source'];
  place: ReactNode;
  text: (key: DraftField, label: string, hint: string) => ReactNode;
}) {
  return (
    <>
      {source !== 'model' && text('angle', 'The angle', 'With its letter: 19.1 W or 2°18’ E')}
      {source === 'margin' && (
        <>
          {text('marginDate', 'Its year or month', '2009 or 2009-07')}
          {text('marginChange', 'Its change a year', 'With its letter: 9’ E')}
        </>
      )}
      {place}
    </>
  );
}
