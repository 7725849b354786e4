import { describe, expect, it } from 'vitest';
import { chunkArrivals, sumArrivals, thousandArrivals } from '@/core/errors/arrivals';
import { detectionChance } from '@/core/errors/detection';
import { isInsideEllipse } from '@/core/errors/ellipse';
import { CHUNK_TRIALS, ChunkBuffers, walkChunk, type Walk } from '@/core/errors/random-walks';
import { detectionAlongLine } from '@/core/navigation/ways/aim-off';
import { positionError } from '@/core/navigation/position-error';
import {
  aimOffWalk,
  lineHome,
  searchForHome,
  straightWalk,
  walkBy,
  walkOf,
} from '@/core/navigation/simulated-walk';
import {
  aimOffHome,
  retraceLegs,
  straightHome,
  viaStation,
} from '@/core/navigation/ways/ways-home';
import { azimuthOf } from '@/core/units/plane';
import { searcherErrors, searchPattern } from '@/core/navigation/search-pattern';
import { runArrivals } from '@/workers/arrivals-run';
import { solvedLog } from '../../support/outings';
import { logOf, NAMED_OUTINGS } from '../../support/walks/outings';

const walks = {
  demo: 'aim landmark\n112 200m\n084 146m\n061 246m\n338 185m\n015 115m\n301 169m',
  needle: 'aim needle\npace 65 per 100 m spread 8%\n200 500p\n120 300p\n020 200p',
  sighted: 'aim sighted\n000 1km\n090 1km',
};

const oneLeg = (bearing: number, metres: number, along: number, across: number): Walk => ({
  bearing: Float64Array.of(bearing),
  length: Float64Array.of(metres),
  alongSigma: Float64Array.of(along),
  acrossSigma: Float64Array.of(across),
  sector: Float64Array.of(0),
  turn: Int32Array.of(0),
  scale: Int32Array.of(0),
  sharedSigma: Float64Array.of(),
  mixtures: [],
});

