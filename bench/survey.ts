import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { readLog } from '../src/core/log-text/read-log';
import { adjustNetwork, orderOf } from '../src/core/survey/network/adjust';
import type { Network, NetworkLine } from '../src/core/survey/network/readings';
import { joinOutings } from '../src/core/survey/party/party';
import { suspects } from '../src/core/survey/blunder/suspects';
import { survey } from '../src/core/survey/party/survey';

/**
 * The adjustment of a survey: against normal equations that a matrix library assembles and solves
 * by a dense Cholesky, in the same run; and how it grows.
 */
const RAD = Math.PI / 180;

let state = 7;
const uniform = () => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 2 ** 32;
};
const spread = () => uniform() + uniform() + uniform() - 1.5;

/** A walk of so many legs, with loops between stations near each other or anywhere. */
function walk(nodes: number, loops: number, near: boolean): Network {
  const places = [{ east: 0, north: 0 }];
  const lines: NetworkLine[] = [];
  const add = (from: number, to: number) => {
    const [a, b] = [places[from]!, places[to]!];
    const [east, north] = [b.east - a.east, b.north - a.north];
    lines.push({
      from,
      to,
      bearing: Math.atan2(east, north) + 4 * RAD * spread(),
      metres: Math.hypot(east, north) * (1 + 0.1 * spread()),
      alongVariance: 0.05 ** 2,
      acrossVariance: (2 * RAD) ** 2,
      shared: [
        { source: 0, share: 1 },
        { source: 1, share: 1 },
      ],
    });
  };
  for (let to = 1; to < nodes; to++) {
    const { east, north } = places[to - 1]!;
    const turn = 360 * RAD * uniform();
    places.push({ east: east + 150 * Math.sin(turn), north: north + 150 * Math.cos(turn) });
    add(to - 1, to);
  }
  for (let loop = 0; loop < loops; loop++) {
    const from = Math.floor(uniform() * nodes);
    const to = near
      ? Math.min(nodes - 1, from + 2 + Math.floor(uniform() * 18))
      : Math.floor(uniform() * nodes);
    if (from !== to) add(from, to);
  }
  const sources: Network['sources'] = [
    { source: 'compass', key: 'compass', about: '', of: 'bearing', sigma: 1.5 * RAD },
    { source: 'pace-length', key: 'pace', about: '', of: 'distance', sigma: 0.04 },
  ];
  return { nodes, lines, sources };
}

/** One round by a dense library: rows of A, each times the root of its weight; A'A; Cholesky. */
function denseRound({ nodes, lines, sources }: Network): number {
  const unknowns = 2 * (nodes - 1) + sources.length;
  const a = Matrix.zeros(2 * lines.length + sources.length, unknowns);
  const right = Matrix.zeros(2 * lines.length + sources.length, 1);
  for (const [i, line] of lines.entries()) {
    const [sin, cos] = [Math.sin(line.bearing), Math.cos(line.bearing)];
    // Turned into the line's own directions, so that its weight is diagonal.
    const directions = [
      [sin, cos, line.alongVariance, line.metres],
      [cos, -sin, line.acrossVariance, 0],
    ] as const;
    for (const [row, [east, north, variance, value]] of directions.entries()) {
      const at = 2 * i + row;
      const root = 1 / (Math.sqrt(variance) * line.metres);
      for (const [node, sign] of [
        [line.to, root],
        [line.from, -root],
      ] as const) {
        if (node === 0) continue;
        a.set(at, 2 * (node - 1), sign * east);
        a.set(at, 2 * (node - 1) + 1, sign * north);
      }
      a.set(at, unknowns - 2 + (1 - row), -root * line.metres);
      right.set(at, 0, root * value);
    }
  }
  for (const [k, { sigma }] of sources.entries()) {
    a.set(2 * lines.length + k, unknowns - 2 + k, 1 / sigma);
  }
  const transposed = a.transpose();
  const solution = new CholeskyDecomposition(transposed.mmul(a)).solve(transposed.mmul(right));
  return solution.get(0, 0);
}

/** The median of some runs, in milliseconds, after one to warm up. */
function median(runs: number, action: () => unknown): number {
  action();
  const times = Array.from({ length: runs }, () => {
    const began = performance.now();
    action();
    return performance.now() - began;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

const loopLog = (legs: number) =>
  [
    'start A',
    'pace 65 per 100 m',
    ...Array.from(
      { length: legs },
      (_, i) =>
        `${String(Math.round((360 / legs) * i)).padStart(3, '0')} ${100 + (i % 7)}p` +
        (i === legs - 1 ? ' > A' : ''),
    ),
  ].join('\n');
const partyOf = (log: string) => {
  const read = readLog(log, 'bench', null);
  if (!read.ok) throw new Error('the log can be read');
  const party = joinOutings([{ solution: read.value.solution, by: '' }], []);
  if (!party.ok) throw new Error('one outing is a survey');
  return party.value;
};

console.log('Adjusting a survey (milliseconds, median)');
const small = partyOf(loopLog(14));
console.log(`14 legs and a loop: ${median(400, () => survey(small, 'least-squares')).toFixed(2)}`);
const open = partyOf(loopLog(14).replace(' > A', ''));
console.log(`14 legs, no loop: ${median(400, () => survey(open, 'least-squares')).toFixed(2)}`);
const forty = partyOf(loopLog(40).replace('135 ', '315 '));
console.log(`all slips of a loop of 40 legs: ${median(40, () => suspects(forty)).toFixed(1)}`);

console.log('\n500 stations, one round, beside a dense Cholesky of the matrix library (ml-matrix)');
for (const near of [true, false]) {
  const read = walk(500, 60, near);
  const order = orderOf(read);
  const ours = median(60, () => adjustNetwork(read, order, { mostRounds: 1 }));
  const dense = median(1, () => denseRound(read));
  console.log(
    `${near ? 'short loops ' : 'random loops'} ${ours.toFixed(2)}  dense ${dense.toFixed(0)}  ` +
      `${(dense / ours).toFixed(0)} times faster; settled in ` +
      `${median(10, () => adjustNetwork(read)).toFixed(1)} with its order`,
  );
}

console.log('\n10,000 legs');
for (const [loops, near] of [
  [1000, true],
  [300, false],
  [600, false],
] as const) {
  const read = walk(10_000, loops, near);
  const began = performance.now();
  let rounds = 0;
  const { factor } = adjustNetwork(read, undefined, { onRound: (round) => (rounds = round) });
  const seconds = (performance.now() - began) / 1000;
  console.log(
    `${loops} loops ${near ? 'between neighbours' : 'anywhere'}: ${seconds.toFixed(2)} s in ` +
      `${rounds} rounds; at most ${factor.elimination.widest} stations hang together`,
  );
}
