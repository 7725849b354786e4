import { azimuthOf, lengthOf, vectorBetween, type PlanePoint } from '../../../units/plane';
import { mapScene, numberQuestion, numberSlip } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import { namedPlaces } from '../../country/chosen-places';
import type { Country } from '../../country/country';
import { crossings } from '../../country/ground-lines';
import { countryFor, countryOf } from '../../country/known-countries';
import type { Exercise } from '../../question';
import { bearingDigits } from '../../../units/angle';

interface Crossed {
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  readonly what: 'stream' | 'path';
  readonly metres: number;
}

/** Ways between named places that cross one stream or one path, well away from both ends. */
function crossedWays(country: Country): Crossed[] {
  const places = namedPlaces(country);
  const found: Crossed[] = [];
  for (const { point: from } of places) {
    for (const { point: to } of places) {
      const length = lengthOf(vectorBetween(from, to));
      if (from === to || length < 600 || length > 3000) continue;
      for (const [what, lines] of [
        ['stream', country.streams],
        ['path', country.paths],
      ] as const) {
        const all = lines.flatMap((line) => crossings(from, to, line));
        const [metres] = all;
        if (all.length !== 1 || metres! < 150 || metres! > length - 150) continue;
        found.push({ from, to, what, metres: metres! });
      }
    }
  }
  return found;
}

export const ticks: Exercise = {
  id: 'ticks',
  group: 'walking',
  title: 'What comes on the way, and when',
  why: 'Things ticked off on a leg say that you are still on it, before you are lost.',
  ask: (seed) => {
    const next = chanceOf(seed, 'ticks');
    const country = countryOf(countryFor(seed));
    const ways = crossedWays(country);
    const per100 = whole(58, 72, next);
    const { from, to, what, metres } = chosen(ways, next);
    const length = lengthOf(vectorBetween(from, to));
    const paces = (metres * per100) / 100;
    return [
      numberQuestion(paces, 'paces', Math.max(15, 0.08 * paces), {
        scene: mapScene({
          country: country.seed,
          marked: [
            { letter: 'A', point: from },
            { letter: 'B', point: to },
          ],
          lines: [['A', 'B']],
        }),
        given: { metres, per100, length },
        asks:
          `You go from A to B on ${bearingDigits(azimuthOf(vectorBetween(from, to)))}° grid, ` +
          `${per100} paces for 100 m. After how many paces do you come to the ${what}?`,
        missteps: [
          numberSlip(
            'half-circle',
            ((length - metres) * per100) / 100,
            'that is from B: you start at A',
          ),
          numberSlip('unit', metres, 'the number is metres, not paces'),
          numberSlip('single-steps', 2 * paces, 'single steps were counted, not paces'),
        ],
        steps: [
          'Measure on the map from A to where the line meets it; a square of the grid is 500 m.',
          `It is ${Math.round(metres / 10) * 10} m.`,
          `At ${per100} paces for 100 m: ${Math.round(paces)}.`,
        ],
      }),
    ];
  },
};
