import { describe, expect, it } from 'vitest';
import { adjustNetwork } from '@/core/survey/network/adjust';
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
