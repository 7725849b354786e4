import { signedDifference } from '../../../units/angle';
import type { Degrees } from '../../../units/units';
import type { Instead, Slip, SlipLeg } from '../slip';
import { withDegrees } from './turned';

/** A leg read in degrees that is off by so many, either way, within the circle. */
function offBy(leg: SlipLeg, by: Degrees): Instead[] {
  const { bearing } = leg.reading;
  if (bearing.unit !== 'degrees') return [];
  return [bearing.value - by, bearing.value + by]
    .filter((value) => value >= 0 && value < 360)
    .map((value) => withDegrees(leg, value, `the bearing is ${by}° off`));
}

/** Ten degrees: a neighbouring figure on the dial. */
export const tenDegrees: Slip = {
  id: 'ten-degrees',
  prior: 0.005,
  lookAt: 'the dial, between its figures',
  of: (leg) => offBy(leg, 10),
};

/** A hundred degrees: a wrong first digit. */
export const hundredDegrees: Slip = {
  id: 'hundred-degrees',
  prior: 0.004,
  lookAt: 'the first digit',
  of: (leg) => offBy(leg, 100),
};

/** Two digits that stand beside each other, the wrong way round. */
export const digitsTransposed: Slip = {
  id: 'digits-transposed',
  prior: 0.003,
  lookAt: 'the digits',
  of(leg) {
    const { bearing } = leg.reading;
    if (bearing.unit !== 'degrees' || !Number.isInteger(bearing.value)) return [];
    const digits = String(bearing.value).padStart(3, '0');
    const [a = '', b = '', c = ''] = digits;
    return (
      [b + a + c, a + c + b]
        .filter((other) => other !== digits && Number(other) < 360)
        // Ten degrees, a hundred, and 180 are slips of their own.
        .filter((other) => ![10, 100, 180].includes(Math.abs(turnTo(bearing.value, Number(other)))))
        .map((other) => withDegrees(leg, Number(other), 'two digits of the bearing are swapped'))
    );
  },
};

const turnTo = (from: Degrees, to: Degrees): Degrees => signedDifference(from, to);
