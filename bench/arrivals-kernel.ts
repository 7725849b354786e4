import { ChunkBuffers, CHUNK_TRIALS, walkChunk, type Walk } from '../src/core/errors/random-walks';
import { NormalStream } from '../src/core/errors/ziggurat';

/** Simulated walks and what they are measured against, the same in Node and in Chromium. */

/** Twelve legs and the walk home. */
export function benchWalk(): Walk {
  const rows = 13;
  const column = () => new Float64Array(rows);
  const walk = {
    bearing: column(),
    length: column(),
    alongSigma: column(),
    acrossSigma: column(),
    sector: column(),
    // All legs share one compass and one length of pace, as those of most outings do.
    turn: new Int32Array(rows).fill(1),
    scale: new Int32Array(rows).fill(2),
    sharedSigma: Float64Array.of((1.5 * Math.PI) / 180, 0.04),
    mixtures: [Float64Array.of(1, 0), Float64Array.of(0, 1)],
  };
  let [x, y] = [0, 0];
  for (let row = 0; row < rows - 1; row++) {
    walk.bearing[row] = ((row * 37) % 360) * (Math.PI / 180);
    walk.length[row] = 80 + 5 * row;
    x += walk.length[row]! * Math.sin(walk.bearing[row]!);
    y += walk.length[row]! * Math.cos(walk.bearing[row]!);
  }
  walk.bearing[rows - 1] = Math.atan2(-x, -y);
  walk.length[rows - 1] = Math.hypot(x, y);
  walk.alongSigma.fill(0.03);
  walk.acrossSigma.fill((2 * Math.PI) / 180);
  return walk;
}

const chunksOf = (trials: number) => Math.ceil(trials / CHUNK_TRIALS);

/** Ours, on this thread. */
export function ours(walk: Walk, trials: number): number {
  const buffers = new ChunkBuffers();
  let sum = 0;
  for (let chunk = 0; chunk < chunksOf(trials); chunk++) {
    walkChunk(walk, 1, chunk, buffers);
    sum += buffers.east[0]!;
  }
  return sum;
}

/** The yardstick: the same normals, and nothing done with them. */
export function normalsAlone(walk: Walk, trials: number): number {
  const buffers = new ChunkBuffers();
  let sum = 0;
  for (let chunk = 0; chunk < chunksOf(trials); chunk++) {
    const stream = new NormalStream(1, chunk);
    for (let row = 0; row < walk.length.length; row++) {
      stream.fill(buffers.normals);
    }
    sum += buffers.normals[0]!;
  }
  return sum;
}

/** A standard normal the simple way: Box and Muller, with two new uniforms for each. */
const plainNormal = () =>
  Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());

/** The plain way: an object for each draw, full functions for each leg of each walk. */
export function plain(walk: Walk, trials: number): number {
  const legs = Array.from(walk.length, (length, row) => ({
    bearing: walk.bearing[row]!,
    length,
    alongSigma: walk.alongSigma[row]!,
    acrossSigma: walk.acrossSigma[row]!,
  }));
  let sum = 0;
  const [compass = 0, pace = 0] = walk.sharedSigma;
  for (let trial = 0; trial < trials; trial++) {
    let at = { x: 0, y: 0 };
    const shared = { turn: compass * plainNormal(), scale: pace * plainNormal() };
    for (const leg of legs) {
      const error = { along: plainNormal(), across: plainNormal() };
      const length = leg.length * (1 + leg.alongSigma * error.along + shared.scale);
      const angle = leg.bearing + leg.acrossSigma * error.across + shared.turn;
      at = { x: at.x + length * Math.sin(angle), y: at.y + length * Math.cos(angle) };
    }
    sum += at.x;
  }
  return sum;
}

export type Times = Record<'ours' | 'normalsAlone' | 'plain', number[]>;

/** Milliseconds of each, in turns, so that a busy moment affects all alike. */
function inTurns(trials: number, rounds: number): Times {
  const walk = benchWalk();
  const contenders = { ours, normalsAlone, plain };
  const times: Times = { ours: [], normalsAlone: [], plain: [] };
  for (let round = 0; round < rounds; round++) {
    for (const name of ['ours', 'normalsAlone', 'plain'] as const) {
      const began = performance.now();
      contenders[name](walk, trials);
      times[name].push(performance.now() - began);
    }
  }
  return times;
}

(globalThis as unknown as { arrivalsInTurns: typeof inTurns }).arrivalsInTurns = inTurns;
