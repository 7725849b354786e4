import { Progress } from 'antd';
import { useRef, useState, type ChangeEvent } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { gridName, type Plan } from '@/core/navigation/route/plan';
import { isWhole, steepnessOf, withHeights } from '@/core/navigation/route/with-heights';
import type { LegHeights } from '@/core/navigation/route/leg-heights';
import type { Route } from '@/core/model/route';
import { HEIGHT_ENDINGS } from '@/formats/heights/endings';
import { PressButton } from '@/ui/controls/press-button';
import type { HeightsAnswer } from '@/workers/heights/heights-run';
import styles from '../route.module.css';
import { demoHeights } from './demo-heights';
import { HEIGHT_WORDS as WORDS } from './height-words';
import { useHeights, type Heights } from './use-heights';

interface Props {
  plan: Plan;
  /** Changes the route; resolves to true when that is durable. */
  onChange: (change: (route: Route) => Route) => Promise<boolean>;
}

/** Climbs and steep ground of the legs, by files of heights. */
export function HeightsForm({ plan, onChange }: Props) {
  const file = useRef<HTMLInputElement>(null);
  const { heights, read, cancel } = useHeights(plan);
  const [noDemo, setNoDemo] = useState(false);
  const chosen = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const files = [...(target.files ?? [])];
    // The same files can be chosen again after that.
    target.value = '';
    void read(files);
  };
  const addDemo = async () => {
    const demo = await demoHeights();
    setNoDemo(demo === null);
    if (demo) await read([demo]);
  };
  if (plan.legs.length === 0) return <p>{WORDS.noLegs}</p>;
  return (
    <div className={styles.form}>
      <p className={styles.soft}>{WORDS.help}</p>
      <div className={styles.row}>
        <PressButton
          look="primary"
          large
          busy={heights.status === 'reading'}
          onClick={() => file.current?.click()}
        >
          {WORDS.choose}
        </PressButton>
        <PressButton large disabled={heights.status === 'reading'} onClick={() => void addDemo()}>
          {WORDS.demo}
        </PressButton>
        {heights.status === 'reading' && (
          <PressButton large onClick={cancel}>
            {WORDS.cancel}
          </PressButton>
        )}
      </div>
      <input
        ref={file}
        type="file"
        hidden
        multiple
        aria-label={WORDS.choose}
        accept={HEIGHT_ENDINGS}
        onChange={chosen}
      />
      {noDemo && (
        <p role="alert" className={styles.warning}>
          {WORDS.noDemo}
        </p>
      )}
      <Read heights={heights} plan={plan} onChange={onChange} />
    </div>
  );
}

function Read({ heights, plan, onChange }: Props & { heights: Heights }) {
  switch (heights.status) {
    case 'none':
      return null;
    case 'reading':
      return <Progress percent={Math.floor(100 * heights.share)} aria-label={WORDS.reading} />;
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
