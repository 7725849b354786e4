import { USUAL_FIGURES } from '@/core/units/figures';
import { mean, sum } from 'd3-array';
import { warningsOf } from '@/core/checks';
import { faultMessage } from '@/core/faults/messages';
import { logbookOf } from '@/core/model/logbook';
import { earthModels } from '@/core/north/loaded-earth-models';
import { solve } from '@/core/survey/solve';
import { FORMATS } from '@/formats';
import { readFile, readText } from '@/formats/import/read-file';
import { walkedLayer } from '@/sketch/layers/walked';
import type { WorstInput } from './worst-inputs';

/** How many times the first size is measured: in the bench more finely than in a test. */
export const COARSE = [1, 4];
export const FINE = [1, 2, 4, 8];

/** Reads a file, and does with what is read all that the app does without being asked. */
export async function processed(content: string | Uint8Array): Promise<void> {
  const choices = { toleranceMetres: 5, mapping: null, today: '2026-11-23', newId: newId() };
  const read =
    typeof content === 'string'
      ? readText('x', content, earthModels, choices)
      : await readFile('x', content, earthModels, choices);
  if (!read.ok) {
    read.fault.faults.forEach(({ fault }) => faultMessage(fault));
    return;
  }
  for (const outing of read.value.outings) {
    const solved = solve(outing, earthModels);
    if (!solved.ok) throw new Error('what was read can be solved');
    warningsOf(solved.value, USUAL_FIGURES);
    walkedLayer(solved.value, USUAL_FIGURES);
  }
  const book = logbookOf([...read.value.outings], '2026-08-14T09:40:00.000Z');
  for (const format of FORMATS.values()) format.write(book, earthModels);
}

function newId() {
  let next = 0;
  return () => `id-${next++}`;
}

/** Processor time of this process in milliseconds: what other programs do hardly adds to it. */
const processorMs = () => {
  const { user, system } = globalThis.process.cpuUsage();
  return (user + system) / 1000;
};

/** The least of some rounds: what else the machine does only adds. */
async function leastTime(run: Run, content: string | Uint8Array, rounds: number): Promise<number> {
  let least = Infinity;
  for (let round = 0; round < rounds; round++) {
    const began = processorMs();
    await run(content);
    least = Math.min(least, processorMs() - began);
  }
  // The clock of the processor has steps; less than one is as good as one.
  return Math.max(1, least);
}

type Run = (content: string | Uint8Array) => Promise<void>;

/** Times at so many times the first size, and the exponent that fits them best. */
export async function growthOf(
  { make, from }: WorstInput,
  sizes: readonly number[],
  rounds = 2,
  run: Run = processed,
) {
  await run(make(from));
  const milliseconds: number[] = [];
  for (const size of sizes) milliseconds.push(await leastTime(run, make(from * size), rounds));
  return { milliseconds, exponent: exponentOf(sizes, milliseconds) };
}

/** The exponent of size that fits times best, by least squares of the logarithms. */
export function exponentOf(sizes: readonly number[], times: readonly number[]): number {
  const [x, y] = [sizes.map(Math.log), times.map(Math.log)];
  const [mx, my] = [mean(x)!, mean(y)!];
  return sum(x, (each, i) => (each - mx) * (y[i]! - my)) / sum(x, (each) => (each - mx) ** 2);
}
