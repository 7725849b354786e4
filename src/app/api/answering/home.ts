import { nearestName } from '@/core/faults/nearest-name';
import { stationNamed, type Solution } from '@/core/survey/solution';
import { homeAnswer } from '@/formats/home-answer';
import { json, type Answer, type Question } from './question';
import { Refused } from './refusal';
import { submitted } from './submitted';

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
export function answerHome(question: Question): Answer {
  const { solution, lineOf } = submitted(question, 'home');
  const query = new URLSearchParams(question.query);
  const from = stationIn(query, 'from', solution, solution.current);
  const to = stationIn(query, 'to', solution, 0);
  return json(homeAnswer(solution, from, to, lineOf));
}
