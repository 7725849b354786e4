import { bearingDigits, normalised } from '../../../units/angle';
import { bearingSlip, KILOMETRE, mapScene } from '../../builders';
import { chanceOf, whole } from '../../chance';
import { countryFor, countryOf } from '../../country/known-countries';
import type { Exercise } from '../../question';
import { sideOf } from '../sums/grid-magnetic';

/** A map is turned by hand to this. Common practice, no source. */
const TURNED_DEGREES = 4;

export const orientMap: Exercise = {
  id: 'orient-map',
  group: 'map',
  title: 'Orient the map',
  why: 'With the map turned as the ground lies, left on it is left out there.',
  ask: (seed) => {
    const next = chanceOf(seed, 'orient-map');
    const country = countryOf(countryFor(seed));
    const { declinationEast, convergenceEast } = country.norths;
    const angle = Math.round(declinationEast! - convergenceEast);
    const needle = whole(0, 359, next);
    const right = normalised(needle - angle);
    return [
      {
        scene: mapScene({ country: country.seed, turned: whole(0, 359, next), needle }),
        given: { needle, angleEast: angle },
        asks:
          `Turn the map until it lies as the ground does. Magnetic north is ` +
          `${sideOf(angle)} of grid north.`,
        wanted: { kind: 'turn' },
        right: { kind: 'bearing', degrees: right },
        tolerance: TURNED_DEGREES,
        missteps: [
          bearingSlip('half-circle', right + 180, 'the top of the map points south: 180° off'),
          bearingSlip(
            'declination-omitted',
            needle,
            'the grid lies along the needle: the declination was left out',
          ),
          bearingSlip(
            'declination-reversed',
            needle + angle,
            'the needle is on the other side of the grid: east for west',
          ),
        ],
        steps: [
          'Turn the map, not the compass, until its top lies toward the marked end of the needle.',
          `Then the needle must lie ${Math.abs(angle)}° ${angle < 0 ? 'left' : 'right'} ` +
            `of the grid lines.`,
          `On this screen the map is then turned by ${bearingDigits(right)}°.`,
        ],
        overMetres: KILOMETRE,
      },
    ];
  },
};