describe('simulated walks', () => {
  // The same sources as the closed form, shared ones once a walk: the same thing twice.
  it.each(NAMED_OUTINGS.map((outing) => [outing.name, outing] as const))(
    '%s: agree with the closed form within 3 %%',
    (name, outing) => {
      const { solution } = solvedLog(logOf(outing));
      const error = positionError(solution, solution.current, 0);
      const job = { walk: straightWalk(solution), seed: 5, drawn: 0, home: { rangeMetres: 25 } };
      const sum = sumArrivals(runArrivals({ ...job, trials: 1e5, firstChunk: 0, chunks: 98 }));
      const mean = { east: sum.sumEast / sum.trials, north: sum.sumNorth / sum.trials };
      const spread =
        (sum.sumEastEast + sum.sumNorthNorth) / sum.trials -
        (outing.legs.some(({ written }) => /^[NESW]+$/.test(written))
          ? 0
          : mean.east ** 2 + mean.north ** 2);
      const ratio = spread / (error.xx + error.yy);
      // Over the sector of a compass point the closed form is the linear one: a little larger.
      expect(ratio).toBeGreaterThan(name === 'by four winds' ? 0.85 : 0.97);
      expect(ratio).toBeLessThan(1.03);
    },
  );

  it.each(Object.entries(walks))('of %s agree with the formula within 2 %%', (_name, text) => {
    const { solution } = solvedLog(text);
    const walk = straightWalk(solution);
    const buffers = new ChunkBuffers();
    const chunks = 120;
    const sight = 25;
    const parts = Array.from({ length: chunks }, (_, chunk) => {
      walkChunk(walk, 7, chunk, buffers);
      return chunkArrivals(walk, buffers, CHUNK_TRIALS, { rangeMetres: sight }, 0);
    });
    const { trials, detected, sumEast, sumEastEast, sumNorthNorth, sumNorth, sumEastNorth } =
      sumArrivals(parts);
    const error = positionError(solution, solution.current, 0);
    const [me, mn] = [sumEast / trials, sumNorth / trials];
    expect(Math.abs((sumEastEast / trials - me * me) / error.xx - 1)).toBeLessThan(0.02);
    expect(Math.abs((sumNorthNorth / trials - mn * mn) / error.yy - 1)).toBeLessThan(0.02);
    const scale = Math.sqrt(error.xx * error.yy);
    expect(Math.abs((sumEastNorth / trials - me * mn - error.xy) / scale)).toBeLessThan(0.02);
    expect(Math.abs(detected / trials - detectionChance(error, sight))).toBeLessThan(0.02);
  });

  it('are the same to the bit however the chunks are shared out, as many as wanted', () => {
    const { solution } = solvedLog(walks.demo);
    const walk = walkOf(solution, { east: -300, north: 20 });
    const job = { walk, seed: 3, trials: 10_000, home: { rangeMetres: 25 }, drawn: 5 };
    const whole = runArrivals({ ...job, firstChunk: 0, chunks: 12 });
    const shared = [
      ...runArrivals({ ...job, firstChunk: 0, chunks: 1 }),
      ...runArrivals({ ...job, firstChunk: 1, chunks: 11 }),
    ];
    expect(shared).toEqual(whole);
    const sum = sumArrivals(whole);
    expect(sum.trials).toBe(10_000);
    expect(sum.drawn).toHaveLength(100);
    // What goes to a worker and back is what was sent.
    expect(structuredClone(sum)).toEqual(sum);
    expect(structuredClone(walk)).toEqual(walk);
  });

  it('of a large sigma use the full functions, with the same result as the polynomial', () => {
    const bare = (sigma: number) => oneLeg(1, 100, 0, sigma);
    const buffers = new ChunkBuffers();
    const spread = (sigma: number) => {
      walkChunk(bare(sigma), 1, 0, buffers);
      return { east: buffers.east.slice(), normals: buffers.normals.slice() };
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

  // The formula meets the line on the heading aimed at, the walks on the one walked: within 1 %.
  it.each([
    ['demo', 20, 'right'],
    ['demo', 120, 'left'],
    ['needle', 90, 'right'],
    ['sighted', 300, 'left'],
  ] as const)('of %s, aiming off onto a line at %d° to the %s, find home', (name, line, side) => {
    const { solution } = solvedLog(walks[name]);
    const found = aimOffHome(solution, line, side);
    const aim = found.ok ? found.value.aim! : expect.fail('this line can be used');
    const walk = aimOffWalk(solution, aim);
    for (const rangeMetres of [1, 25]) {
      const home = { rangeMetres, line: lineHome(aim) };
      const job = { walk, seed: 11, trials: 100_000, home, drawn: 0 };
      const { detected, trials } = sumArrivals(runArrivals({ ...job, firstChunk: 0, chunks: 98 }));
      const chance = detectionAlongLine(solution, solution.current, 0, aim, rangeMetres);
      expect(Math.abs(detected / trials - chance)).toBeLessThan(0.01);
    }
    // 95 % on the side of home; at right angles about as many before twice the aim, 90 % in all.
    const fromLine = detectionAlongLine(solution, solution.current, 0, aim, 0);
    expect(fromLine).toBeGreaterThan(0.85);
    expect(fromLine).toBeLessThan(0.95);
  });

  it('by another way, and with a search after it, agree with what the formulas say', () => {
    const { solution } = solvedLog(walks.needle);
    const errors = searcherErrors(solution);
    const heading = azimuthOf(solution.places.relative(solution.current, 0));
    for (const way of [straightHome(solution), retraceLegs(solution), viaStation(solution, 1)]) {
      const legs = searchPattern('square', way.positionError, 25, heading, errors);
      const home = { rangeMetres: 25, search: searchForHome(legs, errors) };
      const walk = walkBy(solution, way);
      const job = { walk, seed: 9, trials: 50_000, home, drawn: 0, firstChunk: 0, chunks: 49 };
      const { trials, detected, searched } = sumArrivals(runArrivals(job));
      const chance = detectionChance(way.positionError, 25);
      expect(Math.abs(detected / trials - chance)).toBeLessThan(0.01);
      const found = legs.at(-1)!.found;
      expect(Math.abs(searched / (trials - detected) - found)).toBeLessThan(0.02);
    }
  });

  it('on a heading along the line never meet it', () => {
    const walk = oneLeg(0, 100, 0.1, 0);
    const home = { rangeMetres: 5, line: { azimuth: 0, mostMetres: 50 } };
    const job = { walk, seed: 1, trials: 1024, home, drawn: 0, firstChunk: 0, chunks: 1 };
    expect(sumArrivals(runArrivals(job)).detected).toBe(0);
    const across = { ...home, line: { azimuth: Math.PI / 2, mostMetres: 50 } };
    expect(sumArrivals(runArrivals({ ...job, home: across })).detected).toBe(1024);
  });

  it('a thousand of them lie inside the 95 % ellipse as often as they should', () => {
    const { solution } = solvedLog(walks.demo);
    const drawn = thousandArrivals(straightWalk(solution));
    expect(drawn).toHaveLength(2000);
    const error = positionError(solution, solution.current, 0);
    let inside = 0;
    for (let i = 0; i < drawn.length; i += 2) {
      if (isInsideEllipse(error, { east: drawn[i]!, north: drawn[i + 1]! })) inside++;
    }
    // 950 of 1,000, give or take four times √(1000·0.95·0.05).
    expect(Math.abs(inside - 950)).toBeLessThan(28);
  });
});
