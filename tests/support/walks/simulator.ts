/**
 * Walks an outing and its way home many times with random errors, the plain way. It shares no code
 * with the core: its own numbers, its own sums, its own reading of what an outing is.
 */

import type { PlainLeg, PlainOuting, PlainPace } from './plain-outing';
import { randomSource } from './random-source';

const RAD = Math.PI / 180;

const FOLLOWING = { needle: 4, landmark: 2, sighted: 1 };

/** How wide the last place of a bearing is, by how it is written. */
export function widthOf(written: string): number {
  if (/^[NESW]+$/.test(written)) return [90, 45, 22.5][written.length - 1]!;
  const point = written.indexOf('.');
  return point < 0 ? 1 : 10 ** -(written.replace(/[A-Z]+$/, '').length - point - 1);
}

/** Where many walks end: east and north of home, and of the place that was reckoned. */
export interface Ends {
  readonly home: Float64Array;
  readonly map: Float64Array;
}

/** The sigmas of paces: what a leg has by itself, and what all on one ground share. */
function paceSigmas(pace: PlainPace): { own: number; shared: number } {
  if (pace.spread === undefined) return { own: 0.05, shared: 0.04 };
  if (pace.walks === undefined) return { own: Math.max(0.02, pace.spread), shared: 0.04 };
  const one = pace.spread / Math.sqrt(1 + 1 / pace.walks);
  return {
    own: Math.max(0.02, pace.spread),
    shared: Math.hypot(one / Math.sqrt(pace.walks), 0.02),
  };
}

/** The plane of an outing as it was written. */
export function reckoned(legs: readonly PlainLeg[]): [number, number][] {
  const points: [number, number][] = [[0, 0]];
  let at = 0;
  for (const leg of legs) {
    const [x, y] = points[leg.from ?? at]!;
    const metres = leg.metres + (leg.box?.[1] ?? 0);
    points.push([
      x + metres * Math.sin(leg.degrees * RAD),
      y + metres * Math.cos(leg.degrees * RAD),
    ]);
    at = points.length - 1;
  }
  return points;
}

type Draw = ReturnType<typeof randomSource>;

/** What all that is alike shares, by a number, with one sigma of it. */
interface Shared {
  readonly slot: number;
  readonly sigma: number;
}

/** How a stretch is walked, with the strings looked up once and not on each of many walks. */
interface Prepared {
  readonly follow: number;
  /** Shared turns in radians, and shared scales. */
  readonly turns: readonly Shared[];
  readonly scales: readonly Shared[];
  readonly spread: number;
}

/** Numbers what is shared, in the order in which it is first met. */
class Slots {
  private readonly numbers = new Map<string, number>();

  of(key: string, sigma: number): Shared {
    const slot = this.numbers.get(key) ?? this.numbers.size;
    this.numbers.set(key, slot);
    return { slot, sigma };
  }

  get count() {
    return this.numbers.size;
  }
}

type How = Pick<PlainLeg, 'aim' | 'compass' | 'by' | 'ground' | 'offMap'>;

function prepared(outing: PlainOuting, how: How, slots: Slots): Prepared {
  const { declinationSigma, paces } = outing;
  const turns = how.offMap ? [] : [slots.of(`compass ${how.aim} ${how.compass}`, 1.5 * RAD)];
  if (!how.offMap && declinationSigma !== null) {
    turns.push(slots.of('declination', declinationSigma * RAD));
  }
  const follow = FOLLOWING[how.aim] * RAD;
  if (how.by === 'metres') return { follow, turns, scales: [], spread: 0.05 };
  if (how.by === 'minutes') {
    return { follow, turns, scales: [slots.of('speed', 0.1)], spread: 0.05 };
  }
  const ground = how.ground ?? '';
  const { own, shared } = paceSigmas(paces[ground] ?? paces['']!);
  return { follow, turns, scales: [slots.of(`pace ${ground}`, shared)], spread: own };
}

/** Walks an outing again and again, each time with other luck. */
class Walker {
  private readonly legs: readonly (Prepared & { leg: PlainLeg; width: number; slope: number })[];
  private readonly home: Prepared;
  private readonly slopeReader: Shared;
  private readonly drawn: Float64Array;
  private readonly places: Float64Array;
  /** Where the way out ended. */
  x = 0;
  y = 0;

  constructor(
    outing: PlainOuting,
    readonly draw: Draw,
  ) {
    const slots = new Slots();
    this.legs = outing.legs.map((leg) => ({
      ...prepared(outing, leg, slots),
      leg,
      width: widthOf(leg.written) * RAD,
      slope: Math.tan((leg.slopeDegrees ?? 0) * RAD),
    }));
    this.home = prepared(outing, outing.home, slots);
    this.slopeReader = slots.of('slope', 2 * RAD);
    this.drawn = new Float64Array(slots.count);
    this.places = new Float64Array(2 * (outing.legs.length + 1));
  }

  private shared(all: readonly Shared[]): number {
    let sum = 0;
    for (const { slot, sigma } of all) {
      if (Number.isNaN(this.drawn[slot]!)) this.drawn[slot] = this.draw.normal();
      sum += sigma * this.drawn[slot]!;
    }
    return sum;
  }

  /** One way out. */
  out(): void {
    const { places } = this;
    this.drawn.fill(NaN);
    let at = 0;
    for (const [index, each] of this.legs.entries()) {
      const from = 2 * (each.leg.from ?? at);
      this.x = places[from]!;
      this.y = places[from + 1]!;
      this.walkLeg(each);
      at = index + 1;
      places[2 * at] = this.x;
      places[2 * at + 1] = this.y;
    }
  }

