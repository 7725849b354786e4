import type { Covariance } from '../../errors/covariance';
import { Factor } from './factor';
import { eliminationOrder, type Elimination } from './ordering';
import { solveShared, type SharedPosterior } from './posterior';
import { LEAST_VARIANCE, type Network, type NetworkLine } from './readings';

/**
 * The adjustment of a network by least squares.
 *
 * | symbol | meaning                                        | unit    | equation                    |
 * | x      | places of the nodes; that of node 0 is 0       | m       | unknown                     |
 * | s_k    | shared errors, with prior sigma σ_k            | rad, 1  | unknown                     |
 * | b, d   | a line's bearing and length as read            | rad, m  |                             |
 * | ed, eb | what the reading is off by itself              | 1, rad  |                             |
 * | B, D   | the line as it is                              |         | B = b + eb + Σ a_k·s_k      |
 * |        | (a_k: how much it has of a shared error)       |         | D = d·(1 + ed + Σ a_k·s_k)  |
 * | u, v   | unit vectors along and across it               |         | (sin B, cos B), (cos B, ..) |
 * | w      | the line without its errors, to first order    | m       | D·u - ∂·e, at this round    |
 * | W      | weight of the line, the inverse of             | 1/m²    | σd²d²·uu' + σb²D²·vv'       |
 * | J_k    | what one unit of s_k moves its end by          | m       | a_k·d·u, or a_k·D·v         |
 * | t, j   | the local error of a line; what it moves       | rad, m  | j = D·v                     |
 *
 * The sum of (x_to - x_from - w - Σ J·s - j·t)'·W·(…), of s²/σ² and of t²/σ² becomes least; the
 * lines are turned to where they then lie, until no node moves by a millimetre. Local errors are
 * eliminated with the nodes (factor.ts), the shared ones after all of them. Source: E. M. Mikhail
 * and F. Ackermann, Observations and Least Squares, 1976 (memory).
 */
const SETTLED_METRES = 1e-3;
const MOST_ROUNDS = 25;

/** A line at one round of the adjustment. */
interface Turned {
  readonly from: number;
  readonly to: number;
  readonly weight: Covariance;
  /** w, and the unit vector along the line. */
  readonly east: number;
  readonly north: number;
  readonly sin: number;
  readonly cos: number;
  readonly metres: number;
  /** What one unit of each of its shared errors moves its end by, in metres, two numbers each. */
  readonly effects: Float64Array;
  /** The place of its local error behind the nodes, or -1; what one unit moves its end by. */
  readonly local: number;
  readonly localEast: number;
  readonly localNorth: number;
}

/** A network that was adjusted. */
export interface Adjusted {
  readonly network: Network;
  /** East and north of each node, in metres. */
  readonly places: Float64Array;
  /** The local errors, in radians. */
  readonly locals: Float64Array;
  readonly shared: SharedPosterior;
  /** N⁻¹: the covariance of places by the readings' own errors. */
  readonly factor: Factor;
  /**
   * What one unit of each shared error moves the nodes by: two rows a node. Behind the nodes, what
   * it changes the local errors by: two rows each, the second of no meaning.
   */
  readonly effects: Float64Array;
  readonly lines: readonly Turned[];
  /** Residuals of each line: ed, then eb. */
  readonly residuals: Float64Array;
  /** The weighted sum of squares, which is to be compared with chi-square. */
  readonly chiSquare: number;
  /** Readings more than there are unknowns. */
  readonly redundancy: number;
}

/** How long a network may take, and who is informed of it. */
export interface AdjustOptions {
  /** Called after each round; throws to cancel. */
  readonly onRound?: (round: number) => void;
  /** Rounds at most; 1 takes every line as it was read. */
  readonly mostRounds?: number;
}

/** The order for a network, which stays the same as long as its lines join the same nodes. */
export const orderOf = ({ nodes, lines, locals = [] }: Network): Elimination =>
  eliminationOrder(
    nodes + locals.length,
    lines.flatMap(({ from, to, local }) =>
      local === undefined
        ? [[from, to] as const]
        : ([
            [from, to],
            [from, nodes + local],
            [to, nodes + local],
          ] as const),
    ),
  );

