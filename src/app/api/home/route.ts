import { nearestName } from '@/core/faults/nearest-name';
import { stationNamed, type Solution } from '@/core/survey/solution';
import { homeAnswer } from '@/formats/home-answer';
import { answering, onlyMethod, Refused } from '../answers';
import { submitted } from '../submitted';

/** The station that a query names; `usual` when it names none. */
function stationIn(query: URLSearchParams, key: string, solution: Solution, usual: number): number {
  const name = query.get(key);
  if (name === null) return usual;
  const station = stationNamed(solution, name);
  if (station !== undefined) return station;
  const nearest = nearestName(name, solution.names.names());
  throw new Refused(400, {
    message: `No station is called “${name.slice(0, 80)}”.`,
    path: key,
    expected:
      nearest === undefined ? 'a station of the log' : `a station of the log, such as ${nearest}`,
  });
}

/** POST /api/home?from=STATION&to=STATION with a log or a logbook: the way between the two. */
export const POST = answering(async (request) => {
  const { solution, lineOf } = await submitted(request, 'home');
  const query = new URL(request.url).searchParams;
  const from = stationIn(query, 'from', solution, solution.current);
  const to = stationIn(query, 'to', solution, 0);
  return Response.json(homeAnswer(solution, from, to, lineOf));
});

const { refuse, options } = onlyMethod('POST');
export { refuse as GET, refuse as PUT, refuse as PATCH, refuse as DELETE, options as OPTIONS };
