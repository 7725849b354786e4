import { numberQuestion, numberSlip } from '../../builders';
import { chanceOf, whole } from '../../chance';
import type { Exercise } from '../../question';

export const pacesFor: Exercise = {
  id: 'paces-for',
  group: 'paces',
  title: 'Paces for a distance',
  why: 'A leg is planned in metres and walked in paces.',
  ask: (seed) => {
    const next = chanceOf(seed, 'paces-for');
    const per100 = whole(56, 74, next);
    const metres = 10 * whole(12, 90, next);
    const paces = (metres * per100) / 100;
    return [
      numberQuestion(paces, 'paces', Math.max(2, paces * 0.015), {
        given: { per100, metres },
        asks: `You take ${per100} paces for 100 m. How many are ${metres} m?`,
        missteps: [
          numberSlip('single-steps', 2 * paces, 'single steps were counted, not paces'),
          numberSlip('unit', metres, 'the number is metres, not paces'),
          numberSlip('scale', (metres / per100) * 100, 'you divided where you multiply'),
          numberSlip('hundred-metres', paces + per100, 'it is 100 m too long'),
          numberSlip('hundred-metres', paces - per100, 'a hundred metres are missing'),
        ],
        steps: [
          `${Math.floor(metres / 100)} hundreds at ${per100} are ` +
            `${Math.floor(metres / 100) * per100}.`,
          `The other ${metres % 100} m are ${Math.round(((metres % 100) * per100) / 100)}.`,
          `Together ${Math.round(paces)} paces, a bead for each 100 m.`,
        ],
      }),
    ];
  },
};
