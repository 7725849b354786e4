import { backBearing, bearingDigits, normalised, signedDifference } from '../../../units/angle';
import {
  azimuthOf,
  lengthOf,
  ORIGIN,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../../../units/plane';
import type { Degrees, Metres } from '../../../units/units';
import { bearingQuestion, bearingSlip } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { Exercise, Misstep, Question } from '../../question';

interface Leg {
  readonly degrees: Degrees;
  readonly metres: Metres;
}

const endOf = (legs: readonly Leg[]): PlanePoint =>
  legs.reduce((at, { degrees, metres }) => sumOf(at, polar(degrees, metres)), ORIGIN);

/** A way and the slips that people make with it. */
function wayMissteps(legs: readonly Leg[]): Misstep[] {
  const home = vectorBetween(endOf(legs), ORIGIN);
  const way = (slip: Misstep['slip'], vector: PlanePoint, says: string): Misstep => ({
    slip,
    answer: { kind: 'way', degrees: azimuthOf(vector), metres: lengthOf(vector) },
    says,
  });
  return [
    way(
      'half-circle',
      { east: -home.east, north: -home.north },
      'that leads away from home: 180° off',
    ),
    way('nearest-north', { east: -home.east, north: home.north }, 'east and west are swapped'),
    ...legs.map((_, index) =>
      way(
        'not-written',
        vectorBetween(endOf(legs.filter((__, other) => other !== index)), ORIGIN),
        `leg ${index + 1} was left out`,
      ),
    ),
  ];
}

const legText = ({ degrees, metres }: Leg) => `${bearingDigits(degrees)}° ${metres} m`;
const legsText = (legs: readonly Leg[]) => legs.map(legText).join(', then ');

function homeQuestion(
  legs: readonly Leg[],
  share: number,
  asks: string,
  steps: readonly string[],
): Question {
  const home = vectorBetween(endOf(legs), ORIGIN);
  const given: Record<string, number> = { legs: legs.length };
  for (const [index, { degrees, metres }] of legs.entries()) {
    given[`degrees${index}`] = degrees;
    given[`metres${index}`] = metres;
  }
  return {
    scene: {
      kind: 'log',
      lines: legs.map(({ degrees, metres }) => `${bearingDigits(degrees)} ${metres}m`),
    },
    given,
    asks,
    wanted: { kind: 'way' },
    right: { kind: 'way', degrees: azimuthOf(home), metres: lengthOf(home) },
    tolerance: share * lengthOf(home),
    missteps: wayMissteps(legs),
    steps: [...steps, `Home: ${bearingDigits(azimuthOf(home))}°, ${Math.round(lengthOf(home))} m.`],
    overMetres: lengthOf(home),
  };
}

/** Legs that end well away from home, so that there is a way to find. */
function legsOf(count: number, next: () => number): Leg[] {
  for (;;) {
    let degrees = 5 * whole(0, 71, next);
    const legs = Array.from({ length: count }, () => {
      const leg = { degrees: normalised(degrees), metres: 20 * whole(5, 15, next) };
      degrees += 5 * whole(6, 21, next);
      return leg;
    });
    const walked = legs.reduce((sum, { metres }) => sum + metres, 0);
    if (lengthOf(endOf(legs)) > 0.35 * walked) return legs;
  }
}

export const stepOff: Exercise = {
  id: 'step-off',
  group: 'walking',
  title: 'Step off and return in fog',
  why: 'Two short legs from the tent, and back to it without seeing it.',
  ask: (seed) => {
    const next = chanceOf(seed, 'step-off');
    const out = { degrees: 5 * whole(0, 71, next), metres: 10 * whole(4, 9, next) };
    const aside = {
      degrees: normalised(out.degrees + 90),
      metres: 10 * whole(4, 9, next),
    };
    const back = backBearing(out.degrees);
    return [
      bearingQuestion(back, {
        given: { degrees: out.degrees },
        asks: `From the tent ${legText(out)}, in fog. On which bearing do you come back?`,
        missteps: [
          bearingSlip('half-circle', out.degrees, 'that leads on, away from the tent'),
          bearingSlip('hundred-degrees', back + 100, 'the first digit is 100° off'),
          bearingSlip('hundred-degrees', back - 100, 'the first digit is 100° off'),
        ],
        steps: [
          'The back bearing: 180° on.',
          `${bearingDigits(back)}. Stop after ${out.metres} m, and look.`,
        ],
        overMetres: out.metres,
      }),
      homeQuestion(
        [out, aside],
        0.2,
        `You went on instead: ${legsText([out, aside])}. Which way is the tent, and how far?`,
        [
          'The legs meet at a right angle: the way home is the long side of the triangle.',
          `Half of ${out.metres + aside.metres} m is too short, all of it too long: ` +
            `about seven tenths.`,
        ],
      ),
    ];
  },
};

export const fourLegs: Exercise = {
  id: 'four-legs',
  group: 'walking',
  title: 'Four legs, and home',
  why: 'By head, by pegs and string, by the app: three ways that check each other.',
  ask: (seed) => {
    const next = chanceOf(seed, 'four-legs');
    const byHead = legsOf(4, next);
    const byPegs = legsOf(4, next);
    const byApp = legsOf(4, next);
    return [
      homeQuestion(
        byHead,
        0.35,
        `By head: ${legsText(byHead)}. Which way is home, about, and how far?`,
        [
          'Take legs together that go nearly the same way, and set off those that go ' +
            'against each other.',
          'Draw the rest in the air with a finger.',
        ],
      ),
      homeQuestion(
        byPegs,
        0.12,
        `By pegs and string, or pencil and paper: ${legsText(byPegs)}. Which way is ` +
          `home, and how far?`,
        [
          'A peg for the start. For each leg a string on its bearing: a hand’s breadth to 20 m.',
          'Stretch a string from the last peg to the first: its bearing, and its length in hands.',
        ],
      ),
      homeQuestion(
        byApp,
        0.02,
        `By the app: log ${legsText(byApp)} in an outing. What does it say?`,
        [
          'Each leg is a line of the log: bearing, then metres.',
          'Read the way home above the log.',
        ],
      ),
    ];
  },
};

export const aimOff: Exercise = {
  id: 'aim-off',
  group: 'walking',
  title: 'Aim off',
  why: 'Aimed straight at a hut on a path you miss it, and do not know on which side.',
  ask: (seed) => {
    const next = chanceOf(seed, 'aim-off');
    const path = 10 * whole(0, 17, next);
    const bearing = normalised(path + 90 + whole(-25, 25, next));
    const metres = 50 * whole(10, 30, next);
    const within = 10 * Math.round((metres * (0.08 + 0.06 * next())) / 10);
    const turn = (Math.asin(within / metres) * 180) / Math.PI;
    // Seen from the walker, the way of the path that is to the right.
    const rightWay = signedDifference(bearing, path) > 0 ? path : normalised(path + 180);
    const leftWay = normalised(rightWay + 180);
    // As it is set: to the whole degree.
    const aimed = normalised(bearing - Math.round(turn));
    return [
      bearingQuestion(aimed, {
        given: { bearing, metres, within },
        asks:
          `The hut is ${metres} m away on ${bearingDigits(bearing)}°, on a path across your way. ` +
          `You are sure to within ${within} m to each side. What do you set to come out ` +
          `to the left of it?`,
        tolerance: 2,
        missteps: [
          bearingSlip('nearest-north', bearing + Math.round(turn), 'that comes out to the right'),
          bearingSlip('not-read', bearing, 'straight at it: you would not know which way to turn'),
          bearingSlip('half-circle', aimed + 180, 'the bearing is 180° off'),
        ],
        steps: [
          `1° is 17 m in a kilometre: in ${metres} m it is ${(metres * 0.0175).toFixed(0)} m.`,
          `${within} m are ${turn.toFixed(0)}°.`,
          `To the left: ${bearingDigits(bearing)} − ${turn.toFixed(0)} = ${bearingDigits(aimed)}.`,
        ],
        overMetres: metres,
      }),
      bearingQuestion(rightWay, {
        given: { path, bearing },
        asks:
          `The path runs ${bearingDigits(path)}°–${bearingDigits(path + 180)}°. You ` +
          `reach it, and see no hut. Which way do you go along it?`,
        tolerance: 5,
        missteps: [bearingSlip('half-circle', leftWay, 'that leads away from the hut')],
        steps: [
          'You came out to the left of the hut, so it is to the right.',
          `To the right along the path: ${bearingDigits(rightWay)}°.`,
        ],
        overMetres: within,
      }),
    ];
  },
};
