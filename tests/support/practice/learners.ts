import type { Answer, Question } from '@/core/practice/question';
import { randomSource } from '../walks/random-source';

/**
 * People who practise, as they would compute: from the figures of a question alone, by sums of
 * their
 * own. They share no code with the trainer: not its answers, not its slips.
 */
export type Learner = 'perfect' | 'swapper' | 'half-circle' | 'sloppy';

const RAD = Math.PI / 180;
const circle = (degrees: number) => ((degrees % 360) + 360) % 360;
const turnBetween = (a: number, b: number) => circle(b - a + 180) - 180;
type Figures = Readonly<Record<string, number>>;
type Point = readonly [number, number];

/** What a learner makes of the figures; `swap` is -1 for someone who takes east for west. */
type Plain = (given: Figures, question: Question, swap: number) => Answer | null;

const bearing = (degrees: number): Answer => ({ kind: 'bearing', degrees: circle(degrees) });
const number = (value: number): Answer => ({ kind: 'number', value });
const hand = (dial: number, body: number): Answer => ({
  kind: 'compass',
  dialDegrees: circle(dial),
  bodyDegrees: circle(body),
});

/** The choice whose text says this. */
function choice({ wanted }: Question, says: (text: string) => boolean): Answer | null {
  const found = wanted.kind === 'choice' && wanted.options.find(({ text }) => says(text));
  return found ? { kind: 'choice', id: found.id } : null;
}

const side = (east: number) => (east < 0 ? 'W' : 'E');
const minutes = (east: number) => {
  const all = Math.round(Math.abs(east) * 60);
  return `${Math.floor(all / 60)}°${String(all % 60).padStart(2, '0')}′ ${side(east)}`;
};

const sum: Plain = ({ bearing: read, angleEast }, { given }, swap) =>
  bearing(given.from === 'grid' ? read! - swap * angleEast! : read! + swap * angleEast!);

const face: Plain = ({ bearing: wanted, magneticNorth }) => hand(wanted!, wanted! + magneticNorth!);

/** Where two lines of position meet: two equations for east and north, solved by Cramer's rule. */
const cross: Plain = (given, _question, swap) => {
  const line = (index: number) => {
    const grid = (given[`read${index}`]! + swap * given.angleEast!) * RAD;
    // The mark lies on the ray: (E - e) cos g - (N - n) sin g = 0.
    const [a, b] = [Math.cos(grid), -Math.sin(grid)];
    return [a, b, a * given[`east${index}`]! + b * given[`north${index}`]!] as const;
  };
  const [[a, b, p], [c, d, q]] = [line(0), line(1)];
  const det = a * d - b * c;
  return { kind: 'place', point: { east: (p * d - b * q) / det, north: (a * q - p * c) / det } };
};

/** Legs summed east and north; the way back from their end. */
const home: Plain = (given) => {
  let [x, y] = [0, 0];
  for (let leg = 0; leg < given.legs!; leg++) {
    x -= given[`metres${leg}`]! * Math.sin(given[`degrees${leg}`]! * RAD);
    y -= given[`metres${leg}`]! * Math.cos(given[`degrees${leg}`]! * RAD);
  }
  return { kind: 'way', degrees: circle(Math.atan2(x, y) / RAD), metres: Math.hypot(x, y) };
};

/** The edge of the plate between the two marks of the map, and the dial set to its grid. */
const plate: Plain = (given, question, swap) => {
  if (question.scene.kind !== 'map') return face(given, question, swap);
  const [a, b] = question.scene.marked.map(({ point }): Point => [point.east, point.north]);
  const grid = Math.atan2(b![0] - a![0], b![1] - a![1]) / RAD;
  return hand(grid, grid);
};

/** The station whose legs both disagree with their back bearings. */
const iron: Plain = (given, question) => {
  const off = [0, 1, 2].map((leg) =>
    Math.abs(turnBetween(given[`forward${leg}`]! + 180, given[`back${leg}`]!)),
  );
  const at = off[0]! + off[1]! > off[1]! + off[2]! ? 'A' : 'B';
  return choice(question, (text) => text === at);
};

/** The leg that lies along the gap. */
const misread: Plain = (given, question) => {
  const gap = home(given, question, 1) as Extract<Answer, { kind: 'way' }>;
  let [best, least] = [0, 90];
  for (let leg = 0; leg < given.legs!; leg++) {
    const turn = Math.abs(turnBetween(gap.degrees, given[`degrees${leg}`]!));
    if (Math.min(turn, 180 - turn) < least) [best, least] = [leg, Math.min(turn, 180 - turn)];
  }
  return choice(question, (text) => text.startsWith(`Leg ${best + 1}:`));
};

const dusk: Plain = ({ light, home: far, path }, question) => {
  const lasts = (metres: number) => (metres / 4000) * 60 * 1.5;
  const wanted = lasts(far!) <= light! ? 'straight' : lasts(path!) <= light! ? 'path' : 'Stay';
  return choice(question, (text) => text.includes(wanted));
};

const boxed: Plain = (given, question) => {
  if (given.before !== undefined) return number(given.before + given.along! + given.after!);
  const out = question.given.side === 'right' ? 90 : -90;
  return bearing(given.bearing! + (question.asks.includes('back to the line') ? -out : out));
};

