'use client';
import { Input, Radio, Select } from 'antd';
import dayjs from 'dayjs';
import { useEffect, useMemo, useState } from 'react';
import { chanceByLine, mostAlong } from '@/core/aim-off';
import { threeDigits } from '@/core/angle';
import type { North } from '@/core/north';
import { stationName, stationPoints, type Solution } from '@/core/solve';
import { chanceOfSight } from '@/core/sight';
import { lightsOut } from '@/core/sun';
import { NAISMITH_KMH, ownSpeed, walkMinutes } from '@/core/walk-time';
import { backOverLegs, homeBy, straightHome, type Stretch, type WayHome } from '@/core/ways-home';
import { windWords } from '@/views/shared/entry-words';
import { NORTH_SHORT } from '@/views/shared/norths/words';
import { NumberField } from '@/views/shared/number-field';
import styles from './way-home.module.css';
import type { Aiming, Side } from './use-aiming';
import { chanceWords, WAY_NAMES, WORDS } from './words';

const fives = (metres: number) => 5 * Math.ceil(metres / 5);
/** Back over many legs, the first few are told and the rest counted. */
const MOST_TOLD = 4;

function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 20_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** The ways home side by side; one is recommended, and the person decides. */
export function Ways({
  solution,
  sight,
  aiming,
}: {
  solution: Solution;
  /** How far home is seen, metres. */
  sight: number;
  aiming: Aiming;
}) {
  const own = useMemo(() => ownSpeed(solution), [solution]);
  const [speed, setSpeed] = useState(() => Number((own ?? NAISMITH_KMH).toFixed(1)));
  const [climb, setClimb] = useState(0);
  const [by, setBy] = useState<number | null>(null);
  const now = useNow();
  const ways: WayHome[] = [straightHome(solution)];
  if (aiming.way) ways.push(aiming.way);
  if (solution.traverse.legs > 1) ways.push(backOverLegs(solution));
  if (by !== null) ways.push(homeBy(solution, by));
  const minutes = (each: WayHome) => walkMinutes(each.metres, speed, climb);
  const place = solution.outing.start.position;
  const light = place ? lightsOut(place, now) : null;
  const shown = solution.outing.show.north;
  const stations = stationPoints(solution).filter(
    (point) => point !== 0 && point !== solution.current,
  );

  return (
    <section className={styles.part} aria-labelledby="ways">
      <h2 id="ways">{WORDS.ways}</h2>
      <div className={styles.asks}>
        <div>
          <label htmlFor="line">
            {WORDS.line} {NORTH_SHORT[solution.end.read]}
          </label>
          <Input
            id="line"
            value={aiming.line}
            placeholder={WORDS.lineHint}
            onChange={(event) => aiming.setLine(event.target.value)}
            autoComplete="off"
          />
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
        <div>
          <label htmlFor="by">{WAY_NAMES['by-station']}</label>
          <Select
            id="by"
            allowClear
            value={by}
            onChange={(point: number | undefined) => setBy(point ?? null)}
            options={stations.map((point) => ({
              value: point,
              label: stationName(solution, point),
            }))}
          />
        </div>
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
      </div>
      {aiming.fault && <p className={styles.warning}>{aiming.fault}</p>}
      <ul className={styles.ways}>
        {ways.map((each) => (
          <Way
            key={each.kind}
            way={each}
            sight={sight}
            north={shown}
            minutes={minutes(each)}
            arrives={now + minutes(each) * 60_000}
            sunset={light?.sunset ?? null}
          />
        ))}
      </ul>
      <p className={styles.sentence} data-testid="recommended">
        {recommendation(ways)}
      </p>
      <p data-testid="light">{lightWords(light, now, Math.min(...ways.map(minutes)))}</p>
    </section>
  );
}

function lightWords(
  light: ReturnType<typeof lightsOut> | null,
  now: number,
  shortestMinutes: number,
): string {
  if (!light) return WORDS.noPlace;
  if (light.sunset === null) return WORDS.noSunset;
  const clock = (at: number) => dayjs(at).format('HH:mm');
  const latest = light.sunset - shortestMinutes * 60_000;
  const sunset = WORDS.sunset(
    clock(light.sunset),
    light.twilightEnds === null ? null : clock(light.twilightEnds),
  );
  return `${sunset} ${latest > now ? WORDS.turnBack(clock(latest)) : WORDS.tooLate}`;
}

/** Beyond this doubt a line that can't be missed is worth its detour. Common practice, no source. */
const AIM_OFF_FROM_METRES = 40;

function recommendation(ways: readonly WayHome[]): string {
  const straight = ways[0]!;
  const aimed = ways.find(({ kind }) => kind === 'aimed-off');
  if (aimed && straight.withinMetres > AIM_OFF_FROM_METRES) {
    const more = Math.round(aimed.metres - straight.metres);
    return WORDS.recommend(
      WAY_NAMES['aimed-off'],
      `${more} m more, and the line can’t be missed: at it you know which way to turn.`,
    );
  }
  const back = ways.find(({ kind }) => kind === 'back-over-legs');
  if (!aimed && back && straight.withinMetres > 2 * AIM_OFF_FROM_METRES) {
    return WORDS.recommend(
      WAY_NAMES.straight,
      'the shortest, but its doubt is large: a path or shore to aim off on would make it safe, and what you know lies along the legs.',
    );
  }
  return WORDS.recommend(WAY_NAMES.straight, 'the shortest, with the least doubt.');
}

function Way({
  way,
  sight,
  north,
  minutes,
  arrives,
  sunset,
}: {
  way: WayHome;
  sight: number;
  north: North;
  minutes: number;
  arrives: number;
  sunset: number | null;
}) {
  const dark = sunset !== null && arrives > sunset;
  const rest = way.stretches.length - MOST_TOLD;
  return (
    <li data-way={way.kind}>
      <h3>{WAY_NAMES[way.kind]}</h3>
      <ol className={styles.stretches}>
        {way.stretches.slice(0, MOST_TOLD).map((stretch, index) => (
          <li key={index}>
            {way.aim && index === 1
              ? `Then turn ${way.aim.turn} along it, about ${Math.round(way.aim.alongMetres)} m, at most ${Math.round(mostAlong(way.aim))} m, to ${stretch.to}.`
              : stretchWords(stretch, north)}
          </li>
        ))}
        {rest > 0 && <li>and {rest} more</li>}
      </ol>
      <p>
        {Math.round(way.metres)} m · {way.kind === 'aimed-off' ? 'the line' : 'home'} within{' '}
        {fives(way.withinMetres)} m · {Math.round(minutes)} min · there at{' '}
        {dayjs(arrives).format('HH:mm')}
        {dark && <b className={styles.warning}> {WORDS.dark}</b>}
      </p>
      <p data-testid="way-chance">
        {WORDS.wayChance(
          sight,
          chanceWords(way.aim ? chanceByLine(way.aim, sight) : chanceOfSight(way.miss, sight)),
        )}
      </p>
    </li>
  );
}

function stretchWords({ bearing, metres, paces, wind, to }: Stretch, north: North): string {
  const used = bearing[north] === null ? 'magnetic' : north;
  const counted = paces === null ? '' : `: ${Math.round(paces)} paces`;
  const letter = used === 'magnetic' ? '' : ` ${NORTH_SHORT[used]}`;
  return `${threeDigits(bearing[used] ?? 0)}${letter}, ${Math.round(metres)} m${counted}, ${windWords(wind)}${to ? `, to ${to}` : ''}`;
}
