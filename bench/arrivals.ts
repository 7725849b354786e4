import { build } from 'esbuild';
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { Worker } from 'node:worker_threads';
import { CHUNK_TRIALS } from '../src/core/errors/random-walks';
import { launch } from '../scripts/browser.mjs';
import { benchWalk, type Times } from './arrivals-kernel';

/** What simulated walks cost, in Node and in Chromium, beside a plain way and the normals alone. */
const ROUNDS = 11;
const TRIALS = [100_000, 1_000_000] as const;

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Ratios are taken within a round: the machine's speed drifts more between rounds than in one. */
const over = (a: readonly number[], b: readonly number[]) =>
  median(a.map((time, round) => time / b[round]!));

function report(where: string, trials: number, times: Times) {
  const { ours, normalsAlone, plain } = times;
  const walks = `${where}, ${trials.toLocaleString('en')} walks of 13 legs`;
  const plainTimes = `${median(plain).toFixed(0)} ms (${over(plain, ours).toFixed(1)} times)`;
  const alone = `${median(normalsAlone).toFixed(0)} ms`;
  const ratio = `ours ${over(ours, normalsAlone).toFixed(2)} times`;
  console.log(
    `  ${walks}: ${median(ours).toFixed(0)} ms; plain ${plainTimes}; ` +
      `normals alone ${alone} (${ratio})`,
  );
}

console.log(`\nSimulated walks home, medians of ${ROUNDS} rounds in turns:`);
// Bundled like the app: the runner's own transform would slow the loops down.
const kernel = await build({
  entryPoints: ['bench/arrivals-kernel.ts'],
  bundle: true,
  write: false,
  format: 'iife',
  target: 'es2022',
});
const kernelText = kernel.outputFiles[0]!.text;
// In a process of its own: what this one loads to run TypeScript would slow the loops down.
for (const trials of TRIALS) {
  const alone = `${kernelText};arrivalsInTurns(${trials / 10}, 2);
process.stdout.write(JSON.stringify(arrivalsInTurns(${trials}, ${ROUNDS})));`;
  const { stdout } = await promisify(execFile)(process.execPath, ['-e', alone]);
  report('Node', trials, JSON.parse(stdout) as Times);
}

const worker = await build({
  stdin: {
    contents: `import { parentPort } from 'node:worker_threads';
import { runArrivals } from './src/workers/arrivals-run';
parentPort.on('message', (job) => parentPort.postMessage(runArrivals(job).length));`,
    resolveDir: process.cwd(),
    loader: 'ts',
  },
  bundle: true,
  write: false,
  format: 'cjs',
  platform: 'node',
  target: 'node20',
});

/** A million walks shared among workers that are running; milliseconds. */
async function shared(workers: readonly Worker[]): Promise<number> {
  const [trials, batch, chunks] = [1_000_000, 32, Math.ceil(1_000_000 / CHUNK_TRIALS)];
  const walk = benchWalk();
  let next = 0;
  const began = performance.now();
  await Promise.all(
    workers.map(async (each) => {
      while (next < chunks) {
        const firstChunk = next;
        next += batch;
        const job = {
          walk,
          seed: 1,
          firstChunk,
          chunks: batch,
          trials,
          home: { rangeMetres: 25 },
          drawn: 0,
        };
        await new Promise((resolve) => {
          each.once('message', resolve);
          each.postMessage(job);
        });
      }
    }),
  );
  return performance.now() - began;
}
const pool = [0, 1].map(() => new Worker(worker.outputFiles[0]!.text, { eval: true }));
await shared(pool);
const times: [number[], number[]] = [[], []];
for (let round = 0; round < ROUNDS; round++) {
  times[0].push(await shared(pool.slice(0, 1)));
  times[1].push(await shared(pool));
}
const [one, two] = times;
console.log(
  `  Node, 1,000,000 walks in workers: one ${median(one).toFixed(0)} ms, ` +
    `two ${median(two).toFixed(0)} ms (${over(one, two).toFixed(2)} times)`,
);
await Promise.all(pool.map((each) => each.terminate()));

const browser = await launch();
const page = await browser.newPage();
await page.evaluate(kernelText);
for (const trials of TRIALS) {
  await page.evaluate(`arrivalsInTurns(${trials / 10}, 2)`);
  const found = (await page.evaluate(`arrivalsInTurns(${trials}, ${ROUNDS})`)) as Times;
  report('Chromium', trials, found);
}
await browser.close();
