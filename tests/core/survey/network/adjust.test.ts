import { describe, expect, it } from 'vitest';
import { likelihood, takenOut } from '@/core/survey/blunder/taken-out';
import { squareAfter } from '@/core/survey/blunder/mended';
import { checkedLines } from '@/core/survey/party/checked';
import { covarianceBetween } from '@/core/survey/party/survey';
import { SurveyPlaces } from '@/core/survey/party/survey-places';
import { adjustNetwork, orderOf } from '@/core/survey/network/adjust';
import { atLeast } from '@/core/survey/network/chi-square';
import { lineCovariances } from '@/core/survey/network/line-covariances';
import { eliminationOrder } from '@/core/survey/network/ordering';
import type { Network, NetworkLine } from '@/core/survey/network/readings';
import { denseAdjustment } from '../../../support/survey/dense-adjustment';
import { randomSource } from '../../../support/walks/random-source';

const RAD = Math.PI / 180;
const SOURCES: Network['sources'] = [
  { source: 'compass', key: 'compass', about: '', of: 'bearing', sigma: 1.5 * RAD },
  { source: 'pace-length', key: 'pace', about: '', of: 'distance', sigma: 0.04 },
];

/** A walk over some stations with extra legs between them, all read with errors. */
function network(seed: number, nodes: number, extra: number): Network {
  const { uniform, normal } = randomSource(seed);
  const places = [{ east: 0, north: 0 }];
  const lines: NetworkLine[] = [];
  const add = (from: number, to: number) => {
    const [a, b] = [places[from]!, places[to]!];
    const [east, north] = [b.east - a.east, b.north - a.north];
    lines.push({
      from,
      to,
      bearing: Math.atan2(east, north) + 2 * RAD * normal(),
      metres: Math.hypot(east, north) * (1 + 0.05 * normal()),
      alongVariance: 0.05 ** 2,
      acrossVariance: (2 * RAD) ** 2,
      shared: [
        { source: 0, share: 1 },
        { source: 1, share: uniform() < 0.7 ? 1 : 0.5 },
      ],
    });
  };
  for (let to = 1; to < nodes; to++) {
    const from = uniform() < 0.8 ? to - 1 : Math.floor(uniform() * to);
    const { east, north } = places[from]!;
    const [turn, metres] = [360 * RAD * uniform(), 100 + 200 * uniform()];
    places.push({ east: east + metres * Math.sin(turn), north: north + metres * Math.cos(turn) });
    add(from, to);
  }
  while (lines.length < nodes - 1 + extra) {
    const [from, to] = [Math.floor(uniform() * nodes), Math.floor(uniform() * nodes)];
    if (from !== to) add(from, to);
  }
  return { nodes, lines, sources: SOURCES };
}

describe('the adjustment of a network', () => {
  it.each([
    [1, 5, 1],
    [2, 9, 3],
    [3, 16, 6],
    [4, 12, 12],
  ])('agrees with a dense solver (%i: %i nodes, %i loops)', (seed, nodes, extra) => {
    const read = network(seed, nodes, extra);
    const dense = denseAdjustment(read);
    const found = adjustNetwork(read);
    for (const [i, value] of found.places.entries()) expect(value).toBeCloseTo(dense.places[i]!, 3);
    expect(found.chiSquare).toBeCloseTo(dense.chiSquare, 4);
    expect(found.redundancy).toBe(2 * extra);
    // Each node against the origin, and two nodes against each other, by all errors together.
    const count = SOURCES.length;
    const covarianceOf = (row: number, column: number) => {
      const own = found.factor.between(0, row >> 1);
      let sum = row === column ? (row & 1 ? own.yy : own.xx) : own.xy;
      for (let i = 0; i < count; i++) {
        for (let j = 0; j < count; j++) {
          sum +=
            found.effects[row * count + i]! *
            found.shared.covariance[i * count + j]! *
            found.effects[column * count + j]!;
        }
      }
      return sum;
    };
    for (let node = 1; node < nodes; node++) {
      for (const [a, b] of [
        [0, 0],
        [0, 1],
        [1, 1],
      ] as const) {
        const expected = dense.covariance.get(2 * node - 2 + a, 2 * node - 2 + b);
        const value = covarianceOf(2 * node + a, 2 * node + b);
        expect(Math.abs(value - expected)).toBeLessThan(1e-3 * (1 + Math.abs(expected)));
      }
    }
  });

  it('tells the covariance along every line as between its ends', () => {
    const read = network(7, 40, 15);
    const { factor } = adjustNetwork(read);
    for (const [i, found] of lineCovariances(factor, read.lines).entries()) {
      const expected = factor.between(read.lines[i]!.from, read.lines[i]!.to);
      expect(found.xx).toBeCloseTo(expected.xx, 6);
      expect(found.xy).toBeCloseTo(expected.xy, 6);
      expect(found.yy).toBeCloseTo(expected.yy, 6);
    }
  });

  it('eliminates chains first, so that a long walk with loops stays narrow', () => {
    const chain = Array.from({ length: 5000 }, (_, i) => [i, i + 1] as const);
    const loops = Array.from({ length: 300 }, (_, i) => [16 * i, 16 * i + 9] as const);
    const { order, widest } = eliminationOrder(5001, [...chain, ...loops]);
    expect(new Set(order).size).toBe(5000);
    expect(widest).toBeLessThanOrEqual(3);
  });

  it('stops when it is told to', () => {
    const cancelled = () => {
      throw new Error('enough');
    };
    expect(() => adjustNetwork(network(1, 5, 1), undefined, { onRound: cancelled })).toThrow(
      'enough',
    );
  });
});