const east: Plain = ({ body }, question) => {
  const where = { north: 0, east: 90, south: 180, west: 270 }[question.given.wanted as 'north'];
  const way = ['ahead', 'right', 'behind', 'left'][circle(where - body!) / 90]!;
  return choice(question, (text) => text.includes(way));
};

const trusted: Plain = ({ known, reads }, question) => {
  const off = Math.abs(turnBetween(known!, reads!));
  const says = off < 5 ? 'Nothing' : off > 150 ? 'reversed' : 'bubble';
  return choice(question, (text) => text.includes(says));
};

const quadrant: Plain = ({ angle }, { given }, swap) => {
  const from = given.from === 'N' ? 0 : 180;
  const turns = (given.toward === 'E') === (given.from === 'N') ? 1 : -1;
  return bearing(from + swap * turns * angle!);
};

const aimed: Plain = (given) =>
  given.metres === undefined
    ? null
    : bearing(given.bearing! - Math.asin(given.within! / given.metres) / RAD);

const marks: Plain = ({ turn, marks: count, apart }, question) =>
  turn === undefined
    ? choice(
        question,
        (text) => /right on the line/.test(text) && Number(/(\d+) m/.exec(text)?.[1]) > 15,
      )
    : number(2 * Math.sin((turn * RAD) / 2) * count! * apart!);

/** How each exercise is done by oneself; those left out have nothing to compute. */
export const PLAIN: Readonly<Record<string, Plain>> = {
  'read-dial': ({ dial }) => bearing(dial!),
  'find-east': east,
  'set-and-face': face,
  mirror: face,
  'back-bearing': ({ bearing: read }) => bearing(read! + 180),
  'grid-to-magnetic': sum,
  'magnetic-to-grid': sum,
  'both-ways': sum,
  quadrants: quadrant,
  mils: (given) =>
    given.mils === undefined ? number((given.degrees! * 160) / 9) : bearing((given.mils * 9) / 160),
  margin: ({ then, changeEast, years }, question, swap) =>
    choice(question, (text) => text === minutes(swap * (then! + years! * changeEast!))),
  'fixed-scale': ({ declinationEast }, question, swap) => {
    const mark = swap * declinationEast!;
    return choice(question, (text) => text.includes(`${Math.abs(mark)}° ${side(mark)}`));
  },
  'adjustable-housing': (given, _question, swap) =>
    bearing(given.trueBearing ?? swap * given.declinationEast!),
  'orient-map': ({ needle, angleEast }, _question, swap) => bearing(needle! - swap * angleEast!),
  'bearing-from-map': plate,
  'distance-at-scale': ({ millimetres, scale }) => number((millimetres! * scale!) / 1000),
  sight: ({ azimuth, angleEast }) => bearing(azimuth! - angleEast!),
  'fix-by-two': cross,
  'fix-by-three': cross,
  'paces-for': ({ per100, metres }) => number((metres! / 100) * per100!),
  'slope-pace': ({ slope, metres }) => number(metres! * Math.cos(slope! * RAD)),
  'pace-calibration': ({ course, one, two, three }) =>
    number(((one! + two! + three!) / 3 / course!) * 100),
  ticks: ({ metres, per100 }) => number((metres! / 100) * per100!),
  'mark-to-mark': marks,
  'box-obstacle': boxed,
  'step-off': (given, question, swap) =>
    given.legs === undefined ? bearing(given.degrees! + 180) : home(given, question, swap),
  'four-legs': home,
  'aim-off': aimed,
  'spot-iron': iron,
  'reversed-needle': trusted,
  'misread-leg': misread,
  dusk,
};

/** The exercises in whose sums east and west can be taken for each other. */
export const SWAPPED = [
  'grid-to-magnetic',
  'magnetic-to-grid',
  'both-ways',
  'margin',
  'fixed-scale',
  'adjustable-housing',
  'orient-map',
  'fix-by-two',
] as const;

/** An answer turned by 180°; one that can't be stays as it is. */
function reversed(answer: Answer): Answer {
  if (answer.kind === 'bearing') return bearing(answer.degrees + 180);
  if (answer.kind === 'compass') return hand(answer.dialDegrees, answer.bodyDegrees + 180);
  if (answer.kind === 'way') return { ...answer, degrees: circle(answer.degrees + 180) };
  return answer;
}

/** An answer by a hand that isn't steady: off by some three times what is let pass. */
function shaken(answer: Answer, tolerance: number, normal: () => number): Answer {
  const by = 3 * tolerance * normal();
  switch (answer.kind) {
    case 'bearing':
      return bearing(answer.degrees + by);
    case 'number':
      return number(answer.value + by);
    case 'way':
      return { ...answer, metres: Math.max(0, answer.metres + by) };
    case 'compass':
      return hand(answer.dialDegrees, answer.bodyDegrees + by);
    case 'place':
      return { kind: 'place', point: { ...answer.point, east: answer.point.east + by } };
    default:
      return answer;
  }
}

/** What a learner answers; null where there is nothing to compute. */
export function answerBy(
  learner: Learner,
  exercise: string,
  question: Question,
  seed: number,
): Answer | null {
  const figures = question.given as Figures;
  const plain = PLAIN[exercise]?.(figures, question, learner === 'swapper' ? -1 : 1) ?? null;
  if (plain === null || learner === 'perfect' || learner === 'swapper') return plain;
  if (learner === 'half-circle') return reversed(plain);
  return shaken(plain, question.tolerance, randomSource(seed).normal);
}
