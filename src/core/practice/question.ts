import type { SlipId } from '../survey/slips/slip';
import type { PlanePoint } from '../units/plane';
import type { Degrees, Metres } from '../units/units';
import type { CompassFault, HandCompass } from './compass/hand-compass';
import type { Magnet } from './compass/field';
import type { PartId } from './compass/parts';

/** How the drawn compass is made, and what acts on it. */
export interface CompassSetting {
  readonly start: HandCompass;
  readonly fault: CompassFault;
  readonly magnets: readonly Magnet[];
  /** Where magnetic north is, from true north. */
  readonly magneticNorth: Degrees;
  /** A housing that can be turned in the dial, for the declination. */
  readonly isAdjustable: boolean;
  /** A fixed declination scale in the housing. */
  readonly hasScale: boolean;
  readonly look: 'plate' | 'mirror' | 'card';
}

/** A place on a practice map, with the letter it is called by. */
export interface Marked {
  readonly letter: string;
  readonly point: PlanePoint;
}

/** What is drawn beside a question. */
export type Scene =
  | { readonly kind: 'words' }
  | { readonly kind: 'compass'; readonly setting: CompassSetting; readonly part?: PartId }
  | {
      readonly kind: 'map';
      readonly country: number;
      readonly marked: readonly Marked[];
      /** Straight lines between marked places, by letter. */
      readonly lines: readonly (readonly [string, string])[];
      /** How far the map is turned from grid north up. */
      readonly turned: Degrees;
      /** A base-plate compass lies on it. */
      readonly hasPlate: boolean;
      /** Where the needle of a compass beside it points on the screen; null for no compass. */
      readonly needle: Degrees | null;
    }
  | {
      readonly kind: 'panorama';
      readonly country: number;
      readonly at: PlanePoint;
      readonly facing: Degrees;
      readonly fogMetres: Metres;
    }
  | { readonly kind: 'log'; readonly lines: readonly string[] };

/** What is to be answered. */
type Wanted =
  | { readonly kind: 'bearing' }
  | { readonly kind: 'number'; readonly unit: string }
  | { readonly kind: 'choice'; readonly options: readonly Option[] }
  /** A compass to set and to turn, or to lay on the map. */
  | { readonly kind: 'compass' }
  /** How far the map is turned. */
  | { readonly kind: 'turn' }
  /** A place on the map. */
  | { readonly kind: 'place' }
  /** A bearing and a distance. */
  | { readonly kind: 'way' };

interface Option {
  readonly id: string;
  readonly text: string;
}

export type Answer =
  | { readonly kind: 'bearing'; readonly degrees: Degrees }
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'choice'; readonly id: string }
  | { readonly kind: 'compass'; readonly dialDegrees: Degrees; readonly bodyDegrees: Degrees }
  | { readonly kind: 'place'; readonly point: PlanePoint }
  | { readonly kind: 'way'; readonly degrees: Degrees; readonly metres: Metres };

/** The slips that a trainer can tell: those of the survey, and a few that leave no trace there. */
export type PracticeSlip =
  | SlipId
  | 'annual-change'
  | 'nearest-north'
  | 'not-read'
  | 'slope'
  | 'scale'
  | 'sum'
  | 'wrong-choice';

/** An answer that someone gives who makes a slip, and what to tell them. */
export interface Misstep {
  readonly slip: PracticeSlip;
  readonly answer: Answer;
  /**
   * A sentence about this question, without the full stop: "you added where east is subtracted".
   */
  readonly says: string;
}

/** One thing that is asked. */
export interface Question {
  readonly scene: Scene;
  /** The figures of the question, for anyone who computes it by themselves. */
  readonly given: Readonly<Record<string, number | string>>;
  readonly asks: string;
  /** The sum that leads to a bearing, done right: a few degrees beside it are a slip in it. */
  readonly sum?: string;
  readonly wanted: Wanted;
  readonly right: Answer;
  /** How near an answer must be: degrees, the question's unit, or metres of a way's end. */
  readonly tolerance: number;
  readonly missteps: readonly Misstep[];
  /** How it is done, step by step, with these figures; the last step says the answer. */
  readonly steps: readonly string[];
  /** How far one would go by the answer: an error in degrees is reported over this length. */
  readonly overMetres: Metres;
}

export const EXERCISE_GROUPS = {
  compass: 'The compass',
  sums: 'Bearings and sums',
  map: 'Map and ground',
  paces: 'Distances and paces',
  walking: 'On a leg',
  judging: 'Finding out what is wrong',
} as const;
export type ExerciseGroup = keyof typeof EXERCISE_GROUPS;

/** Something to practise. A new one is a file under `exercises/` and a line in its list. */
export interface Exercise {
  readonly id: string;
  readonly group: ExerciseGroup;
  readonly title: string;
  /** What it is good for, in one sentence. */
  readonly why: string;
  /** The questions of a seed, one or several that follow each other; the same every time. */
  readonly ask: (seed: number) => readonly Question[];
}
