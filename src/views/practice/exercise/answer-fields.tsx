import { Input, Radio } from 'antd';
import type { Question } from '@/core/practice/question';
import { WORDS } from '../words';
import type { Draft } from './draft';
import styles from './exercise.module.css';

interface Props {
  question: Question;
  draft: Draft;
  onDraft: (change: Partial<Draft>) => void;
  onAnswer: () => void;
}

/** The fields of an answer that is typed or chosen; what is turned or tapped is in the scene. */
export function AnswerFields({ question, draft, onDraft, onAnswer }: Props) {
  const { wanted } = question;
  if (wanted.kind === 'choice') {
    return (
      <Radio.Group
        aria-label={WORDS.choices}
        className={styles.choices}
        value={draft.choice}
        onChange={(event) => onDraft({ choice: String(event.target.value) })}
        options={wanted.options.map(({ id, text }) => ({ value: id, label: text }))}
      />
    );
  }
  const field = (key: 'text' | 'metres', label: string) => (
    <label className={styles.field}>
      <span>{label}</span>
      <Input
        id={`answer-${key}`}
        value={draft[key]}
        inputMode="decimal"
        autoComplete="off"
        onChange={(event) => onDraft({ [key]: event.target.value })}
        onPressEnter={onAnswer}
      />
    </label>
  );
  if (wanted.kind === 'bearing') return field('text', WORDS.bearing);
  if (wanted.kind === 'number') return field('text', WORDS.numberIn(wanted.unit));
  if (wanted.kind === 'way') {
    return (
      <div className={styles.fields}>
        {field('text', WORDS.bearing)}
        {field('metres', WORDS.metres)}
      </div>
    );
  }
  return null;
}
