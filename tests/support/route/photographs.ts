import type { PlanePoint } from '@/core/units/plane';

/** Numbers from a seed, of its own kind: nothing is shared with the core. */
export function seeded(seed: number) {
  let state = (seed * 2_654_435_761 + 12_345) >>> 0;
  const uniform = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return ((state >>> 8) + 0.5) / 2 ** 24;
  };
  // Discard the first few: seeds that are near give numbers that are near.
  for (let i = 0; i < 12; i++) uniform();
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}

/** The ground that the sheets of these tests show: some kilometres of a UTM zone. */
const WEST = 466_000;
const SOUTH = 6_005_000;
const SIDE = 3000;

/** Points over the sheet: its corners first, a little inside, then anywhere. */
export function spread(count: number, random: ReturnType<typeof seeded>): PlanePoint[] {
  const corners = [
    [0.1, 0.1],
    [0.9, 0.12],
    [0.88, 0.92],
    [0.08, 0.9],
  ] as const;
  return Array.from({ length: count }, (_, index) => {
    // Two and three points lie across the sheet, not along one edge.
    const corner = corners[count === 2 ? 2 * index : index];
    const [x, y] = corner ?? [0.1 + 0.8 * random.uniform(), 0.1 + 0.8 * random.uniform()];
    return { east: WEST + SIDE * x, north: SOUTH + SIDE * y };
  });
}

/**
 * A pinhole camera above a table with the map on it, turned and tilted by a seed; `slant` 0 looks
 * straight down. It gives the pixel of a place of the map.
 */
export function photograph(seed: number, slant: number) {
  const random = seeded(seed + 500);
  const [tilt, roll] = [
    0.35 * slant * (random.uniform() - 0.5),
    0.3 * slant * (random.uniform() - 0.5),
  ];
  const turn = 2 * Math.PI * random.uniform();
  const [height, focal] = [1.3, 2400];
  return ({ east, north }: PlanePoint) => {
    // The map as a square of a metre on the table, its middle below the camera.
    const [u, v] = [(east - WEST) / SIDE - 0.5, (north - SOUTH) / SIDE - 0.5];
    const x = u * Math.cos(turn) - v * Math.sin(turn);
    const y = u * Math.sin(turn) + v * Math.cos(turn);
    // Tilted about the x axis, then about the y axis.
    const [y1, z1] = [y * Math.cos(tilt), y * Math.sin(tilt)];
    const [x2, z2] = [x * Math.cos(roll), z1 - x * Math.sin(roll)];
    const depth = height + z2;
    return { x: 1500 + (focal * x2) / depth, y: 1200 - (focal * y1) / depth };
  };
}
