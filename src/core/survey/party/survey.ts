import type { Covariance } from '../../errors/covariance';
import { sharedCovariance } from '../../errors/shared-errors';
import type { Method } from '../../model/area';
import type { SharedError } from '../../errors/sources/source';
import { sumCovariance } from '../../errors/covariance';
import {
  adjustNetwork,
  orderOf,
  spare,
  type Adjusted,
  type AdjustOptions,
} from '../network/adjust';
import { atLeast } from '../network/chi-square';
import type { Network, NetworkLine } from '../network/readings';
import { asRead, closuresBy, partOf, treeOf, type SurveyClosure } from './closures';
import type { Party } from './party';
import { SurveyPlaces } from './survey-places';

/** The test of the whole: do the errors that were stated explain what the loops came out as? */
interface WholeTest {
  readonly chiSquare: number;
  readonly degreesOfFreedom: number;
  /** Chance of as much or more, if they do. */
  readonly p: number;
}

/** A shared error as the loops tell it. */
interface Estimate {
  readonly error: SharedError;
  /** Radians, or over the length; what is to be added to readings. */
  readonly value: number;
  readonly sigma: number;
}

/** Several outings, or one, as one survey. */
export interface Survey {
  readonly party: Party;
  readonly method: Method;
  readonly places: SurveyPlaces;
  readonly asWalked: SurveyPlaces;
  readonly closures: readonly SurveyClosure[];
  /** By least squares, whatever the method; null where nothing is checked by anything. */
  readonly adjusted: Adjusted | null;
  readonly test: WholeTest | null;
  readonly estimates: readonly Estimate[];
}

/** Solves a survey by a method. */
export function survey(party: Party, method: Method, options: AdjustOptions = {}): Survey {
  const { network, members } = party;
  const frame = members[0]!.solution.places.frame;
  const { tree, closing } = treeOf(network);
  const walked = asRead(partOf(network, tree));
  const asWalked = new SurveyPlaces(frame, walked);
  const isChecked = spare(network) > 0;
  const adjusted = isChecked ? adjustNetwork(network, orderOf(network), options) : null;
  return {
    party,
    method,
    asWalked,
    places: placesBy(method, party, asWalked, walked, adjusted),
    closures: closuresBy(party, closing, walked),
    adjusted,
    test: adjusted && testOf(adjusted),
    estimates: adjusted ? estimatesOf(adjusted) : [],
  };
}

function placesBy(
  method: Method,
  { network }: Party,
  asWalked: SurveyPlaces,
  walked: Adjusted,
  adjusted: Adjusted | null,
): SurveyPlaces {
  if (!adjusted || method === 'as-walked') return asWalked;
  if (method === 'least-squares') return new SurveyPlaces(asWalked.frame, adjusted);
  // How sure these places are is not told by the rule: as walked, which they seldom fall short of.
  return new SurveyPlaces(asWalked.frame, walked, compassRule(network).places);
}

/**
 * The compass rule: a misclosure is shared out by the length of the legs. For one loop it is least
 * squares with the variance of every leg, along and across it alike, as its length; so it is for
 * loops that hang together, whose order then does not matter.
 * Source: N. Bowditch, The Analyst, 1808 (memory).
 */
export function compassRule({ nodes, lines }: Network): Adjusted {
  const byLength = lines
    .filter(({ alongVariance }) => alongVariance !== Infinity)
    .map((line): NetworkLine => ({
      ...line,
      alongVariance: 1 / line.metres,
      acrossVariance: 1 / line.metres,
      shared: [],
    }));
  return asRead({ nodes, lines: byLength, sources: [] });
}

function testOf({ chiSquare, redundancy }: Adjusted): WholeTest {
  return { chiSquare, degreesOfFreedom: redundancy, p: atLeast(chiSquare, redundancy) };
}

function estimatesOf({ network, shared }: Adjusted): Estimate[] {
  const count = network.sources.length;
  return network.sources.map((error, i) => ({
    error,
    value: shared.values[i]!,
    sigma: Math.sqrt(shared.covariance[i * count + i]!),
  }));
}

/** Covariance of the vector between two places, by all errors together. */
export function covarianceBetween(places: SurveyPlaces, from: number, to: number): Covariance {
  const { covariance, shared, joint } = places.relative(from, to);
  return sumCovariance(covariance, sharedCovariance(shared, joint));
}
