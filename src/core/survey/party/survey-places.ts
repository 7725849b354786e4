import type { Covariance } from '../../errors/covariance';
import type { JointErrors, SharedSum } from '../../errors/shared-errors';
import type { SharedError } from '../../errors/sources/source';
import type { PlanePoint } from '../../units/plane';
import type { Adjusted } from '../network/adjust';
import { lineCovariances } from '../network/line-covariances';
import { addJoint } from './checked';
import { stationsOf } from './closures';
import type { Frame, Places, RelativePlace } from '../places';
import { nth } from '../../units/nth';

/** Where one unit of a shared error moves an end, as the stretch that would be moved so. */
const stretchOf = (error: SharedError, east: number, north: number): SharedSum =>
  error.of === 'distance' ? { error, east, north } : { error, east: -north, north: east };

/** The places of an adjusted network; its nodes are the stations. */
export class SurveyPlaces implements Places {
  private readonly joint: JointErrors;
  private readonly sources: readonly SharedError[];
  private ofPlaces: readonly Covariance[] | null = null;

  /** `where` is where the nodes are, where that is not what the adjustment found. */
  constructor(
    readonly frame: Frame,
    private readonly adjusted: Adjusted,
    private readonly where: Float64Array = adjusted.places,
    sources: readonly SharedError[] = adjusted.network.sources,
  ) {
    this.sources = sources;
    const { covariance } = adjusted.shared;
    const index = new Map(sources.map(({ key }, i) => [key, i]));
    this.joint = {
      between: (one, other) => {
        const [i, j] = [index.get(one), index.get(other)];
        if (i === undefined || j === undefined) return null;
        return nth(covariance, i * sources.length + j);
      },
    };
  }

  /**
   * The covariance of each place against the origin, by all errors together: all of them for little
   * more than one.
   */
  fromOrigin(): readonly Covariance[] {
    if (this.ofPlaces) return this.ofPlaces;
    const { effects, factor, shared } = this.adjusted;
    const own = lineCovariances(
      factor,
      this.stations().map((to) => ({ from: 0, to })),
    );
    const count = this.sources.length;
    this.ofPlaces = own.map((rest, node) => {
      const moves = effects.subarray(2 * node * count, 2 * (node + 1) * count);
      return addJoint(rest, moves, moves, shared.covariance);
    });
    return this.ofPlaces;
  }

  /**
   * The same places for a walk by one of the people: their own compass and stride have the names
   * that they have in their own outing, and so cancel where the walk has them too.
   */
  forWalker(prefix: string): SurveyPlaces {
    const own = `${prefix}: `;
    const sources = this.sources.map((error) =>
      error.key.startsWith(own) ? { ...error, key: error.key.slice(own.length) } : error,
    );
    return new SurveyPlaces(this.frame, this.adjusted, this.where, sources);
  }

  stations(): readonly number[] {
    return Array.from({ length: stationsOf(this.adjusted.network) }, (_, node) => node);
  }

  at(node: number): PlanePoint {
    if (!(node >= 0 && node < this.adjusted.network.nodes)) throw new RangeError(`no node ${node}`);
    return { east: nth(this.where, 2 * node), north: nth(this.where, 2 * node + 1) };
  }

  relative(from: number, to: number): RelativePlace {
    const [a, b] = [this.at(from), this.at(to)];
    const { effects, factor } = this.adjusted;
    const { sources } = this;
    const count = sources.length;
    const shared = sources.flatMap((error, i) => {
      const move = (row: number) =>
        nth(effects, (2 * to + row) * count + i) - nth(effects, (2 * from + row) * count + i);
      const [east, north] = [move(0), move(1)];
      return east === 0 && north === 0 ? [] : [stretchOf(error, east, north)];
    });
    return {
      east: b.east - a.east,
      north: b.north - a.north,
      covariance: factor.between(from, to),
      shared,
      joint: this.joint,
    };
  }
}
