import type { Aim } from '../../entries/reckoning';
import { normals } from '../../errors/random';
import { DEFAULT_ERRORS } from '../../model/error-settings';
import { normalised } from '../../units/angle';
import { ORIGIN, polar, sumOf, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { chanceOf } from '../chance';
import { isInside, isWater, isWood, type Country } from '../country/country';
import { crossings } from '../country/ground-lines';

/** What the person tells the walker: a compass setting, how many paces, and how to aim. */
export interface SetLeg {
  readonly bearingDegrees: Degrees;
  readonly paces: number;
  readonly aim: Aim;
}

/** A walk in fog on a made country: all that happened follows from it. */
export interface BlindWalk {
  readonly country: number;
  /** Of the walker's errors. */
  readonly seed: number;
  readonly start: PlanePoint;
  readonly legs: readonly SetLeg[];
}

/** Something that was met on a leg, after so many paces. */
interface Met {
  readonly what: 'stream' | 'path' | 'wall' | 'edge of a wood' | 'clearing';
  readonly paces: number;
}

/** A leg as it was really walked, and what the walker knows of it. */
export interface WalkedLeg extends SetLeg {
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  /** What was counted: fewer than were wanted where something stopped the walker. */
  readonly counted: number;
  readonly stoppedBy: 'water' | 'the edge of the map' | null;
  readonly met: readonly Met[];
}

/** What the walker takes for 100 m, as the log of the outing says. */
export const PACES_PER_100 = 65;
/** As far as one sees in the fog of a blind walk. */
export const FOG_METRES = 30;
/** Paced, of each leg by itself, and of all: the defaults of the error model. */
const OWN_PACED = DEFAULT_ERRORS.paced;
const SHARED_PACE = DEFAULT_ERRORS['pace-length'];
const COMPASS = DEFAULT_ERRORS.compass;
/** Ground is looked at this often along a leg. */
const LOOK_METRES = 3;
/** Lines are met only a little after the last leg ended, not again where one is on them. */
const BEGINS_METRES = 4;

/** How one walker's compass and stride are off, for the whole walk. */
function sharedErrors(seed: number): { turn: Record<Aim, Degrees>; stride: number } {
  const normal = normals(chanceOf(seed, 'walker'));
  const turn = {
    needle: COMPASS * normal(),
    landmark: COMPASS * normal(),
    sighted: COMPASS * normal(),
  };
  return { turn, stride: SHARED_PACE * normal() };
}

/** How far one can go on a line before water or the edge of the country, in metres. */
function reach(country: Country, from: PlanePoint, azimuth: Degrees, metres: Metres) {
  for (let along = LOOK_METRES; along <= metres; along += LOOK_METRES) {
    const point = sumOf(from, polar(azimuth, along));
    if (!isInside(country, point, 5)) {
      return { metres: along - LOOK_METRES, by: 'the edge of the map' as const };
    }
    if (isWater(country, point)) return { metres: along - LOOK_METRES, by: 'water' as const };
  }
  return { metres, by: null };
}

function metOn(country: Country, from: PlanePoint, to: PlanePoint, metresPerPace: Metres): Met[] {
  const { east, north } = vectorBetween(from, to);
  const length = Math.hypot(east, north);
  const lines = (
    [
      ['stream', country.streams],
      ['path', country.paths],
      ['wall', country.walls],
    ] as const
  ).flatMap(([what, all]) =>
    all.flatMap((line) => crossings(from, to, line)).map((metres) => ({ what, metres })),
  );
  const woods: { what: Met['what']; metres: Metres }[] = [];
  let inWood = isWood(country, from);
  for (let along = LOOK_METRES; along < length; along += LOOK_METRES) {
    const share = along / length;
    const point = { east: from.east + share * east, north: from.north + share * north };
    if (isWood(country, point) === inWood) continue;
    inWood = !inWood;
    woods.push({ what: inWood ? 'edge of a wood' : 'clearing', metres: along });
  }
  return [...lines, ...woods]
    .filter(({ metres }) => metres > BEGINS_METRES)
    .sort((one, other) => one.metres - other.metres)
    .map(({ what, metres }) => ({ what, paces: Math.round(metres / metresPerPace) }));
}

/**
 * Walks the legs that were set, with the named errors of the uncertainty model: each leg's own, and
 * what compass and stride have alike on all. The same walk again for the same seed.
 */
export function walkLegs(country: Country, walk: BlindWalk): WalkedLeg[] {
  const shared = sharedErrors(walk.seed);
  const angle = country.norths.declinationEast! - country.norths.convergenceEast;
  let from = walk.start;
  return walk.legs.map((leg, index) => {
    const next = chanceOf(walk.seed, `leg ${index}`);
    const normal = normals(next);
    const own = DEFAULT_ERRORS[leg.aim] * normal() + (next() - 0.5);
    const azimuth = normalised(leg.bearingDegrees + angle + shared.turn[leg.aim] + own);
    const metresPerPace = (100 / PACES_PER_100) * (1 + shared.stride + OWN_PACED * normal());
    const { metres, by } = reach(country, from, azimuth, leg.paces * metresPerPace);
    const to = sumOf(from, polar(azimuth, metres));
    const counted = by === null ? leg.paces : Math.round(metres / metresPerPace);
    const walked = { ...leg, from, to, counted, stoppedBy: by };
    from = to;
    return { ...walked, met: metOn(country, walked.from, to, metresPerPace) };
  });
}

/** Where the walker is, against the start, in metres of the grid. */
export const walkedVector = (walk: BlindWalk, legs: readonly WalkedLeg[]): PlanePoint =>
  legs.length === 0 ? ORIGIN : vectorBetween(walk.start, legs.at(-1)!.to);
