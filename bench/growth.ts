import { FINE, growthOf } from '../tests/support/growth';
import { WORST_INPUTS } from '../tests/support/worst-inputs';

/** How the time of each worst known input grows with its size: size^exponent, by least squares. */
console.log('Growth of the worst known inputs, from the file to a solved and written outing');
for (const input of WORST_INPUTS) {
  const { milliseconds, exponent } = await growthOf(input, FINE);
  const times = milliseconds.map((each) => each.toFixed(1).padStart(8)).join(' ');
  console.log(`${input.name.padEnd(52)} ${times} ms   n^${exponent.toFixed(2)}`);
}
