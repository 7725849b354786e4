import { bearingText, lengthText } from '../../units/figures';
import { compassPointBearing, signedDifference } from '../../units/angle';
import type { RouteCheck, RouteWarning } from './route-check';

/** A longer leg wants something that tells that one went too far. Common practice, no source. */
const LONG_METRES = 500;

/** `nothing-catches`: on a leg over 500 m nothing tells that one went too far. */
export const nothingCatches: RouteCheck = ({ legs }, _around, units) =>
  legs
    .filter(({ metres, plan }) => metres > LONG_METRES && !plan.catching)
    .map(({ number, metres, to }) => ({
      code: 'nothing-catches',
      leg: number,
      message:
        `Leg ${number} is ${lengthText(metres, units)} long, and nothing tells you that you went ` +
        `too far. What lies beyond ${to}: a stream, a path, a slope? Note it as the ` +
        'catching feature.',
    }));

/** Below this chance one more often misses than is worth it. Common practice, no source. */
const LEAST_CHANCE = 0.8;

/** `target-unseen`: the point may well not be in sight where the leg ends. */
export const targetUnseen: RouteCheck = ({ legs }) =>
  legs
    .filter(({ chance, plan, aim }) => chance < LEAST_CHANCE && !plan.handrail && !aim)
    .map(({ number, to, chance }) => ({
      code: 'target-unseen',
      leg: number,
      message:
        `${to} will be in sight at the end of leg ${number} with ${Math.round(100 * chance)} %. ` +
        'Split the leg at an attack point, follow a handrail, or aim off onto a line.',
    }));

const MOST_OFF_DEGREES = 90;
const REVERSED_WITHIN_DEGREES = 30;

/** `other-way`: the bearing goes more than 90° off the way that the person said. */
export const otherWay: RouteCheck = ({ legs }, _around, units) =>
  legs.flatMap((leg): RouteWarning[] => {
    const { expect } = leg.plan;
    if (!expect || leg.bearing.true === null) return [];
    const turn = signedDifference(compassPointBearing(expect.point), leg.bearing.true);
    const off = Math.abs(turn);
    if (off <= MOST_OFF_DEGREES) return [];
    const cause =
      180 - off <= REVERSED_WITHIN_DEGREES
        ? ' That is a 180° error: two points swapped, a bearing taken from the end to the ' +
          'beginning, or the dial’s N turned to the map’s south?'
        : ' Is one of the two points read wrongly?';
    const message =
      `You say that leg ${leg.number} goes roughly ${expect.point}; by its points it goes ` +
      `${bearingText(leg.bearing.true, units)} true (${leg.compassPoint}).${cause}`;
    return [{ code: 'other-way', leg: leg.number, message }];
  });

/** `aim-impossible`: one can't aim off onto the line that is named. */
export const aimImpossible: RouteCheck = ({ legs }) =>
  legs.flatMap(({ number, aim, plan, to }): RouteWarning[] => {
    if (!aim || aim.ok || !plan.aimOff) return [];
    const why = {
      'too-flat': `the leg meets ${plan.aimOff.what} at a flat angle, where one crosses unnoticed`,
      'at-home': `${to} is where the leg begins`,
      'not-settled': 'the leg is too short for how sure it is',
    }[aim.fault.code];
    const message = `Aiming off on leg ${number} doesn’t work: ${why}.`;
    return [{ code: 'aim-impossible', leg: number, message }];
  });

/** `tick-beyond`: a tick is farther than its leg is long. */
export const tickBeyond: RouteCheck = ({ legs }, _around, units) =>
  legs.flatMap(({ number, ticks, metres }) =>
    ticks
      .filter((tick) => tick.metres > metres)
      .map(({ what, metres: at }) => ({
        code: 'tick-beyond',
        leg: number,
        message:
          `“${what}” at ${lengthText(at, units)} lies beyond the end of leg ${number} ` +
          `(${lengthText(metres, units)}). If it tells that you went too far, it is a ` +
          'catching feature.',
      })),
  );

/** Two points of a map nearer than this are one. */
const SAME_METRES = 1;

/** `same-place`: two points one after the other are at one place. */
export const samePlace: RouteCheck = ({ legs }) =>
  legs
    .filter(({ metres }) => metres < SAME_METRES)
    .map(({ number, from, to }) => ({
      code: 'same-place',
      leg: number,
      message: `${from} and ${to} are at one place: leg ${number} has no length and no bearing.`,
    }));
