import { expectedText, faultMessage } from '@/core/faults/messages';
import { planOf } from '@/core/navigation/route/plan';
import { earthModels } from '@/core/north/loaded-earth-models';
import { answering, bodyText, onlyMethod, Refused } from '../answers';
import { mediaTypeOf } from '../submitted';
import { readRouteRequest, requestRoute } from './request';

const LARGEST_QUESTION = 200_000;

/** POST /api/route: bearings, metres, paces and minutes between the points of a map. */
export const POST = answering(async (incoming) => {
  const type = mediaTypeOf(incoming);
  if (type !== 'application/json') {
    const message = `Can’t read a body of type ${type.slice(0, 60) || '(none)'}.`;
    throw new Refused(415, { message, expected: 'application/json' });
  }
  const route = requestRoute(readRouteRequest(await bodyText(incoming, LARGEST_QUESTION)));
  const plan = planOf(route, earthModels);
  if (!plan.ok) {
    const { fault, point } = plan.fault;
    const path = point === null ? 'declination' : `points.${point}`;
    throw new Refused(400, { message: faultMessage(fault), path, expected: expectedText(fault) });
  }
  const { legs, metres, minutes } = plan.value;
  return Response.json({
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
});

const { refuse, options } = onlyMethod('POST');
export { refuse as GET, refuse as PUT, refuse as PATCH, refuse as DELETE, options as OPTIONS };
