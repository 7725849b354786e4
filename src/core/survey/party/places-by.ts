import type { Method } from '../../model/method';
import {
  adjustNetwork,
  orderOf,
  spare,
  type Adjusted,
  type AdjustOptions,
} from '../network/adjust';
import type { Network, NetworkLine } from '../network/readings';
import { asRead, partOf, stationsOf, treeOf } from './closures';
import type { Party } from './party';
import { SurveyPlaces } from './survey-places';
import { nth } from '../../units/nth';

/** The places of a survey by a method, and what they come from. */
export interface SolvedPlaces {
  readonly places: SurveyPlaces;
  readonly asWalked: SurveyPlaces;
  /** The lines by which each place was first come to, as walked. */
  readonly walked: Adjusted;
  readonly closing: readonly number[];
  /** By least squares, whatever the method; null where nothing is checked by anything. */
  readonly adjusted: Adjusted | null;
}

/** More places than this that hang together take longer than anyone waits. */
const MOST_TANGLED = 400;

/** The network by least squares; null where nothing is checked, or too much hangs together. */
export function leastSquares(network: Network, options: AdjustOptions = {}): Adjusted | null {
  if (spare(network) <= 0) return null;
  const order = orderOf(network);
  return order.widest > MOST_TANGLED ? null : adjustNetwork(network, order, options);
}

/**
 * Solves the places of a survey by a method. `ready` is its adjustment, where another thread has
 * made it.
 */
export function placesBy(
  { network, members }: Party,
  method: Method,
  ready?: Adjusted | null,
): SolvedPlaces {
  const { frame } = nth(members, 0).solution.places;
  const { tree, closing } = treeOf(network);
  const walked = asRead(partOf(network, tree));
  const asWalked = new SurveyPlaces(frame, walked);
  const adjusted = ready === undefined ? leastSquares(network) : ready;
  const places = chosen(method, network, asWalked, walked, adjusted);
  return { places, asWalked, walked, closing, adjusted };
}

function chosen(
  method: Method,
  network: Network,
  asWalked: SurveyPlaces,
  walked: Adjusted,
  adjusted: Adjusted | null,
): SurveyPlaces {
  if (!adjusted || method === 'as-walked') return asWalked;
  if (method === 'least-squares') return new SurveyPlaces(asWalked.frame, adjusted);
  // The compass rule gives no covariance: the one as walked is used, which is seldom too small.
  return new SurveyPlaces(asWalked.frame, walked, compassRule(network).places);
}

/**
 * The compass rule: a misclosure is shared out by the length of the legs. For one loop it is least
 * squares with the variance of every leg, along and across it alike, as its length; so it is for
 * loops that hang together, whose order then does not matter.
 * Source: N. Bowditch, The Analyst, 1808 (memory).
 */
export function compassRule(network: Network): Adjusted {
  const byLength = network.lines
    .filter(({ alongVariance }) => alongVariance !== Infinity)
    .map((line): NetworkLine => ({
      ...line,
      alongVariance: 1 / line.metres,
      acrossVariance: 1 / line.metres,
      shared: [],
      local: undefined,
    }));
  return asRead({ nodes: stationsOf(network), lines: byLength, sources: [] });
}
