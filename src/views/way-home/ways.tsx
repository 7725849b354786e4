'use client';
import { visibleText } from '@/core/units/visible';
import { Button, Input, Radio, Select } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { chanceOfSight } from '@/core/navigation/ways/chance-of-sight';
import { recommendation, type WeighedWay } from '@/core/navigation/ways/recommendation';
import { clockOf, plannedFrom, timeOn } from '@/core/navigation/place-clock';
import { daylightAt } from '@/core/navigation/sun';
import { NAISMITH_KMH, ownSpeed, walkMinutes } from '@/core/navigation/ways/walk-time';
import {
  retraceLegs,
  straightHome,
  viaStation,
  type WayHome,
} from '@/core/navigation/ways/ways-home';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import { NORTH_LETTERS } from '@/core/units/bearing';
import type { Metres } from '@/core/units/units';
import { NumberField } from '@/views/shared/fields/number-field';
import { Section } from '@/views/shared/page/view-page';
import { walkQuery } from '@/views/walk/chosen-way';
import { viewUrl } from '@/views/views';
import type { Aiming, Side } from './use-aiming';
import { MillionWalks } from './million-walks';
import { WayCard } from './way-card';
import styles from './way-home.module.css';
import {
  isDarkAt,
  planningWords,
  recommendationWords,
  WAY_NAMES,
  WORDS,
  type Planning,
} from './words';

const CLOCK_EVERY_MS = 20_000;

function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), CLOCK_EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

interface Props {
  solution: Solution;
  sight: Metres;
  aiming: Aiming;
}

/** The moment that the ways are planned from, the daylight of its day, and the place's clock. */
function usePlanning(solution: Solution): Planning {
  const device = useNow();
  const clock = clockOf(solution, -new Date(device).getTimezoneOffset());
  const { at: now, ofOuting } = plannedFrom(solution, clock, device);
  const { position } = solution.outing.start;
  const light = position ? daylightAt(position, now) : null;
  return { now, ofOuting, light, time: (at) => timeOn(clock, at), bySun: !clock.isDevice };
}

/** The ways that are compared, the straight one first. */
function waysHome(
  solution: Solution,
  aimed: WayHome | null,
  via: number | null,
): [WayHome, ...WayHome[]] {
  const others: WayHome[] = [];
  if (aimed) others.push(aimed);
  if (solution.legs.count > 1) others.push(retraceLegs(solution));
  if (via !== null) others.push(viaStation(solution, via));
  return [straightHome(solution), ...others];
}

/** The ways with what they are weighed by, at a speed and over a climb. */
function useWeighedWays({ solution, sight, aiming }: Props, via: number | null) {
  const own = useMemo(() => ownSpeed(solution), [solution]);
  const [speed, setSpeed] = useState(() => Number((own ?? NAISMITH_KMH).toFixed(1)));
  const [climb, setClimb] = useState(0);
  const planning = usePlanning(solution);
  const minutes = ({ metres }: WayHome) => walkMinutes(metres, speed, climb);
  const arrival = (each: WayHome) => planning.now + minutes(each) * 60_000;
  const [straight, ...others] = useMemo(
    () => waysHome(solution, aiming.way, via),
    [solution, aiming.way, via],
  );
  const weighed = (each: WayHome): WeighedWay => ({
    way: each,
    chance: chanceOfSight(solution, each, sight),
    arrivesInTheDark: isDarkAt(planning.light, arrival(each)),
  });
  const ways = [weighed(straight), ...others.map(weighed)] as const;
  return { own, speed, setSpeed, climb, setClimb, planning, minutes, arrival, ways };
}

/** The ways home side by side; one is recommended, and the person decides. */
export function Ways(props: Props) {
  const { solution, sight, aiming } = props;
  const [via, setVia] = useState<number | null>(null);
  const [choice, setChoice] = useState<WayHome['kind'] | null>(null);
  const { planning, minutes, arrival, ways, ...pace } = useWeighedWays(props, via);
  const recommended = recommendation(ways);
  const kind = choice ?? recommended.kind;
  const [straight] = ways;
  const chosen = (ways.find(({ way }) => way.kind === kind) ?? straight).way;
  return (
    <Section id="ways" title={WORDS.ways}>
      <div className={styles.asks}>
        <LineFields solution={solution} aiming={aiming} />
        <ViaField solution={solution} via={via} onVia={setVia} />
        <PaceFields {...pace} />
      </div>
      {aiming.fault && <p className={styles.warning}>{aiming.fault}</p>}
      <ul className={styles.ways}>
        {ways.map(({ way: each, chance, arrivesInTheDark }) => (
          <WayCard
            key={each.kind}
            way={each}
            chance={chance}
            isChosen={each === chosen}
            onChoose={() => setChoice(each.kind)}
            sight={sight}
            north={northShown(solution)}
            minutes={minutes(each)}
            arrives={planning.time(arrival(each))}
            isDark={arrivesInTheDark}
          />
        ))}
      </ul>
      <p className={styles.sentence} data-testid="recommended">
        {recommendationWords(recommended)}
      </p>
      <Button
        type="primary"
        className={styles.walkThis}
        href={viewUrl(
          'walk',
          solution.outing.id,
          walkQuery(solution, chosen.kind, { aiming, via }),
        )}
      >
        {WORDS.choose(WAY_NAMES[chosen.kind])}
      </Button>
      <MillionWalks solution={solution} sight={sight} straight={straight.way} chosen={chosen} />
      <p data-testid="light">
        {planningWords(planning, Math.min(...ways.map(({ way }) => minutes(way))))}
      </p>
    </Section>
  );
}

type PaceProps = Pick<
  ReturnType<typeof useWeighedWays>,
  'own' | 'speed' | 'setSpeed' | 'climb' | 'setClimb'
>;

/** How fast, and over how much climb. */
const PaceFields = ({ own, speed, setSpeed, climb, setClimb }: PaceProps) => (
  <>
    <NumberField
      id="speed"
      label={WORDS.speed}
      value={speed}
      least={0.3}
      most={12}
      help={own ? WORDS.ownSpeed(own.toFixed(1)) : undefined}
      onChange={setSpeed}
    />
    <NumberField
      id="climb"
      label={WORDS.climb}
      value={climb}
      least={0}
      most={5000}
      onChange={setClimb}
    />
  </>
);

/** A line through home to aim off on, and the side to aim to. */
const LineFields = ({ solution, aiming }: Pick<Props, 'solution' | 'aiming'>) => (
  <>
    <div>
      <label htmlFor="line">{WORDS.line(NORTH_LETTERS[solution.end.readingNorth])}</label>
      <Input
        id="line"
        value={aiming.line}
        placeholder={WORDS.lineHint}
        onChange={(event) => aiming.setLine(event.target.value)}
        autoComplete="off"
        aria-describedby="line-help"
      />
      <span id="line-help" className={styles.soft}>
        {WORDS.lineHelp}
      </span>
    </div>
    <div>
      <span id="side">{WORDS.side}</span>
      <Radio.Group
        aria-labelledby="side"
        value={aiming.side}
        onChange={(event) => aiming.setSide(event.target.value as Side)}
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
