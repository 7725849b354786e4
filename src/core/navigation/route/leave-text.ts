import { nationalReference } from '../../place/national-text';
import { decimalDegrees } from '../../readings/place/degrees-text';
import type { Position } from '../../readings/position';
import { type FigureUnits, bearingText, lengthText } from '../../units/figures';
import { visibleText } from '../../units/visible';
import { arrivalMinutes, clockText, planTime } from './clock';
import type { RouteLeg } from './leg';
import type { Plan } from './plan';
import { nth } from '../../units/nth';

/** In degrees, which every rescue service reads, and as the maps of the country have it. */
const place = (position: Position) =>
  [decimalDegrees(position), nationalReference(position)].filter(Boolean).join(', ');

/** What tells anyone who searches that a leg leads beside its point on purpose. */
const aimedText = ({ aim, plan: { aimOff } }: RouteLeg): string =>
  aim?.ok && aimOff ? `; aiming off ${aimOff.side} onto ${aimOff.what}` : '';

/**
 * The plan as a text to leave with someone: who, where, by when, and when to call for help. Plain
 * letters, one thing a line.
 */
export function leaveText(plan: Plan, sunset: number | null, units: FigureUnits): string {
  const { route, legs, positions, metres, minutes } = plan;
  const [start] = route.points;
  const day = route.date?.day;
  const leaving = route.date?.time;
  const end = arrivalMinutes(plan, minutes);
  const lines = [
    `Route: ${route.name || 'without a name'}`,
    route.party && `Who: ${route.party}`,
    start && `Start: ${start.name} (${place(nth(positions, 0))})`,
    (day ?? leaving) && `Leaving: ${[day, leaving].filter(Boolean).join(' ')}`,
    ...legs.map((leg) => {
      const set = leg.set
        ? `${bearingText(leg.set.degrees, units)} ${leg.set.north}`
        : 'no bearing';
      return (
        `${leg.number}. To ${leg.to} (${place(nth(positions, leg.number))}): ${set}, ` +
        `${lengthText(leg.metres, units)}, by ${planTime(plan, leg.minutesFromStart)}` +
        aimedText(leg)
      );
    }),
    legs.length > 0 &&
      `In all ${lengthText(metres, units)}, ${Math.round(minutes)} min without rests.`,
    end !== null && legs.length > 0 && `At the end: ${clockText(end)}`,
    sunset !== null && `Sunset there: ${clockText(sunset)}`,
    route.turnBackBy && `We turn back by ${route.turnBackBy}, wherever we are.`,
    route.backBy && `We are back by ${route.backBy}.`,
    route.tell && `If you have not heard from us by then: ${route.tell}`,
  ];
  return `${lines
    .filter((line): line is string => Boolean(line))
    .map(visibleText)
    .join('\n')}\n`;
}
