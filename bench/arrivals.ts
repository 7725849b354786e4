import { build } from 'esbuild';
import { Worker } from 'node:worker_threads';
import { CHUNK_TRIALS } from '../src/core/monte-carlo';
import { launch } from '../scripts/browser.mjs';
import { benchWalk, type inTurns } from './arrivals-kernel';

/** What many walks cost, in Node and in Chromium, beside the plain way and the normals alone. */
const ROUNDS = 7;
const TRIALS = [100_000, 1_000_000] as const;

const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

function report(where: string, trials: number, times: Record<string, number[]>) {
  const [ours, normals, plain] = ['ours', 'normalsAlone', 'plain'].map((name) =>
    median(times[name]!),
  );
  console.log(
    `  ${where}, ${trials.toLocaleString('en')} walks of 13 legs: ${ours!.toFixed(0)} ms; plain ${plain!.toFixed(0)} ms (${(plain! / ours!).toFixed(1)} times); normals alone ${normals!.toFixed(0)} ms (ours ${(ours! / normals!).toFixed(2)} times)`,
  );
}

console.log(`\nMany walks home, medians of ${ROUNDS} rounds in turns:`);
// Bundled as the app is: the runner's own transform would slow the loops down.
const kernel = await build({
  entryPoints: ['bench/arrivals-kernel.ts'],
  bundle: true,
  write: false,
  format: 'iife',
  target: 'es2022',
});
new Function(kernel.outputFiles[0]!.text)();
const { arrivalsInTurns } = globalThis as unknown as { arrivalsInTurns: typeof inTurns };
for (const trials of TRIALS) {
  arrivalsInTurns(trials / 10, 2);
  report('Node', trials, arrivalsInTurns(trials, ROUNDS));
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

/** A million walks shared among workers that stand ready; milliseconds. */
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
        const job = { walk, seed: 1, firstChunk, chunks: batch, trials, sightMetres: 25, drawn: 0 };
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
const [one, two] = times.map(median);
console.log(
  `  Node, 1,000,000 walks in workers: one ${one!.toFixed(0)} ms, two ${two!.toFixed(0)} ms (${(one! / two!).toFixed(2)} times)`,
);
await Promise.all(pool.map((each) => each.terminate()));

const browser = await launch();
const page = await browser.newPage();
await page.evaluate(kernel.outputFiles[0]!.text);
for (const trials of TRIALS) {
  await page.evaluate(`arrivalsInTurns(${trials / 10}, 2)`);
  const found = (await page.evaluate(`arrivalsInTurns(${trials}, ${ROUNDS})`)) as Record<
    string,
    number[]
  >;
  report('Chromium', trials, found);
}
await browser.close();
