import { faultMessage } from '@/core/faults/messages';
import { followRoute } from '@/core/navigation/route/follow';
import type { Plan } from '@/core/navigation/route/plan';
import { positionOfStation } from '@/core/survey/positions';
import { workIn } from '@/ui/units/shown';
import type { Solution } from '@/core/survey/solution';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { RoutePage } from '../route-page';
import type { OpenRoute } from '../use-route';
import { FollowPanel } from './follow-panel';

interface Props {
  open: OpenRoute;
  /** The id of the outing that follows it. */
  outing: string;
}

/** The route with the outing that follows it: the way to the next point comes first. */
export function FollowedRoute({ open, outing }: Props) {
  const found = useNamedSolution(outing);
  const { plan } = open;
  if (!('solution' in found)) return <RoutePage open={open} following={<p>{found.words}</p>} />;
  if (!plan.ok) {
    return <RoutePage open={open} following={<p>{faultMessage(plan.fault.fault)}</p>} />;
  }
  return <Followed open={open} plan={plan.value} solution={found.solution} log={found.open} />;
}

interface FollowedProps {
  open: OpenRoute;
  plan: Plan;
  solution: Solution;
  log: OpenOuting;
}

function Followed({ open, plan, solution, log }: FollowedProps) {
  // All lengths here are the map's.
  workIn('metre');
  const followed = followRoute(solution, plan);
  const { places } = solution;
  const track = places.stations().flatMap((station) => positionOfStation(places, station) ?? []);
  return (
    <RoutePage
      open={open}
      walked={{ track, here: followed.here }}
      following={<FollowPanel plan={plan} followed={followed} solution={solution} log={log} />}
    />
  );
}
