import { describe, expect, it } from 'vitest';
import { chanceByLine } from '@/core/aim-off';
import { aimedWalk, lineHome } from '@/core/aimed-walk';
import { ellipse, insideEllipse } from '@/core/error-model';
import { missCovariance } from '@/core/home';
import {
  addedArrivals,
  CHUNK_TRIALS,
  ChunkRoom,
  chunkArrivals,
  thousandArrivals,
  walkChunk,
  walkOf,
} from '@/core/monte-carlo';
import { chanceOfSight } from '@/core/sight';
import { aimedOffHome } from '@/core/ways-home';
import { NormalStream } from '@/core/ziggurat';
import { runArrivals } from '@/workers/arrivals-run';
import { solvedLog } from '../support/outings';

describe('the normal numbers', () => {
  // 2.1e7 draws: the moments of a standard normal are 0, 1, 0, 3, and their standard errors √(1, 2, 6 + 9, 96)/√n.
  it('have the moments, the tails and the independence of a standard normal, over 21 million draws', () => {
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
    const four = 4;
    expect(Math.abs(sums[0]! / draws)).toBeLessThan((four * 1) / root);
    expect(Math.abs(sums[1]! / draws - 1)).toBeLessThan((four * Math.SQRT2) / root);
    expect(Math.abs(sums[2]! / draws)).toBeLessThan((four * Math.sqrt(15)) / root);
    expect(Math.abs(sums[3]! / draws - 3)).toBeLessThan((four * Math.sqrt(96)) / root);
    expect(Math.abs(next / draws)).toBeLessThan(four / root);
    expect(Math.abs(apart / draws)).toBeLessThan(four / root);
    expect(Math.abs(squares / draws)).toBeLessThan((four * 2) / root);
    expect(Math.abs(negatives / draws - 0.5)).toBeLessThan((four * 0.5) / root);
    // Upper tails: Abramowitz and Stegun, Handbook of Mathematical Functions, 1964, table 26.1 (4.5 from memory).
    for (const [z, expected] of [
      [1, 0.158655],
      [2, 0.0227501],
      [3, 0.0013499],
      [4, 3.1671e-5],
      [4.5, 3.3977e-6],
    ] as const) {
      const error = Math.sqrt(expected / draws);
      expect(Math.abs(beyond.get(z)! / draws - expected)).toBeLessThan(four * error);
    }
  });

  it('are the same for a seed and a stream, and another for another', () => {
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

const walks = {
  demo: 'aim landmark\n112 200m\n084 146m\n061 246m\n338 185m\n015 115m\n301 169m',
  needle: 'aim needle\npace 65 per 100 m spread 8%\n200 500p\n120 300p\n020 200p',
  sighted: 'aim sighted\n000 1km\n090 1km',
};

describe('blocks of normal numbers', () => {
  it('come in fours and say so', () => {
    expect(() => new NormalStream(1, 0).fill(new Float64Array(6))).toThrow(
      '6 normals were asked for; they come in fours',
    );
    const none = new Float64Array(0);
    new NormalStream(1, 0).fill(none);
    expect(none).toHaveLength(0);
  });

  // The distribution function against its own table: Abramowitz and Stegun 1964, table 26.1 (values from memory).
  it('fall into bands of the normal curve as often as the table says', () => {
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

describe('walks over and over', () => {
  it.each(Object.entries(walks))('of %s agree with the closed form within 2 %%', (_name, text) => {
    const { solution } = solvedLog(text);
    const { east, north } = solution.traverse;
    const at = solution.current;
    const walk = walkOf(solution, -east[at]!, -north[at]!);
    const room = new ChunkRoom();
    const chunks = 120;
    const sight = 25;
    const parts = Array.from({ length: chunks }, (_, chunk) => {
      walkChunk(walk, 7, chunk, room);
      return chunkArrivals(walk, room, CHUNK_TRIALS, { sightMetres: sight }, 0);
    });
    const { trials, inSight, sumEast, sumEastEast, sumNorthNorth, sumNorth, sumEastNorth } =
      addedArrivals(parts);
    const miss = missCovariance(solution, at, 0);
    const [me, mn] = [sumEast / trials, sumNorth / trials];
    expect(Math.abs((sumEastEast / trials - me * me) / miss.xx - 1)).toBeLessThan(0.02);
    expect(Math.abs((sumNorthNorth / trials - mn * mn) / miss.yy - 1)).toBeLessThan(0.02);
    const scale = Math.sqrt(miss.xx * miss.yy);
    expect(Math.abs((sumEastNorth / trials - me * mn - miss.xy) / scale)).toBeLessThan(0.02);
    expect(Math.abs(inSight / trials - chanceOfSight(miss, sight))).toBeLessThan(0.02);
  });

  it('are the same to the bit however the chunks are shared, and end where they are wanted', () => {
    const { solution } = solvedLog(walks.demo);
    const walk = walkOf(solution, -300, 20);
    const job = { walk, seed: 3, trials: 10_000, home: { sightMetres: 25 }, drawn: 5 };
    const whole = runArrivals({ ...job, firstChunk: 0, chunks: 12 });
    const shared = [
      ...runArrivals({ ...job, firstChunk: 0, chunks: 1 }),
      ...runArrivals({ ...job, firstChunk: 1, chunks: 11 }),
    ];
    expect(shared).toEqual(whole);
    const sum = addedArrivals(whole);
    expect(sum.trials).toBe(10_000);
    expect(sum.drawn).toHaveLength(100);
    // What crosses to a worker and back is what was sent.
    expect(structuredClone(sum)).toEqual(sum);
    expect(structuredClone(walk)).toEqual(walk);
  });

  it('of a large sigma take the full functions, with the same result as the polynomial where both hold', () => {
    const bare = (sigma: number) => ({
      bearing: Float64Array.of(1),
      length: Float64Array.of(100),
      alongSigma: Float64Array.of(0),
      acrossSigma: Float64Array.of(sigma),
    });
    const room = new ChunkRoom();
    const spread = (sigma: number) => {
      walkChunk(bare(sigma), 1, 0, room);
      return { east: room.east.slice(), normals: room.normals.slice() };
    };
    const limit = (8 * Math.PI) / 180;
    for (const sigma of [limit * 0.999, limit * 1.001]) {
      const { east, normals } = spread(sigma);
      for (let i = 0; i < 200; i++) {
        expect(Math.abs(east[i]! - 100 * Math.sin(1 + sigma * normals[2 * i]!))).toBeLessThan(
          100 * 1.6e-6,
        );
      }
    }
  });

  // The closed form takes the line as met on the heading aimed at; the walks turn it with each error. They agree within 1 %.
  it.each([
    ['demo', 20, 'right'],
    ['demo', 120, 'left'],
    ['needle', 90, 'right'],
    ['sighted', 300, 'left'],
  ] as const)('of %s aimed off onto a line at %d° to the %s find home', (name, line, side) => {
    const { solution } = solvedLog(walks[name]);
    const found = aimedOffHome(solution, line, side);
    const aim = found.ok ? found.value.aim! : expect.fail('the line does not serve');
    const walk = aimedWalk(solution, aim);
    for (const sightMetres of [1, 25]) {
      const home = { sightMetres, line: lineHome(aim) };
      const job = { walk, seed: 11, trials: 100_000, home, drawn: 0 };
      const { inSight, trials } = addedArrivals(runArrivals({ ...job, firstChunk: 0, chunks: 98 }));
      expect(Math.abs(inSight / trials - chanceByLine(aim, sightMetres))).toBeLessThan(0.01);
    }
    // Nineteen in twenty on each side of twice the aim: nine in ten in all, when home is seen from the line alone.
    expect(chanceByLine(aim, 0)).toBeCloseTo(0.9, 3);
  });

  it('of a heading along the line never meet it', () => {
    const walk = {
      bearing: Float64Array.of(0),
      length: Float64Array.of(100),
      alongSigma: Float64Array.of(0.1),
      acrossSigma: Float64Array.of(0),
    };
    const home = { sightMetres: 5, line: { azimuth: 0, mostMetres: 50 } };
    const job = { walk, seed: 1, trials: 1024, home, drawn: 0, firstChunk: 0, chunks: 1 };
    expect(addedArrivals(runArrivals(job)).inSight).toBe(0);
    const across = { ...home, line: { azimuth: Math.PI / 2, mostMetres: 50 } };
    expect(addedArrivals(runArrivals({ ...job, home: across })).inSight).toBe(1024);
  });

  it('of which a thousand are drawn lie as the ellipse has them', () => {
    const { solution } = solvedLog(walks.demo);
    const { east, north } = solution.traverse;
    const at = solution.current;
    const drawn = thousandArrivals(walkOf(solution, -east[at]!, -north[at]!));
    expect(drawn).toHaveLength(2000);
    const miss = missCovariance(solution, at, 0);
    let inside = 0;
    for (let i = 0; i < drawn.length; i += 2) {
      if (insideEllipse(miss, drawn[i]!, drawn[i + 1]!)) inside++;
    }
    // Nineteen in twenty of a thousand, give or take four times √(1000·0.95·0.05).
    expect(Math.abs(inside - 950)).toBeLessThan(28);
    // The ellipse's own tips: just inside is in, just outside is out.
    const { semiMajorMetres, azimuthDegrees } = ellipse(miss);
    const turn = (azimuthDegrees * Math.PI) / 180;
    for (const [share, expected] of [
      [0.999, true],
      [1.001, false],
    ] as const) {
      const reach = share * semiMajorMetres;
      expect(insideEllipse(miss, reach * Math.sin(turn), reach * Math.cos(turn))).toBe(expected);
    }
  });
});
