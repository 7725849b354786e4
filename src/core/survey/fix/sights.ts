import type { Walked } from '../../errors/means';
import { bearingVariance, distanceVariance } from '../../errors/own-errors';
import type { SharedScale } from '../../errors/sources/source';
import { effectOf } from '../../errors/shared-errors';
import { NO_COVARIANCE, type Covariance } from '../../errors/covariance';
import { planePointOf, turnAlong } from '../../place/geodesic';
import type { Position } from '../../readings/position';
import { polar } from '../../units/plane';
import { radians, type Degrees, type Metres } from '../../units/units';
import { sharedAlong } from '../shared-along';
import type { Places } from '../places';
import type { Observation } from '../observations';
import type { Mark, ReadFrom, StationCovariance } from '../observations/observation';

/** A place that a map tells. */
export interface KnownMark {
  readonly name: string;
  readonly position: Position;
  /** One sigma along each axis. */
  readonly sigmaMetres: Metres;
}

/** How well a map tells a place of which nothing is said: to ten metres. Common practice. */
const KNOWN_METRES: Metres = 5;

/** One sigma of a place that is somewhere in a square of a width: width/√12, not under a metre. */
export const squareSigma = (withinMetres: Metres | undefined): Metres =>
  withinMetres === undefined ? KNOWN_METRES : Math.max(1, withinMetres / Math.sqrt(12));

/** What was read of a known place: a bearing, a length, or both; neither for standing there. */
export interface Sight {
  readonly mark: KnownMark;
  /** The station where it was read; null for where the traveller is now. */
  readonly station: number | null;
  /** From true north; null where none was read. */
  readonly bearingDegrees: Degrees | null;
  /** True where the bearing was read at the mark. */
  readonly back: boolean;
  readonly metres: Metres | null;
  readonly walked: Walked;
}

/** A path, a river or a ridge that the traveller is on, and how well it is drawn. */
export interface LineFeature {
  readonly name: string;
  readonly positions: readonly Position[];
  readonly sigmaMetres: Metres;
}

/** The stations of a log as they lie about where the traveller is. */
export class StationsAround {
  private readonly known = new Map<number, ReadFrom>();
  private readonly owns = new Map<number, Covariance>();
  private readonly pairs = new Map<string, Covariance>();

  constructor(
    private readonly places: Places,
    private readonly now: number,
  ) {}

  /** A station from the traveller's place; null for that place itself. */
  from(station: number | null): ReadFrom | null {
    if (station === null || station === this.now) return null;
    const met = this.known.get(station);
    if (met) return met;
    const { east, north, shared } = this.places.relative(this.now, station);
    const effects = shared.map((sum) => ({ error: sum.error, by: effectOf(sum) }));
    const from = { key: station, east, north, effects };
    this.known.set(station, from);
    return from;
  }

  /** Asked for in every round of an estimation, and the same in each. */
  readonly covariance: StationCovariance = (one, other) => {
    const pair = `${Math.min(one.key, other.key)} ${Math.max(one.key, other.key)}`;
    const met = this.pairs.get(pair);
    if (met) return met;
    const [a, b] = [this.own(one.key), this.own(other.key)];
    const apart = this.places.relative(one.key, other.key).covariance;
    const half = (axis: 'xx' | 'xy' | 'yy') => (a[axis] + b[axis] - apart[axis]) / 2;
    const found = { xx: half('xx'), xy: half('xy'), yy: half('yy') };
    this.pairs.set(pair, found);
    return found;
  };

  /** Of one station against the traveller. */
  private own(key: number): Covariance {
    const met = this.owns.get(key) ?? this.places.relative(this.now, key).covariance;
    this.owns.set(key, met);
    return met;
  }
}

/** No log: everything was read where the traveller is. */
export const NO_STATIONS: StationCovariance = () => NO_COVARIANCE;

/** The shared errors of one direction, by how much a unit of it has of them. */
export const sharedOf = (walked: Walked, scale: SharedScale, of: 'bearing' | 'distance') =>
  sharedAlong(polar(0, 1), walked, scale).flatMap(({ error, east, north }) =>
    error.of === of && error.sigma > 0 ? [{ error, share: Math.hypot(east, north) }] : [],
  );

/** Sights as observations in the plane about an origin, which is near the traveller. */
export function observationsOf(
  sights: readonly Sight[],
  origin: Position,
  scale: SharedScale,
  around: StationsAround | null,
): Observation[] {
  const marks = new Map<KnownMark, Mark>();
  const markOf = (known: KnownMark): Mark => {
    const { name, position, sigmaMetres } = known;
    const mark = marks.get(known) ?? { name, sigmaMetres, ...planePointOf(origin, position) };
    marks.set(known, mark);
    return mark;
  };
  return sights.flatMap(({ mark: known, station, bearingDegrees, back, metres, walked }) => {
    const [mark, from] = [markOf(known), around?.from(station) ?? null];
    const found: Observation[] = [];
    if (bearingDegrees !== null) {
      // A bearing that was read at the mark is of its own meridian, which runs a little otherwise.
      const turn = back ? turnAlong(origin, known.position) : 0;
      const variance = bearingVariance(walked, scale.errors);
      const shared = sharedOf(walked, scale, 'bearing');
      const bearing = radians(bearingDegrees - turn);
      found.push({ kind: 'bearing', mark, from, bearing, back, variance, shared });
    }
    if (metres !== null) {
      const variance = distanceVariance(walked, scale.errors);
      const shared = sharedOf(walked, scale, 'distance');
      found.push({ kind: 'length', mark, from, metres, variance, shared });
    }
    return found.length > 0 ? found : [{ kind: 'at', mark, from }];
  });
}
