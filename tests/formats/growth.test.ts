import { describe, expect, it } from 'vitest';
import { COARSE, exponentOf, growthOf, processed } from '../support/growth';
import { WORST_INPUTS } from '../support/worst-inputs';

/** More than n·log n over the sizes that are measured, and far less than n². */
const MOST = 1.3;
const MOST_TRIES = 12;

describe('the time of the worst known inputs', () => {
  it.each(WORST_INPUTS)('$name: grows no faster than its size', async (input) => {
    // What else the machine does only adds: the least of each size, over as many tries as it takes.
    let least = COARSE.map(() => Infinity);
    for (let tries = 0; tries < MOST_TRIES && !(exponentOf(COARSE, least) < MOST); tries++) {
      const { milliseconds } = await growthOf(input, COARSE, tries + 1);
      least = least.map((each, index) => Math.min(each, milliseconds[index]!));
    }
    expect(exponentOf(COARSE, least)).toBeLessThan(MOST);
  });

  it('would show what grows with the square', async () => {
    const square = async (text: string | Uint8Array) => {
      let sum = 0;
      for (let i = 0; i < text.length; i++) for (let j = 0; j < text.length; j++) sum += i ^ j;
      if (sum < 0) await processed(text);
    };
    const input = { name: 'square', from: 2000, make: (size: number) => 'x'.repeat(size) };
    expect((await growthOf(input, COARSE, 2, square)).exponent).toBeGreaterThan(1.6);
    expect(exponentOf([1, 2, 4], [3, 12, 48])).toBeCloseTo(2, 9);
  });
});
