import { legCovariance, NO_COVARIANCE, type Covariance } from '../../errors/covariance';
import type { SharedSum } from '../../errors/shared-errors';
import { legAtEntry, type Outing } from '../../model/outing';
import type { OutingNorths } from '../../north/outing-norths';
import { referenceNorth } from '../../north/norths';
import { vectorBetween, type PlanePoint, type PlaneUnit } from '../../units/plane';
import { Forks } from './forks';
import type { SharedUses } from './shared-uses';
import type { Frame, Places, RelativePlace } from '../places';
import type { Legs, SolvedLeg } from '../solution';
import { pointVariances, type PointVariances, type Traverse } from './traverse';

/** The frame of an outing: the plane about its start. */
export function frameOf({ start }: Outing, norths: OutingNorths, unit: PlaneUnit): Frame {
  const north = referenceNorth(norths);
  const isOnEarth = north === 'true' && unit === 'metre';
  return { north, norths, unit, origin: isOnEarth ? (start.position ?? null) : null };
}

const pointIn = ({ east, north }: Traverse, point: number): PlanePoint => ({
  east: east[point]!,
  north: north[point]!,
});

/** Covariance of a point against the start, from the legs' own errors. */
const covarianceIn = ({ east, north, covariance }: PointVariances, point: number): Covariance => ({
  xx: east[point]!,
  xy: covariance[point]!,
  yy: north[point]!,
});

/** The places of an outing as it was walked: nothing is adjusted. */
export class PlacesAsWalked implements Places {
  private known: number[] | null = null;
  private forks: Forks | null = null;
  private variances: PointVariances | null = null;

  constructor(
    readonly frame: Frame,
    private readonly traverse: Traverse,
    private readonly stationOfLeg: Int32Array,
    private readonly shared: SharedUses,
  ) {}

  /** The start first. Legs that came back to a station make none. */
  stations(): readonly number[] {
    if (this.known) return this.known;
    const points = [0];
    for (let k = 1; k <= this.traverse.legs; k++) if (this.stationOfLeg[k] === k) points.push(k);
    this.known = points;
    return points;
  }

  at(station: number): PlanePoint {
    this.check(station);
    return pointIn(this.traverse, station);
  }

  private check(station: number): void {
    const exists = station === 0 || this.stationOfLeg[station] === station;
    if (!exists || station > this.traverse.legs) throw new RangeError(`no station ${station}`);
  }

  /**
   * The covariance is that of the legs on the path between the two, by themselves; a side trip
   * off it does not count.
   */
  relative(from: number, to: number): RelativePlace {
    const { traverse } = this;
    const vector = vectorBetween(this.at(from), this.at(to));
    if (from === to) return { ...vector, covariance: NO_COVARIANCE, shared: [] };
    this.forks ??= new Forks(traverse);
    const variances = (this.variances ??= pointVariances(traverse));
    const fork = covarianceIn(variances, this.forks.of(from, to));
    const [one, other] = [covarianceIn(variances, from), covarianceIn(variances, to)];
    return {
      ...vector,
      covariance: {
        xx: one.xx + other.xx - 2 * fork.xx,
        xy: one.xy + other.xy - 2 * fork.xy,
        yy: one.yy + other.yy - 2 * fork.yy,
      },
      shared: this.shared.between(traverse, from, to),
    };
  }
}

/** Row k of each column: the entry of leg k, its station, its metres a pace. */
interface LegColumns {
  readonly entryOfLeg: Int32Array;
  readonly stationOfLeg: Int32Array;
  readonly paceOfLeg: Float64Array;
}

/** The legs of an outing in the columns of its traverse. */
export class LegsAsWalked implements Legs {
  constructor(
    private readonly outing: Outing,
    private readonly traverse: Traverse,
    private readonly columns: LegColumns,
    private readonly shared: SharedUses,
  ) {}

  get count(): number {
    return this.traverse.legs;
  }

  leg(number: number): SolvedLeg {
    const { traverse } = this;
    if (!(number >= 1 && number <= traverse.legs)) throw new RangeError(`no leg ${number}`);
    const { entryOfLeg, stationOfLeg, paceOfLeg } = this.columns;
    const entry = entryOfLeg[number]!;
    const from = traverse.from[number]!;
    const to = stationOfLeg[number]!;
    const [start, end] = [pointIn(traverse, from), pointIn(traverse, number)];
    const alongVariance = traverse.alongVariance[number]!;
    const acrossVariance = traverse.acrossVariance[number]!;
    return {
      number,
      entry,
      reading: legAtEntry(this.outing, entry),
      from,
      to,
      returns: to !== number,
      start,
      end,
      bearingDegrees: traverse.bearingDegrees[number]!,
      metres: traverse.lengthMetres[number]!,
      paceMetres: paceOfLeg[number]!,
      alongVariance,
      acrossVariance,
      covariance: legCovariance(vectorBetween(start, end), alongVariance, acrossVariance),
    };
  }

  sharedOf(number: number): SharedSum[] {
    return this.shared.ofLeg(this.traverse, number);
  }

  *[Symbol.iterator](): Iterator<SolvedLeg> {
    for (let number = 1; number <= this.traverse.legs; number++) yield this.leg(number);
  }

  atEntry(entry: number): SolvedLeg | null {
    const legs = this.columns.entryOfLeg.subarray(1, this.traverse.legs + 1);
    // Entries of legs rise, so that the one at an entry is found by halving.
    let [low, high] = [0, legs.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (legs[middle]! < entry) low = middle + 1;
      else high = middle;
    }
    return legs[low] === entry ? this.leg(low + 1) : null;
  }

  pathTo(station: number): SolvedLeg[] {
    const path: SolvedLeg[] = [];
    for (let point = station; point > 0; point = this.traverse.from[point]!) {
      path.push(this.leg(point));
    }
    return path.reverse();
  }
}
