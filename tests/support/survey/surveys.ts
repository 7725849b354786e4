import { joinOutings, type Member, type Party } from '@/core/survey/party/party';
import { stationsOfOneName } from '@/core/survey/party/stations';
import type { Method } from '@/core/model/method';
import { survey, type Survey } from '@/core/survey/party/survey';
import { solvedLog } from '../outings';

/** Logs as the outings of one survey, joined at the stations of one name. */
export function partyOf(logs: readonly string[]): Party {
  const members = logs.map((log): Member => {
    const { solution } = solvedLog(log);
    return { solution, by: solution.outing.by ?? '' };
  });
  const joined = joinOutings(members, stationsOfOneName(members.map(({ solution }) => solution)));
  if (!joined.ok) throw new Error(JSON.stringify(joined.fault));
  return joined.value;
}

export const surveyOf = (logs: readonly string[], method: Method = 'least-squares'): Survey =>
  survey(partyOf(logs), method);

/** The node with a name. */
export function nodeNamed({ party }: Survey, name: string): number {
  const node = party.nodes.all.findIndex((each) => each.name === name);
  if (node < 0) throw new Error(`no node ${name}`);
  return node;
}
