'use client';
import { useMemo } from 'react';
import { chanceOfSight } from '@/core/navigation/ways/chance-of-sight';
import { recommendation, type WeighedWay } from '@/core/navigation/ways/recommendation';
import { ownSpeed, speedHome } from '@/core/navigation/ways/ground-speeds';
import { walkMinutes } from '@/core/navigation/ways/walk-time';
import {
  retraceLegs,
  straightHome,
  viaStation,
  type WayHome,
} from '@/core/navigation/ways/ways-home';
import { firstLight, isDarkAt, isNightAt, daylightAt } from '@/core/navigation/sun';
import type { Solution } from '@/core/survey/solution';
import { useAimedWay } from './use-aimed-way';
import type { WayChoices } from './way-choices';
import { clockOf, plannedFrom, timeOn } from '@/core/navigation/place-clock';
import { useClock } from '@/views/shared/data/use-clock';
import type { Planning } from './words';

/** The moment that the ways are planned from, the daylight of its day, and the place's clock. */
function usePlanning(solution: Solution): Planning {
  const device = useClock();
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

const MINUTE_MS = 60_000;

/** The ways home with what they are weighed by: chance of sight, time, and light. */
export function useWeighedWays(solution: Solution, choices: WayChoices) {
  const { line, side, sight, climb } = choices;
  const { places, current } = solution;
  const own = useMemo(() => ownSpeed(solution), [solution]);
  const usual = useMemo(() => speedHome(solution), [solution]);
  const speed = choices.kilometresPerHour ?? usual;
  const isStation = places.stations().includes(choices.via ?? -1);
  const via = isStation && choices.via !== 0 && choices.via !== current ? choices.via : null;
  const aimed = useAimedWay(solution, line, side);
  const planning = usePlanning(solution);
  const minutes = ({ metres }: WayHome) => walkMinutes(metres, speed, climb);
  // In the night one waits for light, where that comes.
  const leaving = firstLight(planning.light, planning.now);
  const arrival = (each: WayHome) => leaving + minutes(each) * MINUTE_MS;
  const [first, ...others] = useMemo(
    () =>
      waysHome(solution, aimed.way, via).map((way) => ({
        way,
        chance: chanceOfSight(solution, way, sight),
      })),
    [solution, aimed.way, via, sight],
  );
  const weighed = (each: Pick<WeighedWay, 'way' | 'chance'>): WeighedWay => ({
    ...each,
    arrivesInTheDark: isDarkAt(planning.light, arrival(each.way)),
  });
  // The straight way is always there.
  const ways = [weighed(first!), ...others.map(weighed)] as const;
  return {
    own,
    speed,
    via,
    aimed,
    planning,
    minutes,
    arrival,
    ways,
    best: recommendation(ways, isNightAt(planning.light, planning.now)),
  };
}
