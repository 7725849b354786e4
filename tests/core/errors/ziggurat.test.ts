import { describe, expect, it } from 'vitest';
import { NormalStream } from '@/core/errors/ziggurat';

describe('the normal numbers', () => {
  // The moments of a standard normal are 0, 1, 0, 3; their errors √(1, 2, 15, 96)/√n.
  it('have the moments, tails and independence of a standard normal, over 21 million draws', () => {
    const draws = 21_000_000;
    const block = new Float64Array(6000);
    const stream = new NormalStream(20_260_814, 0);
    const sums = [0, 0, 0, 0];
    const beyond = new Map([1, 2, 3, 4, 4.5].map((z) => [z, 0]));
    let [next, apart, negatives, squares, before] = [0, 0, 0, 0, 0];
    const tail = (x: number) => {
      for (const z of beyond.keys()) if (x > z) beyond.set(z, beyond.get(z)! + 1);
    };
    for (let n = 0; n < draws; n += block.length) {
      stream.fill(block);
      for (let i = 0; i < block.length; i++) {
        const x = block[i]!;
        const x2 = x * x;
        sums[0]! += x;
        sums[1]! += x2;
        sums[2]! += x2 * x;
        sums[3]! += x2 * x2;
        next += x * before;
        squares += (x2 - 1) * (before * before - 1);
        if (i >= 100) apart += x * block[i - 100]!;
        if (x < 0) negatives++;
        before = x;
        if (x > 1) tail(x);
      }
    }
    const root = Math.sqrt(draws);
    expect(Math.abs(sums[0]! / draws)).toBeLessThan(4 / root);
    expect(Math.abs(sums[1]! / draws - 1)).toBeLessThan((4 * Math.SQRT2) / root);
    expect(Math.abs(sums[2]! / draws)).toBeLessThan((4 * Math.sqrt(15)) / root);
    expect(Math.abs(sums[3]! / draws - 3)).toBeLessThan((4 * Math.sqrt(96)) / root);
    expect(Math.abs(next / draws)).toBeLessThan(4 / root);
    expect(Math.abs(apart / draws)).toBeLessThan(4 / root);
    expect(Math.abs(squares / draws)).toBeLessThan((4 * 2) / root);
    expect(Math.abs(negatives / draws - 0.5)).toBeLessThan((4 * 0.5) / root);
    // Abramowitz and Stegun, Handbook of Mathematical Functions, 1964, table 26.1 (4.5: memory).
    for (const [z, expected] of [
      [1, 0.158655],
      [2, 0.0227501],
      [3, 0.0013499],
      [4, 3.1671e-5],
      [4.5, 3.3977e-6],
    ] as const) {
      const error = Math.sqrt(expected / draws);
      expect(Math.abs(beyond.get(z)! / draws - expected)).toBeLessThan(4 * error);
    }
  });

  it('are the same for a seed and a stream, and different for another', () => {
    const first = (seed: number, stream: number) => {
      const block = new Float64Array(1000);
      new NormalStream(seed, stream).fill(block);
      return block;
    };
    expect(first(1, 0)).toEqual(first(1, 0));
    const [a, b, c] = [first(1, 0), first(1, 1), first(2, 0)];
    for (const other of [b, c]) {
      let product = 0;
      for (let i = 0; i < 1000; i++) product += a[i]! * other[i]!;
      expect(Math.abs(product / 1000)).toBeLessThan(0.15);
      expect(other[0]).not.toBe(a[0]);
    }
    const halves = new NormalStream(1, 0);
    const [one, two] = [new Float64Array(400), new Float64Array(600)];
    halves.fill(one);
    halves.fill(two);
    expect([...one, ...two]).toEqual([...a]);
  });
});

describe('blocks of normal numbers', () => {
  it('come in fours, and nothing else is accepted', () => {
    expect(() => new NormalStream(1, 0).fill(new Float64Array(6))).toThrow(
      '6 normals were asked for; they come in fours',
    );
    const none = new Float64Array(0);
    new NormalStream(1, 0).fill(none);
    expect(none).toHaveLength(0);
  });

  // Abramowitz and Stegun 1964, table 26.1 (values from memory).
  it('fall into bands of the normal distribution as often as the table says', () => {
    const bands = [
      [0, 0.5, 0.191462],
      [0.5, 1, 0.149882],
      [1, 1.5, 0.091848],
      [1.5, 2, 0.044057],
      [2, 2.5, 0.01654],
      [2.5, 3, 0.00486],
      [3, 3.6541528853610088, 0.0012209],
      [3.6541528853610088, 9, 0.00012902],
    ] as const;
    const draws = 4_000_000;
    const block = new Float64Array(4000);
    const stream = new NormalStream(77, 3);
    const seen = bands.map(() => [0, 0]);
    for (let n = 0; n < draws; n += block.length) {
      stream.fill(block);
      for (const x of block) {
        const size = Math.abs(x);
        const band = bands.findIndex(([, to]) => size < to);
        seen[band]![x < 0 ? 0 : 1]!++;
      }
    }
    bands.forEach(([, , expected], band) => {
      for (const count of seen[band]!) {
        const error = Math.sqrt((expected * (1 - expected)) / draws);
        expect(Math.abs(count / draws - expected)).toBeLessThan(4 * error + 1e-6);
      }
    });
  });
});
