import { apart } from '../judge';
import type { Exercise, Question } from '../question';
import { findEast } from './compass/find-east';
import { namePart } from './compass/name-part';
import { readDial } from './compass/read-dial';
import { mirror, setAndFace } from './compass/set-and-face';
import { dusk } from './judging/dusk';
import { spotIron } from './judging/iron';
import { misreadLeg } from './judging/misread-leg';
import { reversedNeedle } from './judging/reversed-needle';
import { bearingFromMap } from './map/bearing-from-map';
import { distanceAtScale } from './map/distance-at-scale';
import { fixByStream, fixByThree, fixByTwo } from './map/fix-by-bearings';
import { orientMap } from './map/orient-map';
import { sight } from './map/sight';
import { calibration } from './paces/calibration';
import { pacesFor } from './paces/paces-for';
import { slopePace } from './paces/slope-pace';
import { backBearing } from './sums/back-bearing';
import { bothWays, gridToMagnetic, magneticToGrid } from './sums/grid-magnetic';
import { margin } from './sums/margin';
import { adjustableHousing, fixedScale } from './sums/scales';
import { mils, quadrants } from './sums/units';
import { boxObstacle } from './walking/box';
import { markToMark } from './walking/mark-to-mark';
import { ticks } from './walking/ticks';
import { aimOff, fourLegs, stepOff } from './walking/way-home';

/** In the order in which one would learn. A new one is a file and a line here. */
const LISTED: readonly Exercise[] = [
  namePart,
  readDial,
  findEast,
  setAndFace,
  mirror,
  backBearing,
  gridToMagnetic,
  magneticToGrid,
  bothWays,
  quadrants,
  mils,
  margin,
  fixedScale,
  adjustableHousing,
  orientMap,
  bearingFromMap,
  distanceAtScale,
  sight,
  fixByTwo,
  fixByThree,
  fixByStream,
  pacesFor,
  slopePace,
  calibration,
  ticks,
  markToMark,
  boxObstacle,
  stepOff,
  fourLegs,
  aimOff,
  spotIron,
  reversedNeedle,
  misreadLeg,
  dusk,
];

/** An answer by a slip must be wrong: a question whose tolerance lets one pass is drawn again. */
const tellsSlips = ({ right, missteps, tolerance }: Question): boolean =>
  missteps.every(({ answer }) => apart(right, answer) > tolerance);

/** Seeds further on: first of the same country, which is made already, then of the next ones. */
const SAME_COUNTRY = 84;
const IN_ONE_COUNTRY = 12;
const MOST_DRAWS = 10 * IN_ONE_COUNTRY;
const redrawn = (seed: number, draw: number): number =>
  seed + SAME_COUNTRY * (draw % IN_ONE_COUNTRY) + Math.floor(draw / IN_ONE_COUNTRY);

/** The exercise with questions that each slip of theirs fails. */
const drawn = (exercise: Exercise): Exercise => ({
  ...exercise,
  ask(seed) {
    for (let draw = 0; draw < MOST_DRAWS; draw++) {
      const questions = exercise.ask(redrawn(seed, draw));
      if (questions.every(tellsSlips)) return questions;
    }
    throw new RangeError(`no question of ${exercise.id} tells its slips apart`);
  },
});

/** Every exercise. */
export const EXERCISES: readonly Exercise[] = LISTED.map(drawn);

export const exerciseOf = (id: string): Exercise | undefined =>
  EXERCISES.find((each) => each.id === id);
