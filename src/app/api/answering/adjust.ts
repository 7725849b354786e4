import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import { METHODS, type Method } from '@/core/model/method';
import { earthModels } from '@/core/north/loaded-earth-models';
import { readLog } from '@/core/log-text/read-log';
import { logsIn } from '@/core/log-text/split-logs';
import { knownOf } from '@/core/survey/fix/known-of';
import { joinOutings, nameOf, type Member } from '@/core/survey/party/party';
import { partyFaultText } from '@/core/survey/party/party-fault';
import { stationsOfOneName } from '@/core/survey/party/stations';
import { survey } from '@/core/survey/party/survey';
import { asWalked, type Solution } from '@/core/survey/solution';
import { solve } from '@/core/survey/solve';
import { adjustAnswer } from '@/formats/area/adjust-answer';
import { jsonFormat } from '@/formats/json';
import { withinBudget, withinSurveyBudget } from './budget';
import { json, type Answer, type Question } from './question';
import { Refused, unreadable } from './refusal';

/** An outing of the body, and the line of the body that each of its entries is on. */
interface Sent {
  readonly member: Member;
  readonly lineOfEntry: readonly number[] | null;
}

/** An outing as walked, whatever it says of itself: the request has a method for all. */
const memberOf = (solution: Solution): Member => ({
  solution: asWalked(solution),
  by: solution.outing.by ?? '',
});

function fromText(text: string): Sent[] {
  return logsIn(text).map(({ log, before }, index) => {
    const read = readLog(log, `outing ${index + 1}`, earthModels, surveyTools);
    if (!read.ok) {
      throw unreadable(read.fault.map((fault) => ({ ...fault, line: fault.line + before })));
    }
    const { solution, lineOfEntry } = read.value;
    return {
      member: memberOf(solution),
      lineOfEntry: lineOfEntry.map((line) => line + before),
    };
  });
}

function fromLogbook(text: string): Sent[] {
  const read = jsonFormat.read(text, earthModels);
  if (!read.ok) throw unreadable(read.fault);
  return read.value.outings.map((outing) => {
    const solved = solve(outing, earthModels, { tools: surveyTools });
    if (!solved.ok) throw new Error('a logbook that was read can be solved');
    return { member: memberOf(solved.value), lineOfEntry: null };
  });
}

function sent({ mediaType, text }: Question): Sent[] {
  const isText = mediaType === 'text/plain';
  withinBudget(text, isText ? 'log' : 'logbook', 'adjust');
  return isText ? fromText(text) : fromLogbook(text);
}

/** POST /api/adjust?method=METHOD with logs or a logbook: all of them as one survey. */
export function answerAdjust(question: Question): Answer {
  const asked = new URLSearchParams(question.query).get('method') ?? 'least-squares';
  const method = METHODS.find((each): each is Method => each === asked);
  if (!method) {
    const message = `“${asked.slice(0, 80)}” is no method of adjustment.`;
    throw new Refused(400, { message, path: 'method', expected: METHODS.join(', ') });
  }
  const all = sent(question);
  const members = all.map(({ member }) => member);
  const same = stationsOfOneName(members.map(({ solution }) => solution));
  const origin = members[0]?.solution.places.frame.origin ?? null;
  const known = members.flatMap(({ solution }, index) => knownOf(solution, index, origin));
  const party = joinOutings(members, same, known);
  if (!party.ok) {
    const message = partyFaultText(party.fault, (outing) => nameOf({ members }, outing));
    throw new Refused(400, { message });
  }
  withinSurveyBudget(party.value.network);
  return json(
    adjustAnswer(
      survey(party.value, method),
      ({ outing, entry }) => all[outing]?.lineOfEntry?.[entry],
    ),
  );
}