  private add(metres: number, azimuth: number): void {
    this.x += metres * Math.sin(azimuth);
    this.y += metres * Math.cos(azimuth);
  }

  private walkLeg(each: Prepared & { leg: PlainLeg; width: number; slope: number }): void {
    const { normal, uniform } = this.draw;
    const { leg, follow, width, slope, spread } = each;
    let own = follow * normal() + width * (uniform() - 0.5);
    if (leg.hasBack) own = (own + follow * normal() + RAD * (uniform() - 0.5)) / 2;
    const b = leg.degrees * RAD + this.shared(each.turns);
    const scale = 1 + this.shared(each.scales);
    const steep = slope === 0 ? 0 : slope * (3 * RAD * normal() + this.shared([this.slopeReader]));
    this.add(leg.metres * (scale + spread * normal() + steep), b + own);
    if (!leg.box) return;
    const [out, along] = leg.box;
    this.add(out * (scale + spread * normal()), b + Math.PI / 2 + follow * normal());
    this.add(along * (scale + spread * normal()), b + follow * normal());
    this.add(out * (scale + spread * normal()), b - Math.PI / 2 + follow * normal());
  }

  /** A heading home as it is really walked, in radians. */
  heading(meant: number): number {
    const { normal, uniform } = this.draw;
    const own = this.home.follow * normal() + RAD * (uniform() - 0.5);
    return meant + this.shared(this.home.turns) + own;
  }

  /** A distance home as it is really walked. */
  distance(meant: number): number {
    return meant * (1 + this.shared(this.home.scales) + this.home.spread * this.draw.normal());
  }

  /** One leg of a search from where the searcher is, by the means of the walk home. */
  searchLeg(degrees: number, metres: number): readonly [number, number] {
    const { normal } = this.draw;
    const b = degrees * RAD + this.home.follow * normal();
    const d = metres * (1 + this.home.spread * normal());
    return [d * Math.sin(b), d * Math.cos(b)];
  }
}

/**
 * The share of walks that meet a line through home on the wanted side, on a heading in degrees.
 * `line` is the azimuth of the line on that side.
 */
export function shareOnSide(
  outing: PlainOuting,
  headingDegrees: number,
  line: number,
  trials: number,
  seed: number,
): number {
  const walker = new Walker(outing, randomSource(seed));
  const [lx, ly] = [Math.sin(line * RAD), Math.cos(line * RAD)];
  let right = 0;
  for (let trial = 0; trial < trials; trial++) {
    walker.out();
    const heading = walker.heading(headingDegrees * RAD);
    const [hx, hy] = [Math.sin(heading), Math.cos(heading)];
    // The end of the way out and t times the heading lie on the line: no cross product is left.
    const t = -(walker.x * ly - walker.y * lx) / (hx * ly - hy * lx);
    if ((walker.x + t * hx) * lx + (walker.y + t * hy) * ly > 0) right++;
  }
  return right / trials;
}

/** The share of searches that have found home by the end of each leg, not in sight before. */
export function searchFound(
  outing: PlainOuting,
  legs: readonly { readonly bearingDegrees: number; readonly metres: number }[],
  range: number,
  trials: number,
  seed: number,
): number[] {
  const walker = new Walker(outing, randomSource(seed + 1));
  const { home } = simulate(outing, trials, seed);
  const found = legs.map(() => 0);
  let begun = 0;
  for (let i = 0; i < home.length; i += 2) {
    let [x, y] = [home[i]!, home[i + 1]!];
    if (Math.hypot(x, y) <= range) continue;
    begun++;
    for (const [index, { bearingDegrees, metres }] of legs.entries()) {
      const [dx, dy] = walker.searchLeg(bearingDegrees, metres);
      const t = Math.max(0, Math.min(1, -(x * dx + y * dy) / (dx * dx + dy * dy)));
      if (Math.hypot(x + t * dx, y + t * dy) <= range) {
        for (let later = index; later < legs.length; later++) found[later]!++;
        break;
      }
      [x, y] = [x + dx, y + dy];
    }
  }
  return found.map((count) => count / begun);
}

/** Walks it so many times. */
export function simulate(outing: PlainOuting, trials: number, seed: number): Ends {
  const walker = new Walker(outing, randomSource(seed));
  const [px, py] = reckoned(outing.legs).at(-1)!;
  const ends: Ends = { home: new Float64Array(2 * trials), map: new Float64Array(2 * trials) };
  const [back, far] = [Math.atan2(-px, -py), Math.hypot(px, py)];
  for (let trial = 0; trial < trials; trial++) {
    walker.out();
    const heading = walker.heading(back);
    const metres = walker.distance(far);
    ends.home[2 * trial] = walker.x + metres * Math.sin(heading);
    ends.home[2 * trial + 1] = walker.y + metres * Math.cos(heading);
    ends.map[2 * trial] = walker.x - px;
    ends.map[2 * trial + 1] = walker.y - py;
  }
  return ends;
}

/** The share of ends inside an ellipse given by its half-axes and the azimuth of the larger. */
export function shareInside(
  ends: Float64Array,
  semiMajor: number,
  semiMinor: number,
  azimuth: number,
): number {
  const [u, v] = [Math.sin(azimuth * RAD), Math.cos(azimuth * RAD)];
  let inside = 0;
  for (let i = 0; i < ends.length; i += 2) {
    const [x, y] = [ends[i]!, ends[i + 1]!];
    const along = (x * u + y * v) / semiMajor;
    const across = (x * v - y * u) / semiMinor;
    if (along * along + across * across <= 1) inside++;
  }
  return inside / (ends.length / 2);
}
