import { bearingDigits, normalised } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import { compassSetting, KILOMETRE } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { CompassSetting, Exercise, Misstep, Question } from '../../question';

/** A hand sets a dial and turns itself to this. Common practice, no source. */
const HAND_DEGREES = 4;

/** A bearing to set on a compass and to face; the answers of those who slip. */
export function faceQuestion(bearing: Degrees, setting: CompassSetting): Question {
  const body = normalised(bearing + setting.magneticNorth);
  const lies = (slip: Misstep['slip'], dial: Degrees, turned: Degrees, says: string): Misstep => ({
    slip,
    answer: { kind: 'compass', dialDegrees: normalised(dial), bodyDegrees: normalised(turned) },
    says,
  });
  return {
    scene: { kind: 'compass', setting },
    given: { bearing, magneticNorth: setting.magneticNorth },
    asks: `Set ${bearingDigits(bearing)}° magnetic, and turn with the compass until you face it.`,
    wanted: { kind: 'compass' },
    right: { kind: 'compass', dialDegrees: bearing, bodyDegrees: body },
    tolerance: HAND_DEGREES,
    missteps: [
      lies(
        'half-circle',
        bearing,
        body + 180,
        'the wrong end of the needle is in the arrow: you face 180° off',
      ),
      lies(
        'half-circle',
        bearing + 180,
        body + 180,
        'the dial was set at the wrong end: you face 180° off',
      ),
      lies(
        'not-read',
        bearing,
        setting.start.bodyDegrees,
        'the dial is set, but you have not turned',
      ),
      lies('ten-degrees', bearing + 10, body + 10, 'the dial is 10° off: look at the tens'),
      lies('ten-degrees', bearing - 10, body - 10, 'the dial is 10° off: look at the tens'),
      lies('hundred-degrees', bearing + 100, body + 100, 'the first digit is 100° off'),
      lies('hundred-degrees', bearing - 100, body - 100, 'the first digit is 100° off'),
    ],
    steps:
      setting.look === 'mirror'
        ? mirrorSteps(bearing)
        : [
            `Turn the dial until ${bearingDigits(bearing)} is at the index line.`,
            'Hold it level, well away from iron and from the phone.',
            'Turn your whole body until the marked end of the needle is in the orienting arrow.',
            'Now the direction-of-travel arrow points the way.',
          ],
    overMetres: KILOMETRE,
  };
}

/** With a mirror the dial is read while one looks at the mark. Common practice, no source. */
const mirrorSteps = (bearing: Degrees): string[] => [
  `Turn the dial until ${bearingDigits(bearing)} is at the index line.`,
  'Open the mirror to about 60°, hold it at the height of your eyes, away from iron and phone.',
  'See the dial in the mirror, with the line of the mirror through its middle.',
  'Turn your whole body until the mirror shows the marked end of the needle in its arrow. All is ' +
    'upside down there: the arrow’s head is nearer to you.',
  'Look over the sight above the mirror: what you see there is where to go.',
];

const setOf = (id: string, title: string, why: string, look: CompassSetting['look']): Exercise => ({
  id,
  group: 'compass',
  title,
  why,
  ask: (seed) => {
    const next = chanceOf(seed, id);
    const magneticNorth = whole(-20, 20, next);
    const start = { bodyDegrees: whole(0, 359, next), dialDegrees: whole(0, 359, next) };
    const bearing = whole(0, 359, next);
    return [faceQuestion(bearing, compassSetting({ look, magneticNorth, start }))];
  },
});

export const setAndFace = setOf(
  'set-and-face',
  'Set a bearing and face it',
  'Dial, level, turn the body, needle in its arrow: until the hands know it.',
  'plate',
);

export const mirror = setOf(
  'mirror',
  'Set a bearing with a sighting mirror',
  'The dial is seen in the mirror while the sight is on the mark: steadier, and upside down.',
  'mirror',
);
