import type { Exercise } from '../question';
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

/** Every exercise, in the order in which one would learn. A new one is a file and a line here. */
export const EXERCISES: readonly Exercise[] = [
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

export const exerciseOf = (id: string): Exercise | undefined =>
  EXERCISES.find((each) => each.id === id);
