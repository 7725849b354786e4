import { deviation, mean, quantileSorted } from 'd3-array';
import { normalBelow } from '../errors/normal';
import { normals, uniform } from '../errors/random';
import type { ErrorSettings } from '../model/error-settings';
import { degrees } from '../units/units';
import { inUnits, LEARNED, type LearnedId, type Observation } from './observations';

/**
 * A person's own sigmas, from how far things came out that should have been zero.
 *
 * | symbol | meaning                                               | equation                       |
 * | x_k    | log σ_k of source k                                   |                                |
 * | s      | how far people differ from the usual value            | x_k ~ N(log σ0_k, s²), s = 0.4 |
 * | m      | an observation: a misclosure, a difference of two     |                                |
 * |        | bearings of one line, walks about their mean          |                                |
 * | A_k    | covariance of m for σ_k = 1                           | C = R + Σ σ_k²·A_k             |
 * | p(m)   | with ε = 1 % a blunder, ten times as wide             | (1 - ε)·N(0, C) + ε·N(0, 100C0)|
 *
 * The posterior of all x together by a random walk of N. Metropolis and others, J. Chem. Phys. 21
 * (1953) (memory), one source at a time. What is stated is its median and where 95 % of it lies.
 * Observations that are cut off at a limit have the density of what is within it. With s = 0.4 two
 * in three people are within a factor of 1.5 of the usual value (common practice, no source).
 */
const PRIOR_LOG_SIGMA = 0.4;
const BLUNDERS = 0.01;
const BLUNDER_VARIANCE = 100;
const SWEEPS = 2000;
const BURN_IN = 400;
/** The same record gives the same figures. */
const SEED = 1953;
/** Two sigmas of which one is the larger the smaller the other is: correlated by less than this. */
const ALIKE = -0.3;
/** A sigma that the record tells of: its log is known so much better than before. */
const LEAST_NARROWED = 0.1;

/** A sigma as it was learned, in degrees or over the length. */
export interface LearnedSigma {
  readonly id: LearnedId;
  readonly sigma: number;
  /** Where it lies with 95 %. */
  readonly least: number;
  readonly most: number;
  /** What share of the variance of its log the record took away, 0 to 1. */
  readonly narrowed: number;
  /** Others that the record can't tell from this one: the one is smaller where they are larger. */
  readonly alike: readonly LearnedId[];
}

/** True where the record tells of a sigma, and the usual value is not all there is. */
export const isLearned = ({ narrowed }: LearnedSigma): boolean => narrowed >= LEAST_NARROWED;

/** An observation with the numbers of its sources. */
interface Numbered extends Omit<Observation, 'effects'> {
  readonly effects: readonly { readonly source: number; readonly unit: Observation['rest'] }[];
  /** Of a blunder: its density here. */
  readonly blunder: number;
}

/** The density of a misclosure by the variances of the sources; the covariance may be widened. */
function density(
  { east, north, rest, effects }: Pick<Numbered, 'east' | 'north' | 'rest' | 'effects'>,
  variances: readonly number[],
  widened: number,
): { density: number; xx: number } {
  let { xx, xy, yy } = rest;
  for (const { source, unit } of effects) {
    const variance = variances[source]!;
    xx += variance * unit.xx;
    xy += variance * unit.xy;
    yy += variance * unit.yy;
  }
  const determinant = xx * yy - xy * xy;
  const square = (yy * east * east - 2 * xy * east * north + xx * north * north) / determinant;
  const scale = 2 * Math.PI * widened * Math.sqrt(determinant);
  return { density: Math.exp(-square / (2 * widened)) / scale, xx };
}

function logLikelihood(observation: Numbered, variances: readonly number[]): number {
  const { density: fair, xx } = density(observation, variances, 1);
  const { cutAt, blunder } = observation;
  if (cutAt === undefined) return Math.log((1 - BLUNDERS) * fair + BLUNDERS * blunder);
  // What is kept of such readings lies within the limit.
  return Math.log(fair) - Math.log(1 - 2 * (1 - normalBelow(cutAt / Math.sqrt(xx))));
}

