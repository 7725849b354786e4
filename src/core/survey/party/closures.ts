import type { Metres } from '../../units/units';
import { lengthOf, type PlanePoint } from '../../units/plane';
import { adjustNetwork, type Adjusted } from '../network/adjust';
import type { Network } from '../network/readings';
import { Joined } from './components';
import type { LineSource, Party } from './party';
import { nth } from '../../units/nth';

/** A leg that ends at a place that another way led to: where it ended, less that place. */
export interface SurveyClosure {
  readonly source: LineSource;
  readonly node: number;
  readonly misclosure: PlanePoint;
  readonly metres: Metres;
  /** The misclosure over all that the outing had walked until then. */
  readonly ofWalked: number;
}

/** How many of the nodes are stations: landmarks come after them. */
export const stationsOf = ({ nodes, landmarks = 0 }: Network): number => nodes - landmarks;

/** Some of the lines of a network, between its stations. */
export const partOf = (network: Network, indices: readonly number[]): Network => ({
  nodes: stationsOf(network),
  lines: indices.map((index) => nth(network.lines, index)),
  sources: network.sources,
  locals: network.locals,
});

/** The lines by which each place is first come to, in the order of the logs; and the others. */
export function treeOf({ nodes, lines }: Network): { tree: number[]; closing: number[] } {
  const joined = new Joined(nodes);
  const tree: number[] = [];
  const closing: number[] = [];
  for (const [index, { from, to, alongVariance }] of lines.entries()) {
    const isSighting = alongVariance === Infinity;
    (!isSighting && joined.join(from, to) ? tree : closing).push(index);
  }
  return { tree, closing };
}

/** The legs that close a loop, as walked, in the order of the logs. */
export function closuresOf(party: Party): SurveyClosure[] {
  const { tree, closing } = treeOf(party.network);
  return closuresBy(party, closing, asRead(partOf(party.network, tree)));
}

/** The adjustment of lines that lie as they were read. */
export const asRead = (network: Network): Adjusted =>
  adjustNetwork(network, undefined, { mostRounds: 1 });

export function closuresBy(
  { network, sources, members }: Party,
  closing: readonly number[],
  { places }: Adjusted,
): SurveyClosure[] {
  const walked = members.map(() => 0);
  const closes = new Set(closing);
  const found: SurveyClosure[] = [];
  for (const [index, source] of sources.entries()) {
    if (source.leg === null) continue;
    const { from, to, bearing, metres } = nth(network.lines, index);
    walked[source.outing]! += metres;
    if (!closes.has(index)) continue;
    const misclosure = {
      east: nth(places, 2 * from) + metres * Math.sin(bearing) - nth(places, 2 * to),
      north: nth(places, 2 * from + 1) + metres * Math.cos(bearing) - nth(places, 2 * to + 1),
    };
    const off = lengthOf(misclosure);
    const ofWalked = off / nth(walked, source.outing);
    found.push({ source, node: to, misclosure, metres: off, ofWalked });
  }
  return found;
}
