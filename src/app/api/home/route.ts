import { nearestName } from '@/core/suggest';
import type { Solution } from '@/core/solve';
import { homeAnswer } from '@/formats/home-answer';
import { answering, onlyMethod, Refused } from '../answers';
import { submitted } from '../submitted';

/** The station that a query names, or the one that stands for it when it names none. */
function station(solution: Solution, query: URLSearchParams, key: string, otherwise: number) {
  const name = query.get(key);
  if (name === null) return otherwise;
  const point = solution.stations.find(name, solution.traverse.legs);
  if (point !== undefined) return point;
  const nearest = nearestName(name, solution.stations.names());
  throw new Refused(400, {
    message: `No station is called “${name.slice(0, 80)}”.`,
    path: key,
    expected:
      nearest === undefined ? 'a station of the log' : `a station of the log, such as ${nearest}`,
  });
}

/** POST /api/home?from=STATION&to=STATION with a log or a logbook of one outing: the way between the two. */
export const POST = answering(async (request) => {
  const { solution, lineOf } = await submitted(request);
  const query = new URL(request.url).searchParams;
  const from = station(solution, query, 'from', solution.current);
  const to = station(solution, query, 'to', 0);
  return Response.json(homeAnswer(solution, from, to, lineOf));
});

const refuse = onlyMethod('POST');
export { refuse as GET, refuse as PUT, refuse as PATCH, refuse as DELETE };