/** Learns from observations: the posterior of the sigmas, beginning with the usual values. */
export function learn(usual: ErrorSettings, observations: readonly Observation[]): LearnedSigma[] {
  const prior = LEARNED.map((id) => Math.log(inUnits(id, usual[id])));
  const samples = sampled(prior, observations);
  return LEARNED.map((id, source) => {
    const own = samples[source]!;
    const [least, sigma, most] =
      own.length === 0
        ? [-1.96, 0, 1.96].map((z) => prior[source]! + z * PRIOR_LOG_SIGMA)
        : [0.025, 0.5, 0.975].map((share) =>
            quantileSorted(
              [...own].sort((a, b) => a - b),
              share,
            )!,
          );
    const narrowed = own.length === 0 ? 0 : 1 - (deviation(own)! / PRIOR_LOG_SIGMA) ** 2;
    const alike = LEARNED.filter(
      (_, other) => other !== source && correlation(own, samples[other]!) < ALIKE,
    );
    const inWords = (log: number | undefined) => wordsOf(id, Math.exp(log ?? 0));
    return {
      id,
      sigma: inWords(sigma),
      least: inWords(least),
      most: inWords(most),
      narrowed: Math.max(0, narrowed),
      alike,
    };
  });
}

const wordsOf = (id: LearnedId, sigma: number) =>
  id === 'paced' || id === 'pace-length' ? sigma : degrees(sigma);

/** Draws of each log sigma from the posterior; none of one that no observation has. */
function sampled(prior: readonly number[], observations: readonly Observation[]): number[][] {
  const usual = prior.map((log) => Math.exp(2 * log));
  const numbered = observations.map(({ effects, ...rest }): Numbered => {
    const own = effects.map(({ id, unit }) => ({ source: LEARNED.indexOf(id), unit }));
    const plain = { ...rest, effects: own };
    return { ...plain, blunder: density(plain, usual, BLUNDER_VARIANCE).density };
  });
  const ofSource = prior.map((_, source) =>
    numbered.filter(({ effects }) => effects.some((effect) => effect.source === source)),
  );
  const logs = [...prior];
  const variances = [...usual];
  const steps = prior.map(() => PRIOR_LOG_SIGMA);
  const next = uniform(SEED);
  const normal = normals(next);
  const draws = prior.map((): number[] => []);
  /** What of the posterior's logarithm a source takes part in. */
  const posterior = (source: number) => {
    const off = (logs[source]! - prior[source]!) / PRIOR_LOG_SIGMA;
    let sum = -0.5 * off * off;
    for (const observation of ofSource[source]!) sum += logLikelihood(observation, variances);
    return sum;
  };
  const move = (source: number, to: number) => {
    logs[source] = to;
    variances[source] = Math.exp(2 * to);
  };
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    for (const [source, concerned] of ofSource.entries()) {
      if (concerned.length === 0) continue;
      const from = logs[source]!;
      const before = posterior(source);
      move(source, from + steps[source]! * normal());
      const isTaken = Math.log(next()) < posterior(source) - before;
      if (!isTaken) move(source, from);
      // While it burns in, the step is fitted so that four in ten are taken.
      if (sweep < BURN_IN) steps[source]! *= isTaken ? 1.06 : 0.96;
      else draws[source]!.push(logs[source]!);
    }
  }
  return draws;
}

/** Pearson's correlation of two rows of draws; 0 where one has none. */
function correlation(one: readonly number[], other: readonly number[]): number {
  if (one.length === 0 || one.length !== other.length) return 0;
  const [a, b] = [mean(one)!, mean(other)!];
  const product = mean(one, (value, index) => (value - a) * (other[index]! - b))!;
  return product / (deviation(one)! * deviation(other)!);
}
