import { expectedText, faultMessage } from '@/core/faults/messages';
import { planOf } from '@/core/navigation/route/plan';
import { earthModels } from '@/core/north/loaded-earth-models';
import { json, type Answer, type Question } from './question';
import { Refused } from './refusal';
import { readRouteRequest, requestRoute } from './route-request';

/** POST /api/route: bearings, metres, paces and minutes between the points of a map. */
export function answerRoute({ text }: Question): Answer {
  const route = requestRoute(readRouteRequest(text));
  const plan = planOf(route, earthModels);
  if (!plan.ok) {
    const { fault, point } = plan.fault;
    const path = point === null ? 'declination' : `points.${point}`;
    throw new Refused(400, { message: faultMessage(fault), path, expected: expectedText(fault) });
  }
  const { legs, metres, minutes } = plan.value;
  return json({
    legs: legs.map((leg) => ({
      from: leg.from,
      to: leg.to,
      grid: leg.bearing.grid,
      true: leg.bearing.true,
      magnetic: leg.bearing.magnetic,
      metres: leg.metres,
      gridMetres: leg.gridMetres,
      paces: leg.paces,
      minutes: leg.minutes,
      ellipse: {
        semiMajor: leg.ellipse.semiMajorMetres,
        semiMinor: leg.ellipse.semiMinorMetres,
        azimuth: leg.ellipse.azimuthDegrees,
      },
    })),
    metres,
    minutes,
  });
}
