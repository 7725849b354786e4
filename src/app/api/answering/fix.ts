import { earthModels } from '@/core/north/loaded-earth-models';
import { referenceNorth } from '@/core/north/norths';
import { outingNorths, type OutingNorths } from '@/core/north/outing-norths';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import { expectedText, faultMessage } from '@/core/faults/messages';
import { positionAt, planePointOf } from '@/core/place/geodesic';
import type { Position } from '@/core/readings/position';
import { crossingsOnEarth, fixOnEarth } from '@/core/survey/fix/on-earth';
import { readSight } from '@/core/survey/fix/read-sight';
import {
  squareSigma,
  type KnownMark,
  type LineFeature,
  type Sight,
} from '@/core/survey/fix/sights';
import { initialState } from '@/core/survey/log-state';
import { sharedScale } from '@/core/survey/shared-scale';
import { fixAnswer, type Placed } from '@/formats/fix/fix-answer';
import {
  readRequest,
  requestBearings,
  requestOuting,
  type FixRequest,
  type RequestPlace,
} from './fix-request';
import { json, type Answer, type Question } from './question';
import { Refused } from './refusal';

/**
 * A plane is solved as a small piece of the earth about this place, and given back as a plane: over
 * 20 km the two differ by less than 5 cm (d³/6R²).
 */
const PLANE: Position = { latitude: 0, longitude: 0 };
const WIDEST_PLANE = 20_000;

/** Where a place of the request is on the earth; the middle of its places is that of the plane. */
const earthPlace = (each: RequestPlace, middle: { x: number; y: number }): Position =>
  'latitude' in each
    ? { latitude: each.latitude, longitude: each.longitude }
    : positionAt(PLANE, { east: each.x - middle.x, north: each.y - middle.y });

function middleOf({ known }: FixRequest) {
  const points = known.filter((each) => 'x' in each);
  if (points.length > 0 && points.length < known.length) {
    const message = 'Known places are all by latitude and longitude, or all by x and y.';
    throw new Refused(400, { message, path: 'known' });
  }
  const mean = (axis: 'x' | 'y') =>
    points.reduce((sum, each) => sum + each[axis], 0) / Math.max(1, points.length);
  for (const axis of ['x', 'y'] as const) {
    const all = points.map((each) => each[axis]);
    if (points.length > 0 && Math.max(...all) - Math.min(...all) > WIDEST_PLANE) {
      const message = 'Places in a plane have to be near each other.';
      throw new Refused(400, { message, path: 'known', expected: 'x and y within 20 km' });
    }
  }
  return { x: mean('x'), y: mean('y'), isPlane: points.length > 0 };
}

function northsOf(request: FixRequest, isPlane: boolean): OutingNorths {
  const norths = outingNorths(requestOuting(request), earthModels);
  if (!norths.ok) {
    const { fault } = norths.fault;
    const expected = expectedText(fault);
    throw new Refused(400, { message: faultMessage(fault), path: 'declination', expected });
  }
  if (!isPlane && referenceNorth(norths.value) !== 'true') {
    throw new Refused(400, {
      message: 'Places on a map need the declination, to turn what the compass reads.',
      path: 'declination',
      expected: 'an angle as in 3 W, or model with a date',
    });
  }
  return norths.value;
}

/** The sights of a request, one mark for each place that is sighted. */
function sightsOf(
  request: FixRequest,
  norths: OutingNorths,
  middle: { x: number; y: number },
): Sight[] {
  const marks = new Map<RequestPlace, KnownMark>();
  return requestBearings(request).map(({ to, reading, back, aim }, index) => {
    const position = earthPlace(to, middle);
    const mark = marks.get(to) ?? { name: to.name, position, sigmaMetres: squareSigma(to.within) };
    marks.set(to, mark);
    const state = { ...initialState(norths), aim };
    const sight = readSight({ mark, bearing: reading, back, distance: null }, state, norths);
    if (sight) return sight;
    const message = 'This bearing is from a north that is not known here.';
    throw new Refused(400, { message, path: `bearings.${index}.bearing` });
  });
}

/** How well a line of the request is drawn, one sigma: to the width of a pen. Common practice. */
const LINE_METRES = 10;

function lineOf(request: FixRequest, middle: ReturnType<typeof middleOf>): LineFeature | null {
  if (!request.line) return null;
  const positions = request.line.map(([a, b], index) => {
    if (middle.isPlane) return earthPlace({ name: 'line', x: a, y: b }, middle);
    const isOnEarth = Math.abs(a) <= 90 && Math.abs(b) <= 180;
    if (isOnEarth) return { latitude: a, longitude: b };
    const message = 'A corner of the line is no latitude and longitude.';
    throw new Refused(400, { message, path: `line.${index}`, expected: 'latitude, longitude' });
  });
  return { name: 'line', positions, sigmaMetres: LINE_METRES };
}

/** POST /api/fix: where someone is by bearings to known places. */
export function answerFix({ text }: Question): Answer {
  const request = readRequest(text);
  const middle = middleOf(request);
  const norths = northsOf(request, middle.isPlane);
  const question = {
    sights: sightsOf(request, norths, middle),
    scale: sharedScale(DEFAULT_ERRORS, norths),
    around: null,
    solveCompass: request.solveBias === true,
  };
  const placed = ({ fix, position }: { fix: Placed['fix']; position: Position }): Placed => {
    if (!middle.isPlane) return { fix, position };
    const { east, north } = planePointOf(PLANE, position);
    return {
      fix: { ...fix, place: { east: east + middle.x, north: north + middle.y } },
      position: null,
    };
  };
  const line = lineOf(request, middle);
  if (line) {
    const { crossings, warnings } = crossingsOnEarth(question, line);
    const [best] = crossings;
    return json(fixAnswer(best ? placed(best) : null, crossings.map(placed), warnings, norths));
  }
  const { found, warnings } = fixOnEarth(question);
  return json(fixAnswer(found && placed(found), [], warnings, norths));
}
