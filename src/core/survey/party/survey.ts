import { NO_COVARIANCE, sumCovariance, type Covariance } from '../../errors/covariance';
import { sharedCovariance } from '../../errors/shared-errors';
import type { SharedError } from '../../errors/sources/source';
import type { Method } from '../../model/method';
import type { Adjusted } from '../network/adjust';
import { atLeast } from '../network/chi-square';
import { lineCovariances } from '../network/line-covariances';
import { addJoint } from './checked';
import { closuresBy, type SurveyClosure } from './closures';
import type { Party } from './party';
import { placesBy } from './places-by';
import type { SurveyPlaces } from './survey-places';
import { nth } from '../../units/nth';

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

/** Solves a survey by a method; `ready` is its adjustment, where that is made already. */
export function survey(party: Party, method: Method, ready?: Adjusted | null): Survey {
  const { places, asWalked, walked, closing, adjusted } = placesBy(party, method, ready);
  return {
    party,
    method,
    asWalked,
    places,
    closures: closuresBy(party, closing, walked),
    adjusted,
    test: adjusted && testOf(adjusted),
    estimates: adjusted ? estimatesOf(adjusted) : [],
  };
}

function testOf({ chiSquare, redundancy }: Adjusted): WholeTest {
  return { chiSquare, degreesOfFreedom: redundancy, p: atLeast(chiSquare, redundancy) };
}

function estimatesOf({ network, shared, locals, factor, effects }: Adjusted): Estimate[] {
  const { nodes, sources, locals: errors = [] } = network;
  const count = sources.length;
  const ofAll = sources.map((error, i) => ({
    error,
    value: nth(shared.values, i),
    sigma: Math.sqrt(nth(shared.covariance, i * count + i)),
  }));
  const at = errors.map((_, i) => nodes + i);
  const own = lineCovariances(
    factor,
    at.map((local) => ({ from: 0, to: 0, local })),
  );
  const ofOne = errors.map(({ error }, i) => {
    const moves = effects.subarray(2 * nth(at, i) * count, 2 * (nth(at, i) + 1) * count);
    const { xx } = addJoint(NO_COVARIANCE, moves, moves, shared.covariance);
    return { error, value: nth(locals, i), sigma: Math.sqrt(nth(own, i).local + xx) };
  });
  return [...ofAll, ...ofOne];
}

/** Covariance of the vector between two places, by all errors together. */
export function covarianceBetween(places: SurveyPlaces, from: number, to: number): Covariance {
  const { covariance, shared, joint } = places.relative(from, to);
  return sumCovariance(covariance, sharedCovariance(shared, joint));
}
