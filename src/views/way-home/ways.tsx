'use client';
import { visibleText } from '@/core/units/visible';
import { Button, Input, Radio, Select } from 'antd';
import { useState } from 'react';
import type { WayHome } from '@/core/navigation/ways/ways-home';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import { NORTH_LETTERS } from '@/core/units/bearing';
import { isInPaces } from '@/ui/units/shown';
import { LengthField, SpeedField } from '@/views/shared/fields/unit-fields';
import { Section } from '@/views/shared/page/view-page';
import { walkQuery } from '@/views/shared/ways/walk-query';
import type { useWeighedWays } from '@/views/shared/ways/use-weighed-ways';
import type { ChooseWays, Side, WayChoices } from '@/views/shared/ways/way-choices';
import { WAY_NAMES, WAY_WORDS } from '@/views/shared/ways/words';
import { viewUrl } from '@/views/views';
import { planningWords, recommendationWords } from './planning-words';
import { WayCard } from './way-card';
import styles from './way-home.module.css';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

type Weighed = ReturnType<typeof useWeighedWays>;

interface Props {
  solution: Solution;
  choices: WayChoices;
  onChoose: ChooseWays;
  weighed: Weighed;
  /** The way that is chosen, and how another is. */
  chosen: WayHome;
  onWay: (kind: WayHome['kind']) => void;
}

/** The way that is chosen among the weighed ones: the recommended one until a person says. */
export function useChosenWay({ ways, best }: Weighed) {
  const [choice, setChoice] = useState<WayHome['kind'] | null>(null);
  const kind = choice ?? best.kind;
  return [(ways.find(({ way }) => way.kind === kind) ?? ways[0]).way, setChoice] as const;
}

/** The ways home side by side; one is recommended, and the person decides. */
export function Ways(props: Props) {
  const { solution, choices, onChoose, weighed, chosen, onWay } = props;
  const { aimed, planning, minutes, arrival, ways, best, via } = weighed;
  const query = walkQuery(solution, chosen.kind, { ...choices, via });
  return (
    <Section id="ways" title={WORDS.ways}>
      <ul className={styles.ways}>
        {ways.map(({ way: each, chance, arrivesInTheDark }) => (
          <WayCard
            key={each.kind}
            solution={solution}
            way={each}
            chance={chance}
            isChosen={each === chosen}
            onChoose={() => onWay(each.kind)}
            sight={choices.sight}
            north={northShown(solution)}
            minutes={minutes(each)}
            arrives={planning.time(arrival(each))}
            isDark={arrivesInTheDark}
          />
        ))}
      </ul>
      <p className={styles.sentence} data-testid="recommended">
        {isInPaces() ? WAY_WORDS.needsPace : recommendationWords(best)}
      </p>
      <Button
        type="primary"
        className={styles.walkThis}
        href={viewUrl('walk', solution.outing.id, query)}
      >
        {WORDS.choose(WAY_NAMES[chosen.kind])}
      </Button>
      <p data-testid="light">
        {planningWords(
          planning,
          isInPaces() ? null : Math.min(...ways.map(({ way }) => minutes(way))),
        )}
      </p>
      <div className={styles.asks}>
        <LineFields solution={solution} choices={choices} onChoose={onChoose} />
      </div>
      {aimed.fault && <p className={styles.warning}>{aimed.fault}</p>}
      {!isInPaces() && <WeighedBy {...props} />}
    </Section>
  );
}

/** What the ways are weighed by: sight, a station on the way, speed and climb. */
const WeighedBy = ({ solution, choices, onChoose, weighed }: Props) => (
  <details className={styles.more}>
    <summary>{WORDS.weighedBy}</summary>
    <div className={styles.asks}>
      <LengthField
        id="sight"
        label={WORDS.sightRange}
        metres={choices.sight}
        leastMetres={1}
        mostMetres={5000}
        onChange={(sight) => onChoose({ sight })}
      />
      <ViaField
        solution={solution}
        via={weighed.via}
        onVia={(station) => onChoose({ via: station })}
      />
      <PaceFields weighed={weighed} climb={choices.climb} onChoose={onChoose} />
    </div>
  </details>
);

interface PaceProps {
  weighed: Weighed;
  climb: number;
  onChoose: ChooseWays;
}

/** How fast, and over how much climb. */
const PaceFields = ({ weighed: { own, speed }, climb, onChoose }: PaceProps) => (
  <>
    <SpeedField
      id="speed"
      label={WORDS.speed}
      kilometresPerHour={speed}
      help={own ? WORDS.ownSpeed(own) : undefined}
      onChange={(kilometresPerHour) => onChoose({ kilometresPerHour })}
    />
    <LengthField
      id="climb"
      label={WORDS.climb}
      metres={climb}
      leastMetres={0}
      mostMetres={5000}
      onChange={(next) => onChoose({ climb: next })}
    />
  </>
);

/** A line through home to aim off on, and the side to aim to. */
const LineFields = ({
  solution,
  choices,
  onChoose,
}: Pick<Props, 'solution' | 'choices' | 'onChoose'>) => (
  <>
    <div>
      <label htmlFor="line">{WORDS.line(NORTH_LETTERS[solution.end.readingNorth])}</label>
      <Input
        id="line"
        value={choices.line}
        placeholder={WORDS.lineHint}
        onChange={(event) => onChoose({ line: event.target.value })}
        autoComplete="off"
        aria-describedby="line-help"
      />
      <span id="line-help" className={layout.soft}>
        {WORDS.lineHelp}
      </span>
    </div>
    <div>
      <span id="side">{WORDS.side}</span>
      <Radio.Group
        aria-labelledby="side"
        value={choices.side}
        onChange={(event) => onChoose({ side: event.target.value as Side })}
        optionType="button"
        buttonStyle="solid"
        options={[
          { value: 'left', label: WORDS.left },
          { value: 'right', label: WORDS.right },
        ]}
      />
    </div>
  </>
);

interface ViaProps {
  solution: Solution;
  via: number | null;
  onVia: (station: number | null) => void;
}

/** Another station to go home by. */
function ViaField({ solution, via, onVia }: ViaProps) {
  const { places, current } = solution;
  const stations = places.stations().filter((station) => station !== 0 && station !== current);
  return (
    <div>
      <label htmlFor="via">{WAY_NAMES['via-station']}</label>
      <Select
        id="via"
        allowClear
        value={via}
        onChange={(station: number | undefined) => onVia(station ?? null)}
        options={stations.map((station) => ({
          value: station,
          label: visibleText(stationName(solution, station)),
        }))}
      />
    </div>
  );
}
