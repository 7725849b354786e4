import { numberQuestion, numberSlip } from '../../builders';
import { chanceOf, chosen, whole } from '../../chance';
import type { Exercise } from '../../question';

const SCALES = [10_000, 25_000, 40_000, 50_000] as const;

export const distanceAtScale: Exercise = {
  id: 'distance-at-scale',
  group: 'map',
  title: 'Distance at a scale',
  why: 'Millimetres on the map to metres on the ground, without a nought too many.',
  ask: (seed) => {
    const next = chanceOf(seed, 'distance-at-scale');
    const scale = chosen(SCALES, next);
    const millimetres = whole(8, 74, next);
    const metres = (millimetres * scale) / 1000;
    const other = chosen(
      SCALES.filter((each) => each !== scale),
      next,
    );
    const scaleText = `1:${scale / 1000} 000`;
    return [
      numberQuestion(metres, 'm', Math.max(2, metres / 100), {
        given: { millimetres, scale },
        asks:
          `You measure ${millimetres} mm on a map at ${scaleText}. How far is it on ` +
          `the ground?`,
        missteps: [
          numberSlip('scale', metres * 10, 'a nought too many: ten times too far'),
          numberSlip('scale', metres / 10, 'a nought is missing: ten times too short'),
          numberSlip(
            'scale',
            (millimetres * other) / 1000,
            `that is the scale 1:${other / 1000} 000`,
          ),
          ...SCALES.filter((each) => each !== scale && each !== other).map((each) =>
            numberSlip(
              'scale',
              (millimetres * each) / 1000,
              `that is the scale 1:${each / 1000} 000`,
            ),
          ),
        ],
        steps: [
          `At ${scaleText} one millimetre is ${scale / 1000} m: leave off three noughts.`,
          `${millimetres} × ${scale / 1000} = ${metres} m.`,
        ],
      }),
    ];
  },
};
