'use client';
import { clockOf, plannedFrom, timeOn } from '@/core/navigation/place-clock';
import { daylightAt } from '@/core/navigation/sun';
import type { Solution } from '@/core/survey/solution';
import { useClock } from '@/views/shared/data/use-clock';
import type { Planning } from './words';

/** The moment that the ways are planned from, the daylight of its day, and the place's clock. */
export function usePlanning(solution: Solution): Planning {
  const device = useClock();
  const clock = clockOf(solution, -new Date(device).getTimezoneOffset());
  const { at: now, ofOuting } = plannedFrom(solution, clock, device);
  const { position } = solution.outing.start;
  const light = position ? daylightAt(position, now) : null;
  return { now, ofOuting, light, time: (at) => timeOn(clock, at), bySun: !clock.isDevice };
}
