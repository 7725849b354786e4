import { arrivalMinutes, clockText } from '../../navigation/route/clock';
import { implausibleDeclination, disagreementText } from '../../north/implausible-declination';
import { minutesOfDay } from '../../units/clock';
import type { RouteCheck, RouteWarning } from './route-check';

/** `late`: the end of the route comes after the hour that was set, or after sunset. */
export const late: RouteCheck = (plan, { sunsetMinutes }) => {
  const end = arrivalMinutes(plan, plan.minutes);
  if (end === null || plan.legs.length === 0) return [];
  const { backBy } = plan.route;
  const found: RouteWarning[] = [];
  const latest = backBy === undefined ? null : minutesOfDay(backBy);
  if (latest !== null && end > latest) {
    const message = `Without a rest you arrive at ${clockText(end)}, after ${backBy}.`;
    found.push({ code: 'late', leg: null, message });
  }
  if (sunsetMinutes !== null && end > sunsetMinutes) {
    const message =
      `Without a rest you arrive at ${clockText(end)}, after sunset at ` +
      `${clockText(sunsetMinutes)}. Leave earlier, or go less far.`;
    found.push({ code: 'late', leg: null, message });
  }
  return found;
};

/** `no-declination`: the compass can't be set from a map without it. */
export const noDeclination: RouteCheck = ({ legs, norths }) =>
  legs.length === 0 || norths === null || norths.declinationEast !== null
    ? []
    : [
        {
          code: 'no-declination',
          leg: null,
          message:
            'Without the declination there is no bearing to set on a compass: grid bearings ' +
            'alone. Set the declination of the route.',
        },
      ];

/** `declination-doubtful`: a margin's or a typed declination can't be right where the route is. */
export const declinationDoubtful: RouteCheck = ({ norths }, { field }) => {
  const implausible = norths && implausibleDeclination(norths, field);
  if (!implausible) return [];
  return [{ code: 'declination-doubtful', leg: null, message: disagreementText(implausible) }];
};