/** Adjusts a network whose lines join all of its nodes. */
export function adjustNetwork(
  network: Network,
  elimination: Elimination = orderOf(network),
  { onRound, mostRounds = MOST_ROUNDS }: AdjustOptions = {},
): Adjusted {
  const { lines, sources } = network;
  const residuals = new Float64Array(2 * lines.length);
  let values: Float64Array = new Float64Array(sources.length);
  let locals: Float64Array = new Float64Array(network.locals?.length ?? 0);
  let last: Float64Array | null = null;
  for (let round = 1; ; round++) {
    const turned = lines.map((line, i) =>
      turnedLine(network, line, residuals[2 * i]!, residuals[2 * i + 1]!, values, locals),
    );
    const solved = solveRound(network, elimination, turned);
    values = solved.shared.values;
    locals = solved.locals;
    for (const [i, line] of turned.entries()) setResidual(network, i, line, solved, residuals);
    onRound?.(round);
    const isSettled = last !== null && farthest(last, solved.places) < SETTLED_METRES;
    last = solved.places;
    if (!isSettled && round < mostRounds) continue;
    const chiSquare = sumOfSquares(network, residuals, values, locals);
    return { network, ...solved, lines: turned, residuals, chiSquare, redundancy: spare(network) };
  }
}

/** Readings that are more than the unknowns need. */
export const spare = ({ nodes, lines }: Network): number =>
  lines.reduce((sum, line) => sum + (isSighting(line) ? 1 : 2), 0) - 2 * (nodes - 1);

const isSighting = ({ alongVariance }: NetworkLine) => alongVariance === Infinity;

const farthest = (before: Float64Array, after: Float64Array): number =>
  after.reduce((most, value, i) => Math.max(most, Math.abs(value - before[i]!)), 0);

/** A line at where it lies by the residuals and the shared errors so far. */
function turnedLine(
  { nodes, sources }: Network,
  line: NetworkLine,
  ownAlong: number,
  ownAcross: number,
  values: Float64Array,
  locals: Float64Array,
): Turned {
  const { local } = line;
  let [along, across] = [ownAlong, ownAcross];
  if (local !== undefined) across += locals[local]!;
  for (const { source, share } of line.shared) {
    if (sources[source]!.of === 'distance') along += share * values[source]!;
    else across += share * values[source]!;
  }
  const { from, to, bearing, metres } = line;
  const length = metres * (1 + along);
  const [sin, cos] = [Math.sin(bearing + across), Math.cos(bearing + across)];
  const effects = new Float64Array(2 * line.shared.length);
  for (const [i, { source, share }] of line.shared.entries()) {
    const isLength = sources[source]!.of === 'distance';
    const by = share * (isLength ? metres : length);
    effects[2 * i] = by * (isLength ? sin : cos);
    effects[2 * i + 1] = by * (isLength ? cos : -sin);
  }
  // What the errors moved the end by, to first order, is taken off again: they are unknowns.
  return {
    from,
    to,
    weight: weightOf(line, length, sin, cos),
    east: length * sin - metres * along * sin - length * across * cos,
    north: length * cos - metres * along * cos + length * across * sin,
    sin,
    cos,
    metres: length,
    effects,
    local: local === undefined ? -1 : nodes + local,
    localEast: local === undefined ? 0 : length * cos,
    localNorth: local === undefined ? 0 : -length * sin,
  };
}

function weightOf(line: NetworkLine, length: number, sin: number, cos: number): Covariance {
  const { metres, alongVariance, acrossVariance } = line;
  const along = 1 / Math.max(LEAST_VARIANCE, alongVariance * metres * metres);
  const across = 1 / Math.max(LEAST_VARIANCE, acrossVariance * length * length);
  return {
    xx: along * sin * sin + across * cos * cos,
    xy: (along - across) * sin * cos,
    yy: along * cos * cos + across * sin * sin,
  };
}

