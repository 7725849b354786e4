import { addEntries } from '@/core/edit/command';
import {
  followLines,
  replannedFrom,
  routeFollowed,
  type OnRoute,
} from '@/core/navigation/route/follow';
import type { Plan } from '@/core/navigation/route/plan';
import { placeOnMap } from '@/core/navigation/position-error';
import { planePointOf } from '@/core/place/geodesic';
import { nameKey } from '@/core/readings/name';
import type { Position } from '@/core/readings/position';
import { positionOfStation } from '@/core/survey/positions';
import { stationName, type Solution } from '@/core/survey/solution';
import { lengthOf } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { routeLogs } from '@/store/documents/routes';
import { lastOuting } from '@/store/last-home';
import { PressButton } from '@/ui/controls/press-button';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useOnce } from '@/views/shared/data/use-once';
import { useOuting, type OpenOuting } from '@/views/shared/data/use-outing';
import { viewUrl } from '@/views/views';
import { WORDS } from '../words';

/** Nearer than this to the first point one is at it, whatever the log's own error. */
const AT_METRES = 50;

/** Where one is against the first point of a route: at it, elsewhere on the earth, or unknown. */
type Where = { readonly at: true } | { readonly at: false; readonly here: Position } | null;

function whereOn(solution: Solution, { route, positions }: Plan): Where {
  const { current, places } = solution;
  const [first] = route.points;
  if (first && nameKey(stationName(solution, current)) === nameKey(first.name)) return { at: true };
  const here = positionOfStation(places, current);
  const [position] = positions;
  if (!here || !position) return null;
  const apart = lengthOf(planePointOf(position, here));
  const within = Math.max(AT_METRES, placeOnMap(solution, current).semiMajorMetres);
  return apart <= within ? { at: true } : { at: false, here };
}

/** The outing that was looked at last: it is the one in hand; null while there is none. */
function useInHand(): { open: OpenOuting; solution: Solution; on: OnRoute | null } | null {
  const open = useOuting(lastOuting() ?? '');
  const solution = open.solved?.ok ? open.solved.value : null;
  const isThere = open.session.status === 'ready' && open.state?.discarded === false;
  return isThere && solution ? { open, solution, on: routeFollowed(solution) } : null;
}

interface Props {
  plan: Plan;
  onSaid: (words: string | null) => void;
}

/** Follows the route within the outing in hand: its start stays home, and its log goes on. */
export function FollowInHand({ plan, onSaid }: Props) {
  const inHand = useInHand();
  const [follow, isBusy] = useOnce(async () => {
    if (!inHand) return;
    const { open, solution } = inHand;
    const where = whereOn(solution, plan);
    let { route } = plan;
    if (where && !where.at) {
      route = replannedFrom(plan, where.here, -1, crypto.randomUUID());
      await routeLogs.add(browserDatabase(), route, new Date());
    }
    const failed = outcomeMessage(await open.run(addEntries(followLines(route))));
    onSaid(failed);
    if (failed === null) void leaveFor(viewUrl('route', route.id, { outing: solution.outing.id }));
  });
  if (!inHand) return null;
  const { solution, on } = inHand;
  const { id, name } = solution.outing;
  const called = visibleText(name) || WORDS.untitled;
  if (on?.route === plan.route.id) {
    return (
      <PressButton look="primary" large href={viewUrl('route', on.route, { outing: id })}>
        {WORDS.goOn(called)}
      </PressButton>
    );
  }
  const where = whereOn(solution, plan);
  const first = visibleText(plan.route.points[0]?.name ?? '');
  const words =
    where === null
      ? WORDS.followAt(called, first)
      : where.at
        ? WORDS.follow(called)
        : WORDS.followFromHere(called);
  return (
    <PressButton
      look="primary"
      large
      busy={isBusy}
      disabled={plan.legs.length === 0}
      onClick={() => void follow()}
    >
      {words}
    </PressButton>
  );
}
