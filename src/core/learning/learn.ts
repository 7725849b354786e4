import { normalBelow } from '../errors/normal';
import type { Covariance } from '../errors/covariance';
import type { ErrorSettings } from '../model/error-settings';
import { degrees } from '../units/units';
import { inUnits, LEARNED, type LearnedId, type Observation } from './observations';

/**
 * A person's own sigmas, from how far things came out that should have been zero.
 *
 * | symbol | meaning                                               | equation                       |
 * | σ_k²   | variance of source k; σ0_k the usual value            |                                |
 * | ν0     | how many errors the usual value is worth              | 20                             |
 * | m      | an observation: a misclosure, a difference of two     |                                |
 * |        | bearings of one line, walks about their mean          |                                |
 * | A_k    | covariance of m for σ_k = 1, of n_k errors            | C = R + Σ σ_k²·A_k             |
 * | E_k    | what the errors of k are expected to have been        | σ²n - σ⁴·tr(C⁻¹A)              |
 * |        |                                                       | + σ⁴·m'C⁻¹A C⁻¹m               |
 * | σ_k²   | again, until it settles                               | (ν0σ0² + Σ E)/(ν0 + Σ n)       |
 *
 * The conjugate update of a variance with a scaled inverse chi-square prior, iterated since only
 * sums of the errors are seen: A. P. Dempster, N. M. Laird and D. B. Rubin, Maximum likelihood from
 * incomplete data via the EM algorithm, JRSS B 39 (1977) (memory). Observations that are cut off at
 * a limit count with those that were lost beyond it.
 */
const PRIOR_ERRORS = 20;
const MOST_ROUNDS = 400;
const SETTLED = 1e-5;
/** Farther off than five sigmas is a slip, not an error: it teaches nothing. */
const MOST_SQUARED_SIGMAS = 25;

/** A sigma as it was learned, in degrees or over the length. */
export interface LearnedSigma {
  readonly id: LearnedId;
  readonly sigma: number;
  /** Where it lies with 95 %. */
  readonly least: number;
  readonly most: number;
  /** How many errors were seen, as far as they tell of this one. */
  readonly seen: number;
}

type Variances = Record<LearnedId, number>;

/** Learns from observations, beginning with the usual values. */
export function learn(usual: ErrorSettings, observations: readonly Observation[]): LearnedSigma[] {
  const prior = variancesOf((id) => inUnits(id, usual[id]) ** 2);
  let current = prior;
  const used = observations.filter((each) => squaredSigmas(each, prior) <= MOST_SQUARED_SIGMAS);
  let sums = roundOver(used, current);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const next = variancesOf(
      (id) => (PRIOR_ERRORS * prior[id] + sums.squares[id]) / (PRIOR_ERRORS + sums.counts[id]),
    );
    const moved = Math.max(...LEARNED.map((id) => Math.abs(next[id] / current[id] - 1)));
    current = next;
    sums = roundOver(used, current);
    if (moved < SETTLED) break;
  }
  return LEARNED.map((id) => {
    const sigma = inWords(id, Math.sqrt(current[id]));
    const factor = Math.exp(1.96 / Math.sqrt(2 * (PRIOR_ERRORS + sums.seen[id])));
    return { id, sigma, least: sigma / factor, most: sigma * factor, seen: sums.seen[id] };
  });
}

const variancesOf = (of: (id: LearnedId) => number): Variances =>
  Object.fromEntries(LEARNED.map((id) => [id, of(id)])) as Variances;

const inWords = (id: LearnedId, sigma: number) =>
  id === 'paced' || id === 'pace-length' ? sigma : degrees(sigma);

/** The inverse of the covariance of an observation. */
function inverseOf({ rest, effects }: Observation, variances: Variances): Covariance {
  let { xx, xy, yy } = rest;
  for (const { id, unit } of effects) {
    xx += variances[id] * unit.xx;
    xy += variances[id] * unit.xy;
    yy += variances[id] * unit.yy;
  }
  const determinant = xx * yy - xy * xy;
  return { xx: yy / determinant, xy: -xy / determinant, yy: xx / determinant };
}

function squaredSigmas(observation: Observation, variances: Variances): number {
  const { east, north } = observation;
  const { xx, xy, yy } = inverseOf(observation, variances);
  return xx * east * east + 2 * xy * east * north + yy * north * north;
}

/** What a round expects of each source: the sum of its squared errors, and of how many. */
function roundOver(observations: readonly Observation[], variances: Variances) {
  const zero = () => variancesOf(() => 0);
  const [squares, counts, seen] = [zero(), zero(), zero()];
  for (const observation of observations) {
    const inverse = inverseOf(observation, variances);
    const { east, north, effects, cutAt } = observation;
    const [x, y] = [inverse.xx * east + inverse.xy * north, inverse.xy * east + inverse.yy * north];
    for (const { id, count, unit } of effects) {
      const variance = variances[id];
      const trace = inverse.xx * unit.xx + 2 * inverse.xy * unit.xy + inverse.yy * unit.yy;
      const square = unit.xx * x * x + 2 * unit.xy * x * y + unit.yy * y * y;
      const expected = variance * count - variance ** 2 * (trace - square);
      squares[id] += expected;
      counts[id] += count;
      seen[id] += variance * trace;
      if (cutAt === undefined) continue;
      const lost = lostBeyond(cutAt, 1 / inverse.xx);
      // One that was lost beyond the limit, so often as one was kept within it.
      const lostSquare = unit.xx * inverse.xx ** 2 * lost.meanSquare;
      squares[id] += lost.times * (variance * count - variance ** 2 * (trace - lostSquare));
      counts[id] += lost.times * count;
    }
  }
  return { squares, counts, seen };
}

/** How many normal values lie beyond a limit for one within, and their mean square. */
function lostBeyond(limit: number, variance: number): { times: number; meanSquare: number } {
  const z = limit / Math.sqrt(variance);
  const tail = 1 - normalBelow(z);
  if (tail < 1e-9) return { times: 0, meanSquare: 0 };
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  return { times: (2 * tail) / (1 - 2 * tail), meanSquare: variance * (1 + (z * density) / tail) };
}
