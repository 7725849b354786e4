import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { gridName, type Plan } from '@/core/navigation/route/plan';
import { isWhole, steepnessOf, withHeights } from '@/core/navigation/route/with-heights';
import type { LegHeights } from '@/core/navigation/route/leg-heights';
import type { Route } from '@/core/model/route';
import { HeightChooser } from '@/views/shared/heights/height-chooser';
import { PressButton } from '@/ui/controls/press-button';
import type { HeightsAnswer } from '@/workers/heights/heights-run';
import styles from '../route.module.css';
import { HEIGHT_WORDS as WORDS } from './height-words';
import { useHeights, type Heights } from './use-heights';

interface Props {
  plan: Plan;
  /** Changes the route; resolves to true when that is durable. */
  onChange: (change: (route: Route) => Route) => Promise<boolean>;
}

/** Climbs and steep ground of the legs, by files of heights. */
export function HeightsForm({ plan, onChange }: Props) {
  const { heights, read, cancel } = useHeights(plan);
  if (plan.legs.length === 0) return <p>{WORDS.noLegs}</p>;
  return (
    <div className={styles.form}>
      <p className={styles.soft}>{WORDS.help}</p>
      <HeightChooser
        share={heights.status === 'reading' ? heights.share : null}
        onFiles={(files) => void read(files)}
        onCancel={cancel}
      />
      <Read heights={heights} plan={plan} onChange={onChange} />
    </div>
  );
}

function Read({ heights, plan, onChange }: Props & { heights: Heights }) {
  switch (heights.status) {
    case 'none':
    case 'reading':
      return null;
    case 'failed':
      return (
        <p role="alert" className={styles.warning}>
          {WORDS.failed}
        </p>
      );
    case 'read':
      return (
        <Answer
          key={heights.name}
          name={heights.name}
          answer={heights.answer}
          plan={plan}
          onChange={onChange}
        />
      );
  }
}

interface AnswerProps extends Props {
  name: string;
  answer: HeightsAnswer;
}

function Answer({ name, answer, plan, onChange }: AnswerProps) {
  const [said, setSaid] = useState('');
  if (answer.kind === 'unread') {
    return (
      <ul className={styles.faults} role="alert">
        {answer.faults.map(({ line, fault }) => (
          <li key={`${line} ${faultMessage(fault)}`}>
            {WORDS.faultIn(answer.name, line, faultMessage(fault))}
          </li>
        ))}
      </ul>
    );
  }
  const { legs, isOfMap } = answer;
  const count = legs.filter(isWhole).length;
  const write = async () => {
    const isSaved = await onChange((route) => withHeights(route, legs));
    setSaid(isSaved ? WORDS.written(count) : '');
  };
  return (
    <div className={styles.form} data-testid="heights">
      <p role="status">{WORDS.of(name)}</p>
      {isOfMap && <p className={styles.warning}>{WORDS.ofMap(gridName(plan) ?? '')}</p>}
      <ol className={styles.heights}>
        {plan.legs.map(({ number, to }, index) => (
          <LegOfHeights key={number} to={to} heights={legs[index] ?? null} />
        ))}
      </ol>
      <PressButton look="primary" large disabled={count === 0} onClick={() => void write()}>
        {WORDS.write(count)}
      </PressButton>
      <p role="status">{said}</p>
      <p className={styles.soft}>{WORDS.caution}</p>
    </div>
  );
}

function LegOfHeights({ to, heights }: { to: string; heights: LegHeights | null }) {
  if (!isWhole(heights)) {
    return (
      <li>
        {WORDS.leg(to)} <span className={styles.warning}>{WORDS.unknown(heights)}</span>
      </li>
    );
  }
  const { upMetres, downMetres, steepest } = heights;
  const kind = steepnessOf(heights);
  return (
    <li>
      {WORDS.leg(to)} {WORDS.climb(upMetres, downMetres)}
      {steepest && (
        <>
          {'; '}
          <span className={kind ? styles.warning : undefined}>
            {WORDS.steepest(kind, steepest)}
          </span>
        </>
      )}
    </li>
  );
}