// Percentiles of chi-square as handbooks print them (W. Mendenhall, tables; memory), and the closed
// form for an even number of degrees of freedom.
describe('chi-square', () => {
  it.each([
    [6.635, 1, 0.01],
    [9.21, 2, 0.01],
    [15.507, 8, 0.05],
    [23.209, 10, 0.01],
    [124.342, 100, 0.05],
  ])('%f with %i degrees of freedom is reached with %f', (value, degreesOfFreedom, chance) => {
    expect(atLeast(value, degreesOfFreedom)).toBeCloseTo(chance, 4);
  });

  it('is an exponential with two degrees of freedom', () => {
    for (const value of [0.1, 1, 5, 20])
      expect(atLeast(value, 2)).toBeCloseTo(Math.exp(-value / 2), 10);
  });
});

describe('an error of one node alone', () => {
  /** A walk with a back bearing for each leg, whose readings at each node have iron in common. */
  function withIron(seed: number, nodes: number): Network {
    const read = network(seed, nodes, 2);
    const { normal } = randomSource(seed + 100);
    const locals = Array.from({ length: nodes }, (_, node) => ({
      node,
      error: {
        source: 'iron' as const,
        key: `iron ${node}`,
        about: '',
        of: 'bearing' as const,
        sigma: 10 * RAD,
      },
    }));
    const lines = read.lines.flatMap((line): NetworkLine[] => [
      { ...line, local: line.from },
      {
        ...line,
        from: line.to,
        to: line.from,
        bearing: line.bearing + Math.PI + 6 * RAD * normal(),
        alongVariance: Infinity,
        shared: [{ source: 0, share: 1 }],
        local: line.to,
      },
    ]);
    return { ...read, lines, locals };
  }
  /** The same as an error that all readings could share, which is how a dense solver takes it. */
  function asShared({ locals = [], ...rest }: Network): Network {
    const lines = rest.lines.map(({ local, ...line }) => ({
      ...line,
      shared: [...line.shared, { source: SOURCES.length + local!, share: 1 }],
    }));
    return { ...rest, lines, sources: [...SOURCES, ...locals.map(({ error }) => error)] };
  }

  it.each([1, 2, 3])('is solved as one that is shared by them all (seed %i)', (seed) => {
    const read = withIron(seed, 8);
    const [local, shared] = [adjustNetwork(read), adjustNetwork(asShared(read))];
    expect(local.chiSquare).toBeCloseTo(shared.chiSquare, 5);
    expect(local.redundancy).toBe(shared.redundancy);
    for (const [row, place] of shared.places.entries()) {
      expect(local.places[row]).toBeCloseTo(place, 2);
    }
    for (const node of read.locals!.keys()) {
      expect(local.locals[node]).toBeCloseTo(shared.shared.values[SOURCES.length + node]!, 5);
    }
    // What other readings say of each line, by which slips are weighed.
    const [one, other] = [checkedLines(local), checkedLines(shared)];
    const slip = { bearingDegrees: 40, metres: 130, suggested: null, says: '' };
    for (const [line, check] of one.entries()) {
      for (const axis of ['xx', 'xy', 'yy'] as const) {
        expect(check.after[axis]).toBeCloseTo(other[line]!.after[axis], 2);
      }
      expect(check.redundancy).toBeCloseTo(other[line]!.redundancy, 4);
      const outs = [takenOut(local, line, check), takenOut(shared, line, other[line]!)];
      expect(outs[0] === null).toBe(outs[1] === null);
      if (!outs[0] || !outs[1] || read.lines[line]!.alongVariance === Infinity) continue;
      const likely = likelihood(outs[0], local, line, slip);
      expect(likely.log).toBeCloseTo(likelihood(outs[1], shared, line, slip).log, 3);
      const changes = [{ line, instead: slip }];
      expect(squareAfter(local, changes)).toBeCloseTo(squareAfter(shared, changes), 2);
    }
    // And between any two places.
    const at = { frame: {} as never };
    const places = [new SurveyPlaces(at.frame, local), new SurveyPlaces(at.frame, shared)] as const;
    const spread = places.map((each) => covarianceBetween(each, 2, 6));
    expect(spread[0]!.xx).toBeCloseTo(spread[1]!.xx, 3);
    expect(spread[0]!.xy).toBeCloseTo(spread[1]!.xy, 3);
    expect(spread[0]!.yy).toBeCloseTo(spread[1]!.yy, 3);
  });

  it('costs as much as one node more, so that a log of them grows like any other', () => {
    const widest = (nodes: number) => orderOf(withIron(1, nodes)).widest;
    expect(widest(400)).toBeLessThanOrEqual(widest(40) + 4);
    expect(adjustNetwork(withIron(1, 40)).shared.values).toHaveLength(SOURCES.length);
  });
});
