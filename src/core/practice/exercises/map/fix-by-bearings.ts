import { bearingDigits, normalised, signedDifference } from '../../../units/angle';
import {
  azimuthOf,
  lengthOf,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../../../units/plane';
import { crossing } from '../../../survey/fix/point/cuts';
import { heightAt } from '../../../terrain/height-field';
import { mapScene } from '../../builders';
import { chanceOf, shuffled } from '../../chance';
import { isWater, type Country, type NamedPoint } from '../../country/country';
import { crossings } from '../../country/ground-lines';
import { eyeAt, sees } from '../../country/panorama';
import { namedPlaces, pointWhere } from '../../country/chosen-places';
import { countryFor, countryOf } from '../../country/known-countries';
import type { Exercise, Misstep, PracticeSlip, Question } from '../../question';
import { sideOf } from '../sums/grid-magnetic';
import { nth } from '../../../units/nth';

/** How near a thumb and two drawn lines come. Common practice, no source. */
const FOUND_METRES = 90;
const LEAST_CUT = 35;
/** Another stream nearer than this to the right one would be an answer as good. */
const CLEAR_METRES = 350;
/** Longer than any line in the country. */
const FAR = 8000;

/** Named places in sight from a point, far enough, with bearings that cut well. */
function marksFrom(country: Country, at: PlanePoint, count: number, next: () => number) {
  const found: NamedPoint[] = [];
  const eye = eyeAt(country, at);
  for (const place of shuffled(namedPlaces(country), next)) {
    const azimuth = azimuthOf(vectorBetween(at, place.point));
    const metres = lengthOf(vectorBetween(at, place.point));
    const cuts = found.every(({ point }) => {
      const turn = Math.abs(signedDifference(azimuthOf(vectorBetween(at, point)), azimuth));
      return turn > LEAST_CUT && turn < 180 - LEAST_CUT;
    });
    if (metres < 400 || metres > 3000 || !cuts) continue;
    if (!sees(country, at, eye, place.point, heightAt(country.ground, place.point))) continue;
    found.push(place);
    if (found.length === count) break;
  }
  return found;
}

const angleOf = ({ norths }: Country) =>
  Math.round(norths.declinationEast! - norths.convergenceEast);

const readTo = (at: PlanePoint, point: PlanePoint, angle: number) =>
  Math.round(normalised(azimuthOf(vectorBetween(at, point)) - angle)) % 360;

/** The wrong position that one gets by converting with the wrong sign. */
function placeMisstep(
  marks: readonly NamedPoint[],
  azimuths: readonly number[],
  slip: PracticeSlip,
  says: string,
): Misstep[] {
  const [one, other] = [0, 1].map((index) => ({
    at: nth(marks, index).point,
    toward: polar(nth(azimuths, index), 1),
  }));
  const met = crossing(one!, other!);
  return met ? [{ slip, answer: { kind: 'place', point: met.place }, says }] : [];
}

const letter = (index: number) => 'ABC'.charAt(index);

function fixQuestion(country: Country, at: PlanePoint, marks: readonly NamedPoint[]): Question {
  const angle = angleOf(country);
  const reads = marks.map(({ point }) => readTo(at, point, angle));
  const [a = 0, b = 0] = reads;
  const grid = (read: number) => normalised(read + angle);
  const given: Record<string, number> = { angleEast: angle };
  for (const [index, mark] of marks.entries()) {
    given[`read${index}`] = nth(reads, index);
    given[`east${index}`] = mark.point.east;
    given[`north${index}`] = mark.point.north;
  }
  const said = marks.map(
    ({ name }, index) =>
      `${name} (${letter(index)}) on ${bearingDigits(nth(reads, index))}° magnetic`,
  );
  return {
    scene: mapScene({
      country: country.seed,
      marked: marks.map(({ point }, index) => ({ letter: letter(index), point })),
    }),
    given,
    asks:
      `You see ${said.join(', ')}. Magnetic north is ${sideOf(angle)} of grid ` +
      `north. Where are you?`,
    wanted: { kind: 'place' },
    right: { kind: 'place', point: at },
    tolerance: FOUND_METRES,
    missteps: [
      ...placeMisstep(marks, [a, b], 'declination-omitted', 'the declination was left out'),
      ...placeMisstep(
        marks,
        [a - angle, b - angle],
        'declination-reversed',
        'the declination was applied the wrong way: east for west',
      ),
      ...placeMisstep(
        marks,
        [grid(b), grid(a)],
        'wrong-station',
        'the bearings were taken for each other’s marks',
      ),
    ],
    steps: [
      'Turn each bearing for the map: grid = magnetic + the angle, east positive.',
      ...marks.map(
        (_, index) =>
          `From ${letter(index)} draw the back bearing, ` +
          `${bearingDigits(grid(nth(reads, index) + 180))}° grid.`,
      ),
      marks.length > 2
        ? 'Three lines make a small triangle: you are near it. A large one means that a ' +
          'reading is wrong.'
        : 'Where the lines cross, you are. The nearer to a right angle, the better.',
    ],
    overMetres: 1000,
  };
}

const fixOf = (id: string, title: string, why: string, count: number): Exercise => ({
  id,
  group: 'map',
  title,
  why,
  ask: (seed) => {
    const next = chanceOf(seed, id);
    const country = countryOf(countryFor(seed));
    let marks: NamedPoint[] = [];
    const at = pointWhere(country, next, 400, (point) => {
      if (isWater(country, point)) return false;
      marks = marksFrom(country, point, count, next);
      return marks.length === count;
    });
    return [fixQuestion(country, at, marks)];
  },
});

export const fixByTwo = fixOf(
  'fix-by-two',
  'A fix by two bearings',
  'Two marks that are on the map and in sight say where you are.',
  2,
);

export const fixByThree = fixOf(
  'fix-by-three',
  'A fix by three bearings',
  'The third bearing tells whether the other two can be trusted.',
  3,
);

/** A place at a stream, and a mark in sight whose bearing crosses no other stream near it. */
function besideStream(country: Country, angle: number, next: () => number) {
  const points = shuffled(
    country.streams.flatMap((line) => line.slice(1, -1)),
    next,
  );
  const isClear = (at: PlanePoint, mark: NamedPoint, leastMetres: number) => {
    const { point } = mark;
    const metres = lengthOf(vectorBetween(at, point));
    if (metres < leastMetres || metres > 3000 || isWater(country, at)) return false;
    const back = sumOf(point, polar(readTo(at, point, angle) + angle + 180, FAR));
    const near = country.streams
      .flatMap((each) => crossings(point, back, each))
      .filter((each) => Math.abs(each - metres) < CLEAR_METRES);
    const height = heightAt(country.ground, point);
    return near.length === 1 && sees(country, at, eyeAt(country, at), point, height);
  };
  for (const leastMetres of [500, 250]) {
    for (const at of points) {
      const mark = shuffled(namedPlaces(country), next).find((each) =>
        isClear(at, each, leastMetres),
      );
      if (mark) return { at, mark, read: readTo(at, mark.point, angle) };
    }
  }
  throw new RangeError(`no stream of country ${country.seed} has a mark in sight`);
}

/** One bearing, and a stream that one is beside. */
export const fixByStream: Exercise = {
  id: 'fix-by-stream',
  group: 'map',
  title: 'One bearing and a stream',
  why: 'A line that you are beside is as good as a second bearing.',
  ask: (seed) => {
    const next = chanceOf(seed, 'fix-by-stream');
    const country = countryOf(countryFor(seed));
    const angle = angleOf(country);
    const { at, mark, read } = besideStream(country, angle, next);
    const along = lengthOf(vectorBetween(at, mark.point));
    const off = (turn: number, slip: PracticeSlip, says: string): Misstep => {
      const way = polar(read + turn + 180, along);
      return {
        slip,
        answer: {
          kind: 'place',
          point: { east: mark.point.east + way.east, north: mark.point.north + way.north },
        },
        says,
      };
    };
    return [
      {
        scene: mapScene({ country: country.seed, marked: [{ letter: 'A', point: mark.point }] }),
        given: { angleEast: angle, read, east: mark.point.east, north: mark.point.north },
        asks:
          `You stand beside a stream, ${Math.round(along / 100) * 100} m or so from ` +
          `${mark.name} (A), ` +
          `which is on ${bearingDigits(read)}° magnetic. Magnetic north is ` +
          `${sideOf(angle)} of grid north. Where are you?`,
        wanted: { kind: 'place' },
        right: { kind: 'place', point: at },
        tolerance: FOUND_METRES,
        missteps: [
          off(0, 'declination-omitted', 'the declination was left out'),
          off(
            -angle,
            'declination-reversed',
            'the declination was applied the wrong way: east for west',
          ),
          off(angle + 180, 'half-circle', 'the bearing was drawn on, not back: 180° off'),
        ],
        steps: [
          `On the map it is ${bearingDigits(normalised(read + angle))}° grid from you to A.`,
          `So from A to you: ${bearingDigits(normalised(read + angle + 180))}° grid.`,
          'Draw it, and take the place where it meets the stream.',
        ],
        overMetres: along,
      },
    ];
  },
};
