import destination from '@turf/destination';
import { blankOuting, type Outing } from '../src/core/model/outing';
import { solve } from '../src/core/survey/solve';
import {
  appendLeg,
  emptyTraverse,
  setLeg,
  computePoints,
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
  const traverse = emptyTraverse(bearings.length);
  bearings.forEach((bearingDegrees, i) =>
    setLeg(traverse, i + 1, {
      from: i,
      bearingDegrees,
      lengthMetres: lengths[i]!,
      alongVariance: 0.0025,
      acrossVariance: 0.0012,
    }),
  );
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
    'kernel, with covariance': () => computePoints(traverse, 1, legs),
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

/** Appends a block of legs to a log of a given length. */
function appending(standing: number) {
  let traverse = { ...columns(walk(standing)), legs: standing };
  computePoints(traverse, 1, standing);
  return () => {
    const before = traverse;
    for (let i = 0; i < 1000; i++) {
      traverse = appendLeg(traverse, {
        from: traverse.legs,
        bearingDegrees: 220,
        lengthMetres: 100,
        alongVariance: 0.0025,
        acrossVariance: 0.0012,
      });
    }
    // The columns keep their capacity: the next round appends to the same log again.
    traverse = { ...traverse, legs: before.legs };
  };
}
console.log('\none leg appended, by the length of the log (1,000 appended a run):');
const appended = rounds(
  {
    'to 1,000 legs': appending(1000),
    'to 100,000 legs': appending(100_000),
    'to 1,000,000 legs': appending(1_000_000),
  },
  31,
);
printed(appended, 'to 1,000 legs', 1000, 'a leg');
