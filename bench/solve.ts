import destination from '@turf/destination';
import { blankOuting, type Outing } from '../src/core/model/outing';
import { interpretLine } from '../src/core/log-text/interpret';
import { solve } from '../src/core/survey/solve';
import {
  computePoints,
  emptyTraverse,
  pointVariances,
} from '../src/core/survey/dead-reckoning/traverse';
import { uniform } from '../src/core/errors/random';
import { printed, rounds } from './rounds';

/**
 * The kernel and all of `solve` beside two yardsticks: a plain loop with one Math.sin and one
 * Math.cos for each leg, and a chain of a general geodesy library's destination calls (on a
 * sphere: not the same model).
 */
const LIBRARY_LIMIT = 100_000;

function walk(legs: number) {
  const next = uniform(legs);
  const bearings = Float64Array.from({ length: legs }, () => Math.floor(next() * 3600) / 10);
  const lengths = Float64Array.from({ length: legs }, () => 20 + Math.floor(next() * 200));
  return { bearings, lengths };
}

function outingOf({ bearings, lengths }: ReturnType<typeof walk>): Outing {
  const entries = Array.from(bearings, (value, i) => ({
    kind: 'leg' as const,
    bearing: { unit: 'degrees' as const, value, north: 'magnetic' as const },
    distance: { unit: 'paces' as const, value: lengths[i]! },
  }));
  return {
    ...blankOuting('bench'),
    entries: [{ kind: 'pace', unit: 'per-100-m', value: 65 }, ...entries],
  };
}

function columns({ bearings, lengths }: ReturnType<typeof walk>) {
  const legs = bearings.length;
  const traverse = { ...emptyTraverse(legs), legs };
  traverse.bearingDegrees.set(bearings, 1);
  traverse.lengthMetres.set(lengths, 1);
  traverse.alongVariance.fill(0.0025);
  traverse.acrossVariance.fill(0.0012);
  for (let k = 1; k <= legs; k++) traverse.from[k] = k - 1;
  return traverse;
}

const perLeg: number[] = [];
for (const legs of [10, 1000, 100_000, 1_000_000]) {
  const plan = walk(legs);
  const { bearings, lengths } = plan;
  const traverse = columns(plan);
  const outing = outingOf(plan);
  const xs = new Float64Array(legs + 1);
  const ys = new Float64Array(legs + 1);
  const reference = 'one Math.sin and Math.cos a leg (yardstick)';
  const ways: Record<string, () => unknown> = {
    [reference]: () => {
      let x = 0;
      let y = 0;
      for (let i = 0; i < legs; i++) {
        const b = (bearings[i]! * Math.PI) / 180;
        x += lengths[i]! * Math.sin(b);
        y += lengths[i]! * Math.cos(b);
        xs[i + 1] = x;
        ys[i + 1] = y;
      }
      return xs;
    },
    'kernel, with covariance': () => {
      computePoints(traverse);
      return pointVariances(traverse);
    },
    'solve, from outing to solution': () => solve(outing),
  };
  if (legs <= LIBRARY_LIMIT) {
    ways['library: destination calls on a sphere'] = () => {
      let at: number[] = [-63.5, 54.2];
      for (let i = 0; i < legs; i++) {
        const b = bearings[i]! > 180 ? bearings[i]! - 360 : bearings[i]!;
        at = destination(at, lengths[i]! / 1000, b).geometry.coordinates;
      }
      return at;
    };
  }
  const count = legs >= 1_000_000 ? 9 : legs >= 100_000 ? 21 : 61;
  console.log(
    `\n${legs.toLocaleString('en')} legs, median of ${count} interleaved rounds ` +
      '(quartiles as multiples):',
  );
  const timed = rounds(ways, count);
  printed(timed, reference, legs, 'a leg');
  const kernel = timed.find(({ name }) => name.startsWith('kernel'))!;
  perLeg.push(kernel.medianNanoseconds / legs);
}
const growth = (perLeg[3]! / perLeg[1]!).toFixed(2);
console.log(`\nkernel, cost of a leg at 1,000,000 over that at 1,000: ${growth}`);

/** A leg that is being typed, read and previewed at the end of a log of a given length. */
function typed(legs: number) {
  const solved = solve(outingOf(walk(legs)));
  if (!solved.ok) throw new Error('the walk can be solved');
  return () => {
    for (let i = 0; i < 1000; i++) interpretLine(`${i % 360} 65p`, solved.value);
  };
}
console.log('\none leg typed, by the length of the log (1,000 typed a run):');
const typing = rounds(
  {
    'to 1,000 legs': typed(1000),
    'to 100,000 legs': typed(100_000),
    'to 1,000,000 legs': typed(1_000_000),
  },
  31,
);
printed(typing, 'to 1,000 legs', 1000, 'a leg');
