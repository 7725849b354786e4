import { bearingDigits, normalised } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import { bearingQuestion, bearingSlip } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import type { Exercise, Misstep, Question } from '../../question';

export const sideOf = (east: Degrees) => `${Math.abs(east)}° ${east < 0 ? 'W' : 'E'}`;
const sum = (bearing: Degrees, by: Degrees) =>
  `${bearingDigits(bearing)} ${by < 0 ? '−' : '+'} ${Math.abs(by)} = ${bearing + by}`;
const brought = (raw: Degrees) =>
  raw < 0 || raw >= 360 ? `, and brought into the circle ${bearingDigits(raw)}` : '';

/** What people make of it who slip, when `by` should be added to a bearing. */
const sumMissteps = (bearing: Degrees, by: Degrees): Misstep[] => [
  bearingSlip(
    'declination-reversed',
    bearing - by,
    by < 0 ? 'you added where east is subtracted' : 'you subtracted where it is added',
  ),
  bearingSlip('declination-omitted', bearing, 'the declination was left out'),
  bearingSlip('declination-doubled', bearing + 2 * by, 'the declination was applied twice'),
  bearingSlip('half-circle', bearing + by + 180, 'the sum is right, but the bearing is 180° off'),
  bearingSlip('ten-degrees', bearing + by + 10, 'the bearing is 10° off: look at the tens'),
  bearingSlip('ten-degrees', bearing + by - 10, 'the bearing is 10° off: look at the tens'),
];

/** Both ways the same: `angle` is how far magnetic north lies east of grid north. */
function sumQuestion(bearing: Degrees, angle: Degrees, toMagnetic: boolean): Question {
  const by = toMagnetic ? -angle : angle;
  const [from, to] = toMagnetic ? ['grid', 'magnetic'] : ['magnetic', 'grid'];
  const rule = toMagnetic
    ? `From the map to the compass: ${angle < 0 ? 'west is added' : 'east is subtracted'}.`
    : `From the compass to the map: ${angle < 0 ? 'west is subtracted' : 'east is added'}.`;
  return bearingQuestion(bearing + by, {
    given: { bearing, angleEast: angle, from: from!, to: to! },
    sum: `${sum(bearing, by)}${brought(bearing + by)}`,
    asks:
      `Magnetic north is ${sideOf(angle)} of grid north. ` +
      `What is ${bearingDigits(bearing)}° ${from} as a ${to} bearing?`,
    missteps: sumMissteps(bearing, by).map((each) =>
      each.slip === 'declination-reversed' && !toMagnetic
        ? {
            ...each,
            says:
              by < 0 ? 'you added where west is subtracted' : 'you subtracted where east is added',
          }
        : each.slip === 'declination-reversed' && by > 0
          ? { ...each, says: 'you subtracted where west is added' }
          : each,
    ),
    steps: [
      `Draw the two norths: magnetic is ${Math.abs(angle)}° to the ` +
        `${angle < 0 ? 'left' : 'right'}.`,
      `${rule} A rhyme learned where declination is ${angle < 0 ? 'east' : 'west'} says ` +
        `the opposite.`,
      `With signs, east positive: ${to} = ${from} ${by < 0 ? '−' : '+'} ${Math.abs(by)}.`,
      `${sum(bearing, by)}${brought(bearing + by)}.`,
    ],
  });
}

/** Angles that, once or twice, are no ten degrees: each slip then leads to a bearing of its own. */
const ANGLES = [7, 8, 12, 13, 14, 15, 16, 17, 18, 22, 23, 24] as const;

const ask = (purpose: string, toMagnetic: boolean) => (seed: number) => {
  const next = chanceOf(seed, purpose);
  const angle = chosen([-1, 1], next) * chosen(ANGLES, next);
  return [sumQuestion(whole(0, 359, next), angle, toMagnetic)];
};

export const gridToMagnetic: Exercise = {
  id: 'grid-to-magnetic',
  group: 'sums',
  title: 'Map to compass',
  why: 'A bearing from the map is set on the compass: added or subtracted, east or west.',
  ask: ask('grid-to-magnetic', true),
};

export const magneticToGrid: Exercise = {
  id: 'magnetic-to-grid',
  group: 'sums',
  title: 'Compass to map',
  why: 'A bearing that was read goes onto the map: the same sum, the other way.',
  ask: ask('magnetic-to-grid', false),
};

/** Sums of both directions in turn, so that no rhyme helps. */
export const bothWays: Exercise = {
  id: 'both-ways',
  group: 'sums',
  title: 'Both ways, east and west',
  why: 'Four sums in a row, each of another kind: signs hold where rhymes mislead.',
  ask: (seed) => {
    const next = chanceOf(seed, 'both-ways');
    return [
      [true, 1],
      [false, -1],
      [true, -1],
      [false, 1],
    ].map(([toMagnetic, side]) =>
      sumQuestion(
        normalised(whole(0, 359, next)),
        Number(side) * chosen(ANGLES, next),
        toMagnetic === true,
      ),
    );
  },
};
