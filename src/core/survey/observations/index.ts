import { atObservation } from './at';
import { bearingObservation } from './bearing';
import { heightObservation } from './height';
import { lengthObservation } from './length';
import type { Equation, Locus, ObservationKind } from './observation';
import { onLineObservation } from './on-line';
import type { PlanePoint } from '../../units/plane';

/** Every kind of observation of a place. A new one is one more file and line here. */
export const OBSERVATIONS = {
  bearing: bearingObservation,
  length: lengthObservation,
  at: atObservation,
  'on-line': onLineObservation,
  height: heightObservation,
};

type Kinds = typeof OBSERVATIONS;

/** All that tells where a place is. */
export type Observation = {
  [Kind in keyof Kinds]: Kinds[Kind] extends ObservationKind<infer Each> ? Each : never;
}[keyof Kinds];

/** The kind of an observation, which is asked for that one alone. */
const kindOf = (each: Observation) => OBSERVATIONS[each.kind] as ObservationKind<Observation>;

export const equationsOf = (each: Observation, place: PlanePoint): readonly Equation[] =>
  kindOf(each).equations(each, place);

/** How many equations it gives at most: so much of a place it tells. */
export const equationCount = (each: Observation): number => kindOf(each).count;

/** Where it allows the place to be; null for one that draws no line. */
export const locusOf = (each: Observation): Locus | null => kindOf(each).locus(each);
