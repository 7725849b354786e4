import { nameKey } from '../../readings/name';
import { stationName, type Solution } from '../solution';
import { nth } from '../../units/nth';

/** A station of one of the outings of a survey. */
export interface StationRef {
  readonly outing: number;
  readonly station: number;
}

/** A place of a survey: the stations of its outings that are one. */
export interface Node {
  readonly name: string;
  readonly stations: readonly StationRef[];
}

/** The name of a start that nobody named, which says nothing about where it is. */
const UNNAMED_START = nameKey('Start');

/**
 * Stations of equal name, letter case and runs of spaces aside. A station called by its number, or
 * a start without a name, is never the same as another.
 */
export function stationsOfOneName(solutions: readonly Solution[]): StationRef[][] {
  const byName = new Map<string, StationRef[]>();
  for (const [outing, solution] of solutions.entries()) {
    for (const station of solution.places.stations()) {
      const name = givenName(solution, station);
      if (name === null) continue;
      const met = byName.get(name);
      if (met) met.push({ outing, station });
      else byName.set(name, [{ outing, station }]);
    }
  }
  return [...byName.values()].filter((refs) => new Set(refs.map((ref) => ref.outing)).size > 1);
}

/** The key of a name that was given to a station; null for none. */
export function givenName(solution: Solution, station: number): string | null {
  const { outing, legs } = solution;
  const name = station === 0 ? outing.start.name : legs.leg(station).reading.to;
  const key = name === undefined ? null : nameKey(name);
  return key === UNNAMED_START ? null : key;
}

/** The stations of all outings as nodes; the start of the first one is node 0. */
export class Nodes {
  readonly all: Node[] = [];
  private readonly byOuting: Map<number, number>[];

  /** `same` names the stations that are one. */
  constructor(solutions: readonly Solution[], same: readonly (readonly StationRef[])[]) {
    const key = ({ outing, station }: StationRef) => `${outing} ${station}`;
    const groups = new Map<string, StationRef[]>();
    for (const refs of same) {
      // Groups that have a station in common are one.
      const joined = new Map<string, StationRef>();
      for (const ref of refs) {
        for (const met of groups.get(key(ref)) ?? [ref]) joined.set(key(met), met);
      }
      const group = [...joined.values()];
      for (const ref of group) groups.set(key(ref), group);
    }
    this.byOuting = solutions.map(() => new Map<number, number>());
    for (const [outing, solution] of solutions.entries()) {
      for (const station of solution.places.stations()) {
        if (nth(this.byOuting, outing).has(station)) continue;
        const ref = { outing, station };
        const stations = groups.get(key(ref)) ?? [ref];
        const node = this.all.length;
        for (const each of stations) nth(this.byOuting, each.outing).set(each.station, node);
        this.all.push({ name: stationName(solution, station), stations });
      }
    }
  }

  /** The node of a station; throws RangeError for none. */
  of({ outing, station }: StationRef): number {
    const node = this.byOuting[outing]?.get(station);
    if (node === undefined) throw new RangeError(`no station ${station} in outing ${outing}`);
    return node;
  }
}
