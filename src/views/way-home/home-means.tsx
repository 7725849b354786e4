import { Radio } from 'antd';
import { changeHome } from '@/core/edit/settings';
import type { Command } from '@/core/edit/command';
import { AIMS, type Aim, type HomeReadings } from '@/core/entries/reckoning';
import { isLeg } from '@/core/entries/entry';
import { homeMeans } from '@/core/survey/home-means';
import type { Solution } from '@/core/survey/solution';
import type { Outcome } from '@/store/outing-session';
import { SpeedField } from '@/views/shared/fields/unit-fields';
import { Section } from '@/views/shared/page/view-page';
import styles from './way-home.module.css';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** What stands for the general pace, and for the clock, among the grounds. */
const GENERAL = '';
const CLOCK = '@clock';
/** Walking speed until one is said: W. W. Naismith, 1892, less for country without a path. */
const USUAL_KMH = 4;

/** The grounds that an outing has a pace for or walked on, in the order of their first mention. */
function groundsOf({ outing }: Solution): string[] {
  const named = outing.entries.flatMap((entry) => {
    if (entry.kind === 'pace' || entry.kind === 'home') return entry.ground ?? [];
    return isLeg(entry) ? (entry.ground ?? []) : [];
  });
  return [...new Set(named)];
}

interface Props {
  solution: Solution;
  run: (command: Command) => Promise<Outcome>;
}

/** How the walk home will be made, with what is taken where nothing is said. */
export function HomeMeansChoice({ solution, run }: Props) {
  const { end } = solution;
  const means = homeMeans(end);
  const said = end.home ?? {};
  const change = (next: HomeReadings) => void run(changeHome(next));
  const chosen = means.kilometresPerHour === null ? (means.ground ?? GENERAL) : CLOCK;
  const setDistance = (value: string) => {
    const { aim } = said;
    const kept = { aim: aim ?? means.aim };
    if (value === CLOCK) change({ ...kept, kilometresPerHour: end.lastSpeed ?? USUAL_KMH });
    else change(value === GENERAL ? kept : { ...kept, ground: value });
  };
  return (
    <Section id="means" title={WORDS.means}>
      <div className={styles.row}>
        <span id="means-aim">{WORDS.meansAim}</span>
        <Radio.Group
          aria-labelledby="means-aim"
          value={means.aim}
          onChange={(event) => change({ ...said, aim: event.target.value as Aim })}
          optionType="button"
          buttonStyle="solid"
          options={AIMS.map((aim) => ({ value: aim, label: WORDS.aims[aim] }))}
        />
      </div>
      <div className={styles.row}>
        <span id="means-pace">{WORDS.meansPace}</span>
        <Radio.Group
          aria-labelledby="means-pace"
          value={chosen}
          onChange={(event) => setDistance(event.target.value as string)}
          optionType="button"
          buttonStyle="solid"
          options={[
            { value: GENERAL, label: WORDS.general },
            ...groundsOf(solution).map((ground) => ({
              value: ground,
              label: WORDS.onGround(ground),
            })),
            { value: CLOCK, label: WORDS.byClock },
          ]}
        />
      </div>
      {means.kilometresPerHour !== null && (
        <SpeedField
          id="speed-home"
          label={WORDS.meansSpeed}
          kilometresPerHour={means.kilometresPerHour}
          onChange={(kilometresPerHour) => change({ aim: means.aim, kilometresPerHour })}
        />
      )}
      <p className={layout.soft} data-testid="means">
        {means.isSaid ? WORDS.meansSaid : WORDS.meansUsual}
      </p>
    </Section>
  );
}
