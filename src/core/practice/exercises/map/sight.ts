import { bearingDigits, normalised } from '../../../units/angle';
import { azimuthOf, lengthOf, vectorBetween } from '../../../units/plane';
import { bearingQuestion, bearingSlip } from '../../builders';
import { chanceOf, whole } from '../../chance';
import { eyeAt, sees } from '../../country/panorama';
import { isWater, isWood } from '../../country/country';
import { pointWhere } from '../../country/chosen-places';
import { countryFor, countryOf } from '../../country/known-countries';
import type { Exercise } from '../../question';
import { nth } from '../../../units/nth';

export const sight: Exercise = {
  id: 'sight',
  group: 'map',
  title: 'Take a bearing to a summit',
  why: 'Turn to it, look along the line of travel, and read: the first half of every fix.',
  ask: (seed) => {
    const next = chanceOf(seed, 'sight');
    const country = countryOf(countryFor(seed));
    let seen = nth(country.summits, 0);
    const at = pointWhere(country, next, 300, (point) => {
      if (isWater(country, point) || isWood(country, point)) return false;
      const found = country.summits.find(
        ({ point: top, heightMetres }) =>
          lengthOf(vectorBetween(point, top)) > 500 &&
          sees(country, point, eyeAt(country, point), top, heightMetres),
      );
      if (found) seen = found;
      return found !== undefined;
    });
    const declination = country.norths.declinationEast!;
    const azimuth = azimuthOf(vectorBetween(at, seen.point));
    // The plane's north is the grid's; the compass turns about magnetic north.
    const angle = declination - country.norths.convergenceEast;
    const read = normalised(azimuth - angle);
    return [
      bearingQuestion(read, {
        scene: {
          kind: 'panorama',
          country: country.seed,
          at,
          facing: whole(0, 359, next),
          fogMetres: 6000,
        },
        given: { azimuth, angleEast: angle },
        asks: `Turn until ${seen.name} is in the middle. What is its magnetic bearing?`,
        tolerance: 3,
        missteps: [
          bearingSlip('half-circle', read + 180, 'the wrong end of the needle was read: 180° off'),
          bearingSlip(
            'declination-doubled',
            azimuth,
            'that is the grid bearing: nothing is to be summed here',
          ),
          bearingSlip(
            'declination-reversed',
            read - angle,
            'the compass reads magnetic by itself: no sum',
          ),
        ],
        steps: [
          `Turn until ${seen.name} is over the mark in the middle.`,
          'Read the figure below the mark: it is magnetic.',
          `It is ${bearingDigits(read)}.`,
        ],
        overMetres: lengthOf(vectorBetween(at, seen.point)),
      }),
    ];
  },
};
