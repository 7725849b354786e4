import type { SharedSum } from '../../errors/shared-errors';
import type { Method } from '../../model/method';
import type { PlanePoint } from '../../units/plane';
import { knownOf } from '../fix/known-of';
import { joinOutings, walkerOf } from '../party/party';
import { placesBy } from '../party/places-by';
import type { Nodes } from '../party/stations';
import type { Frame, Places, RelativePlace } from '../places';
import type { Legs, Solution, SolvedLeg } from '../solution';

/** A longer log stays as walked: it would be adjusted again with each of its lines. */
const MOST_ADJUSTED_LEGS = 3000;

/** The places of an adjusted network by the stations of the outing. */
class AdjustedPlaces implements Places {
  constructor(
    private readonly walked: Places,
    private readonly inner: Places,
    private readonly nodes: Nodes,
  ) {}

  get frame(): Frame {
    return this.walked.frame;
  }

  private nodeOf(station: number): number {
    return this.nodes.of({ outing: 0, station });
  }

  stations(): readonly number[] {
    return this.walked.stations();
  }

  at(station: number): PlanePoint {
    return this.inner.at(this.nodeOf(station));
  }

  relative(from: number, to: number): RelativePlace {
    return this.inner.relative(this.nodeOf(from), this.nodeOf(to));
  }
}

/** The legs as they were read, drawn between the adjusted places. */
class AdjustedLegs implements Legs {
  constructor(
    private readonly walked: Legs,
    private readonly places: Places,
  ) {}

  get count(): number {
    return this.walked.count;
  }

  private moved(leg: SolvedLeg): SolvedLeg {
    return { ...leg, start: this.places.at(leg.from), end: this.places.at(leg.to) };
  }

  leg(number: number): SolvedLeg {
    return this.moved(this.walked.leg(number));
  }

  atEntry(entry: number): SolvedLeg | null {
    const leg = this.walked.atEntry(entry);
    return leg && this.moved(leg);
  }

  sharedOf(number: number): readonly SharedSum[] {
    return this.walked.sharedOf(number);
  }

  pathTo(station: number): SolvedLeg[] {
    return this.walked.pathTo(station).map((leg) => this.moved(leg));
  }

  *[Symbol.iterator](): Iterator<SolvedLeg> {
    for (const leg of this.walked) yield this.moved(leg);
  }
}

/** The solution by a method; as walked where nothing closes a loop, or the log is too long. */
export function adjustedSolution(walked: Solution, method: Method): Solution {
  const { legs, places } = walked;
  if (method === 'as-walked' || legs.count > MOST_ADJUSTED_LEGS) return walked;
  const known = knownOf(walked, 0, places.frame.origin);
  const party = joinOutings([{ solution: walked, by: '' }], [], known);
  if (!party.ok) return walked;
  const solved = placesBy(party.value, method);
  if (!solved.adjusted) return walked;
  const inner = solved.places.forWalker(walkerOf('', 0));
  const adjusted = new AdjustedPlaces(places, inner, party.value.nodes);
  return {
    ...walked,
    places: adjusted,
    legs: new AdjustedLegs(legs, adjusted),
    method,
    walked,
  };
}