/** Places and shared errors for lines that lie so. */
function solveRound(network: Network, elimination: Elimination, turned: readonly Turned[]) {
  const { nodes, lines, sources, locals = [] } = network;
  const all = nodes + locals.length;
  const count = sources.length;
  const columns = count + 1;
  const priors = locals.map(({ error }) => error.sigma ** -2);
  const factor = new Factor(all, elimination, turned, priors);
  // Column 0 is A'Ww, the others A'WJ.
  const right = new Float64Array(2 * all * columns);
  const matrix = sources.map(({ sigma }, i) => sources.map((_, j) => (i === j ? sigma ** -2 : 0)));
  const b = sources.map(() => 0);
  for (const [index, line] of turned.entries()) {
    const { weight, effects } = line;
    const parts = lines[index]!.shared;
    addRight(right, columns, 0, line, weighted(weight, line.east, line.north));
    for (const [i, { source }] of parts.entries()) {
      const pull = weighted(weight, effects[2 * i]!, effects[2 * i + 1]!);
      addRight(right, columns, source + 1, line, pull);
      b[source]! -= pull.east * line.east + pull.north * line.north;
      for (const [j, other] of parts.entries()) {
        matrix[source]![other.source]! +=
          pull.east * effects[2 * j]! + pull.north * effects[2 * j + 1]!;
      }
    }
  }
  const solution = right.slice();
  factor.solve(solution, columns);
  for (let row = 2; row < 2 * all; row++) {
    const at = row * columns;
    for (let i = 0; i < count; i++) {
      const pull = right[at + i + 1]!;
      b[i]! += pull * solution[at]!;
      for (let j = 0; j < count; j++) matrix[i]![j]! -= pull * solution[at + j + 1]!;
    }
  }
  const shared = solveShared(matrix, b);
  const found = new Float64Array(2 * all);
  const effects = new Float64Array(2 * all * count);
  for (let row = 2; row < 2 * all; row++) {
    let value = solution[row * columns]!;
    for (let i = 0; i < count; i++) {
      const effect = solution[row * columns + i + 1]!;
      effects[row * count + i] = effect;
      value += effect * shared.values[i]!;
    }
    found[row] = value;
  }
  const places = found.slice(0, 2 * nodes);
  const turns = Float64Array.from(locals, (_, i) => found[2 * (nodes + i)]!);
  return { factor, places, locals: turns, shared, effects };
}

const weighted = ({ xx, xy, yy }: Covariance, east: number, north: number) => ({
  east: xx * east + xy * north,
  north: xy * east + yy * north,
});

function addRight(
  right: Float64Array,
  columns: number,
  column: number,
  { from, to, local, localEast, localNorth }: Turned,
  { east, north }: { east: number; north: number },
): void {
  if (local !== -1) {
    right[2 * local * columns + column]! -= localEast * east + localNorth * north;
  }
  right[2 * to * columns + column]! += east;
  right[(2 * to + 1) * columns + column]! += north;
  right[2 * from * columns + column]! -= east;
  right[(2 * from + 1) * columns + column]! -= north;
}

/** What a line is off by itself, once places and shared errors are known. */
function setResidual(
  { lines }: Network,
  index: number,
  line: Turned,
  { places, shared, locals }: Pick<Adjusted, 'places' | 'shared' | 'locals'>,
  residuals: Float64Array,
): void {
  const { from, to, sin, cos, metres, effects } = line;
  let east = places[2 * to]! - places[2 * from]! - line.east;
  let north = places[2 * to + 1]! - places[2 * from + 1]! - line.north;
  for (const [i, { source }] of lines[index]!.shared.entries()) {
    east -= effects[2 * i]! * shared.values[source]!;
    north -= effects[2 * i + 1]! * shared.values[source]!;
  }
  const { local } = lines[index]!;
  if (local !== undefined) {
    east -= line.localEast * locals[local]!;
    north -= line.localNorth * locals[local]!;
  }
  const read = lines[index]!.metres;
  // A sighting, whose length was not read, is as long as the places say.
  residuals[2 * index] = read > 0 ? (east * sin + north * cos) / read : 0;
  residuals[2 * index + 1] = metres > 0 ? (east * cos - north * sin) / metres : 0;
}

/** The weighted squares of what readings and shared errors came out as. */
function sumOfSquares(
  { lines, sources, locals: errors = [] }: Network,
  residuals: Float64Array,
  values: Float64Array,
  locals: Float64Array,
): number {
  let sum = 0;
  for (const [i, { metres, alongVariance, acrossVariance }] of lines.entries()) {
    const square = metres * metres;
    sum += (residuals[2 * i]! ** 2 * square) / Math.max(LEAST_VARIANCE, alongVariance * square);
    sum +=
      (residuals[2 * i + 1]! ** 2 * square) / Math.max(LEAST_VARIANCE, acrossVariance * square);
  }
  for (const [k, { sigma }] of sources.entries()) sum += (values[k]! / sigma) ** 2;
  for (const [k, { error }] of errors.entries()) sum += (locals[k]! / error.sigma) ** 2;
  return sum;
}
