import { bearingDigits, normalised } from '../../../units/angle';
import { azimuthOf, lengthOf, vectorBetween } from '../../../units/plane';
import { compassSetting, mapScene } from '../../builders';
import { chanceOf, whole } from '../../chance';
import { pairOf } from '../../country/chosen-places';
import { countryFor, countryOf } from '../../country/known-countries';
import type { Exercise, Misstep } from '../../question';
import { faceQuestion } from '../compass/set-and-face';

/** An edge and a dial are laid to this by a practised hand. Common practice, no source. */
const LAID_DEGREES = 3;

const laid = (dial: number, edge: number, says: string): Misstep => ({
  slip: 'half-circle',
  answer: { kind: 'compass', dialDegrees: normalised(dial), bodyDegrees: normalised(edge) },
  says,
});

export const bearingFromMap: Exercise = {
  id: 'bearing-from-map',
  group: 'map',
  title: 'A bearing from the map',
  why:
    'Edge along the way, dial to grid north, then the needle: each can be laid the ' +
    'wrong way round.',
  ask: (seed) => {
    const next = chanceOf(seed, 'bearing-from-map');
    const country = countryOf(countryFor(seed));
    const [from, to] = pairOf(country, next, 900, 2400);
    const way = vectorBetween(from.point, to.point);
    const grid = azimuthOf(way);
    const { declinationEast, convergenceEast } = country.norths;
    const angle = Math.round(declinationEast! - convergenceEast);
    const magnetic = normalised(Math.round(grid) - angle);
    const marked = [
      { letter: 'A', point: from.point },
      { letter: 'B', point: to.point },
    ];
    return [
      {
        scene: mapScene({ country: country.seed, marked, hasPlate: true }),
        given: { grid },
        asks: `Lay the compass on the map for the way from A (${from.name}) to B (${to.name}).`,
        wanted: { kind: 'compass' },
        right: { kind: 'compass', dialDegrees: grid, bodyDegrees: grid },
        tolerance: LAID_DEGREES,
        missteps: [
          laid(grid + 180, grid, 'the N of the dial points to the south of the map: 180° off'),
          laid(grid + 180, grid + 180, 'the arrow of the plate points from B to A: 180° off'),
          laid(
            grid,
            grid + 180,
            'plate and dial are both reversed: the figure is right by luck, the habit is not',
          ),
        ],
        steps: [
          'Lay an edge of the plate from A to B, the direction-of-travel arrow toward B.',
          'Turn the dial until its lines lie along the grid and its N points to the top ' +
            'of the map.',
          `Read at the index line: ${bearingDigits(grid)} grid.`,
        ],
        overMetres: lengthOf(way),
      },
      {
        ...faceQuestion(
          magnetic,
          compassSetting({
            magneticNorth: Math.round(declinationEast!),
            start: { bodyDegrees: whole(0, 359, next), dialDegrees: normalised(Math.round(grid)) },
          }),
        ),
        asks:
          `Now go: the sum gives ${bearingDigits(magnetic)}° magnetic. ` +
          'Set it, and turn with the compass until you face it.',
        overMetres: lengthOf(way),
      },
    ];
  },
};
