// The country of the demo's map: invented, like all of Ormsay Lake. Metres of UTM zone 20.
import type { PlanePoint } from '../../src/core/units/plane';

export const SHEET = { west: 465_700, east: 468_700, south: 6_004_700, north: 6_007_800 } as const;
export const LAKE_METRES = 431;

const at = (east: number, north: number): PlanePoint => ({ east, north });

/** The north shore of the lake, from west to east. */
const SHORE: readonly PlanePoint[] = [
  at(465_500, 6_005_420),
  at(466_100, 6_005_640),
  at(466_480, 6_005_700),
  at(466_570, 6_005_690),
  at(466_700, 6_005_800),
  at(467_050, 6_005_900),
  at(467_330, 6_005_884),
  at(467_480, 6_005_850),
  at(467_630, 6_005_770),
  at(467_720, 6_005_850),
  at(467_800, 6_005_868),
  at(467_960, 6_005_800),
  at(468_250, 6_005_740),
  at(468_520, 6_005_640),
  at(468_900, 6_005_540),
];

export const LAKE: readonly PlanePoint[] = [
  ...SHORE,
  at(468_900, 6_004_900),
  at(468_000, 6_004_780),
  at(467_000, 6_004_850),
  at(466_000, 6_004_760),
  at(465_500, 6_004_900),
];

/** A round outline, a little uneven, as ponds and islands are. */
const blob = (east: number, north: number, radius: number): PlanePoint[] =>
  Array.from({ length: 24 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 24;
    const reach = radius * (1 + 0.16 * Math.sin(3 * angle + east) + 0.1 * Math.cos(5 * angle));
    return at(east + reach * Math.cos(angle), north + reach * 0.8 * Math.sin(angle));
  });

export const ISLAND = blob(468_220, 6_005_400, 130);
export const PONDS = [blob(468_010, 6_006_280, 55), blob(467_300, 6_006_250, 42)];

export const LINES = {
  brook: [
    at(467_480, 6_005_834),
    at(467_331, 6_005_990),
    at(467_085, 6_006_237),
    at(467_120, 6_006_415),
    at(466_788, 6_006_762),
    at(466_500, 6_007_040),
  ],
  trail: [
    at(468_700, 6_006_090),
    at(468_300, 6_006_180),
    at(467_900, 6_006_040),
    at(467_690, 6_006_070),
    at(467_560, 6_006_210),
    at(467_640, 6_006_560),
    at(467_560, 6_007_000),
    at(467_610, 6_007_540),
    at(467_480, 6_007_800),
  ],
} as const;

/** Names on the map, each at its place. */
export const NAMES = [
  { name: 'Dock', point: at(467_383, 6_005_890), mark: 'house' },
  { name: 'Hut', point: at(468_004, 6_006_476), mark: 'house' },
  { name: 'Bald summit', point: at(466_020, 6_007_300), mark: 'summit' },
  { name: 'The Notch', point: at(467_440, 6_007_536), mark: 'none' },
  { name: 'Esker top', point: at(467_750, 6_006_376), mark: 'summit' },
  { name: 'Beacon', point: at(468_220, 6_005_462), mark: 'summit' },
  { name: 'Dead pine', point: at(466_573, 6_005_705), mark: 'none' },
  { name: 'Ormsay Lake', point: at(466_900, 6_005_250), mark: 'water' },
] as const;

const HILLS = [
  [466_020, 6_007_300, 118, 480],
  [467_752, 6_006_376, 24, 150],
  [466_800, 6_006_900, 34, 420],
  [467_080, 6_007_600, 66, 330],
  [467_900, 6_007_640, 74, 360],
  [468_420, 6_006_900, 40, 420],
  [468_220, 6_005_410, 16, 90],
] as const;

/** How far north of the shore a place is, in metres. */
function fromShore({ east, north }: PlanePoint): number {
  const next = SHORE.findIndex((point) => point.east >= east);
  const [a, b] = [SHORE[Math.max(0, next - 1)]!, SHORE[Math.max(1, next)]!];
  const share = (east - a.east) / (b.east - a.east);
  return north - (a.north + share * (b.north - a.north));
}

/** Height of the ground, in metres; below the lake's under it. */
export function heightAt(point: PlanePoint): number {
  const { east, north } = point;
  const inland = fromShore(point);
  const plateau = LAKE_METRES + 42 * (1 - Math.exp(-inland / 420));
  const hills = HILLS.reduce(
    (sum, [e, n, metres, width]) =>
      sum + metres * Math.exp(-((east - e) ** 2 + (north - n) ** 2) / (2 * width ** 2)),
    0,
  );
  const rough = 2.6 * Math.sin(east / 97) * Math.cos(north / 133) + 1.7 * Math.sin(north / 61);
  return plateau + hills + (inland > 60 ? rough : 0);
}
