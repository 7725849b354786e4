import { randomSource } from './random-source';

/**
 * Parties that walk loops from a camp, simulated the plain way: places are drawn, each leg is read
 * with errors of its own and with those of its person's compass and stride. Nothing of the core's.
 */
const RAD = Math.PI / 180;
export const PACES_PER_METRE = 0.65;

export interface PlainPlace {
  readonly east: number;
  readonly north: number;
}

/** A leg as it was read: whole degrees and whole paces. */
export interface PlainReading {
  readonly degrees: number;
  readonly paces: number;
}

/** A party's walk: legs between places by number; place 0 is the camp. */
export interface PlainWalk {
  readonly path: readonly number[];
  readonly readings: readonly PlainReading[];
}

export interface PlainParty {
  readonly places: readonly PlainPlace[];
  readonly walks: readonly PlainWalk[];
}

export type Random = ReturnType<typeof randomSource>;

/** One sigma of each error: those that the app takes for paces and landmarks. */
const SIGMAS = { aim: 2 * RAD, compass: 1.5 * RAD, paced: 0.05, pace: 0.04 };

/** Reads the legs along a path, as one person would. */
export function readPath(random: Random, places: readonly PlainPlace[], path: readonly number[]) {
  const [bias, scale] = [random.normal() * SIGMAS.compass, random.normal() * SIGMAS.pace];
  const readings = path.slice(1).map((to, i): PlainReading => {
    const [a, b] = [places[path[i]!]!, places[to]!];
    const [east, north] = [b.east - a.east, b.north - a.north];
    const turn = random.normal() * SIGMAS.aim + bias;
    const longer = 1 + random.normal() * SIGMAS.paced + scale;
    const degrees = Math.round((Math.atan2(east, north) - turn) / RAD);
    const metres = Math.hypot(east, north) / longer;
    return {
      degrees: ((degrees % 360) + 360) % 360,
      paces: Math.max(1, Math.round(metres * PACES_PER_METRE)),
    };
  });
  return { path, readings } satisfies PlainWalk;
}

/** Places on a loop from the camp and back: as many as legs, each 120 to 300 m long. */
export function loopPlaces(random: Random, legs: number, first = 0): PlainPlace[] {
  for (;;) {
    const places: PlainPlace[] = [{ east: 0, north: 0 }];
    let bearing = first + random.uniform() * (first === 0 ? 360 : 60);
    for (let i = 1; i < legs; i++) {
      const metres = 120 + random.uniform() * 180;
      const { east, north } = places[i - 1]!;
      places.push({
        east: east + metres * Math.sin(bearing * RAD),
        north: north + metres * Math.cos(bearing * RAD),
      });
      bearing += (360 / legs) * (0.5 + random.uniform());
    }
    const back = Math.hypot(places[legs - 1]!.east, places[legs - 1]!.north);
    if (back >= 120 && back <= 300) return places;
  }
}

/** A loop walked by one party. */
export function oneLoop(random: Random, legs: number): PlainParty {
  const places = loopPlaces(random, legs);
  const path = [...places.keys(), 0];
  return { places, walks: [readPath(random, places, path)] };
}

/** Two loops of one party that have a side in common: across the first one, after it. */
export function twoLoops(random: Random, legs: number): PlainParty {
  const places = loopPlaces(random, legs);
  const far = Math.floor(legs / 2);
  const path = [...places.keys(), 0, far];
  return { places, walks: [readPath(random, places, path)] };
}

/** Three parties from one camp, each on a loop; the second and third meet a place of the first. */
export function threeParties(random: Random, legs: number): PlainParty {
  const places = [...loopPlaces(random, legs)];
  const walks = [readPath(random, places, [...places.keys(), 0])];
  for (let party = 1; party < 3; party++) {
    const own = loopPlaces(random, legs, 120 * party);
    const from = places.length;
    places.push(...own.slice(1));
    const path = [0, ...own.slice(1).map((_, i) => from + i), party === 1 ? 1 : 2, 0];
    walks.push(readPath(random, places, path));
  }
  return { places, walks };
}

/** The logs of a party: every place has a name, and so joins what was walked to it. */
export const logsOf = ({ walks }: Pick<PlainParty, 'walks'>): string[] =>
  walks.map(({ path, readings }) =>
    [
      'cairn-back log 1',
      'start P0',
      `pace ${100 * PACES_PER_METRE} per 100 m`,
      ...readings.map(
        ({ degrees, paces }, i) =>
          `${String(degrees).padStart(3, '0')} ${paces}p > P${path[i + 1]}`,
      ),
    ].join('\n'),
  );
