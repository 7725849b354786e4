import type { Side } from '../../entries/feature';
import type { Aim } from '../../entries/reckoning';
import { normals } from '../../errors/random';
import { DEFAULT_ERRORS } from '../../model/error-settings';
import { normalised } from '../../units/angle';
import { ORIGIN, vectorBetween, type PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { chanceOf } from '../chance';
import type { Country } from '../country/country';
import type { KeptWalk, SetLeg } from './kept-walk';
import { boxWater, type Boxed, type BoxSides, type Going } from './round-water';
import { walkStraight, type Met, type Stop, type Stretch, type Stride } from './stretch';

/** A walk in fog on a made country: all that happened follows from it. */
export type BlindWalk = Pick<KeptWalk, 'country' | 'seed' | 'start' | 'legs'>;

/** A box round water: as the log wants it, and after how many paces of the leg it began. */
export interface WalkedBox extends Omit<Boxed, 'corners'> {
  readonly after: number;
}

/** A leg as it was really walked, and what the walker knows of it. */
export interface WalkedLeg extends SetLeg {
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  /** All corners of the way from `from` to `to`, both included: more than two round water. */
  readonly corners: readonly PlanePoint[];
  /** What was counted on the bearing, without the sides of boxes along it. */
  readonly counted: number;
  /** Of it, what was counted in woods. */
  readonly inWood: number;
  readonly boxed: readonly WalkedBox[];
  readonly stoppedBy: Stop | null;
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
/** Who meets water again and again on one leg gives it up. */
const MOST_BOXES = 4;
/** Water is seen in fog: one may turn aside so many paces before it. */
const TURNS_BEFORE = [0, 10, 20];

/** How one walker's compass and strides are off, for the whole walk. */
interface SharedErrors {
  readonly turn: Readonly<Record<Aim, Degrees>>;
  readonly stride: Readonly<Record<keyof Stride, number>>;
}

function sharedErrors(seed: number): SharedErrors {
  const normal = normals(chanceOf(seed, 'walker'));
  const turn = {
    needle: COMPASS * normal(),
    landmark: COMPASS * normal(),
    sighted: COMPASS * normal(),
  };
  // The general pace on a ground without its own is another stride there, as the model has it.
  return { turn, stride: { open: SHARED_PACE * normal(), wood: SHARED_PACE * normal() } };
}

/** The ways of a leg: each asked for has errors of its own beside the shared ones. */
function goings(country: Country, { bearingDegrees, aim }: SetLeg, shared: SharedErrors) {
  const angle = country.norths.declinationEast! - country.norths.convergenceEast;
  return (next: () => number, turn: Degrees): Going => {
    const normal = normals(next);
    const own = DEFAULT_ERRORS[aim] * normal() + (next() - 0.5);
    const paced = OWN_PACED * normal();
    const perPace = (error: number): Metres => (100 / PACES_PER_100) * (1 + error + paced);
    return {
      azimuth: normalised(bearingDegrees + turn + angle + shared.turn[aim] + own),
      stride: { open: perPace(shared.stride.open), wood: perPace(shared.stride.wood) },
    };
  };
}

/** Straight on until water, and round it: the box that begins nearest to it, if there is one. */
function roundWater(
  country: Country,
  from: PlanePoint,
  way: Stretch,
  side: Side,
  sides: BoxSides,
): { way: Stretch; box: Boxed } | null {
  for (const before of TURNS_BEFORE) {
    if (before > way.paces) return null;
    const { azimuth, stride } = sides.along;
    const shorter =
      before === 0 ? way : walkStraight(country, from, azimuth, way.paces - before, stride);
    const box = boxWater(country, shorter.to, side, sides);
    if (box) return { way: shorter, box };
  }
  return null;
}

/** Walks a leg: straight, and round water to the side that is wanted. */
function walkLeg(
  country: Country,
  leg: SetLeg,
  from: PlanePoint,
  shared: SharedErrors,
  chance: (purpose: string) => () => number,
): WalkedLeg {
  const going = goings(country, leg, shared);
  const along = going(chance(''), 0);
  const corners = [from];
  const boxed: WalkedBox[] = [];
  const met: Met[] = [];
  let [counted, inWood, left] = [0, 0, leg.paces];
  let stoppedBy: Stop | null = null;
  while (left > 0 && !stoppedBy) {
    const here = corners.at(-1)!;
    const straight = walkStraight(country, here, along.azimuth, left, along.stride);
    const aside = leg.boxes === 'left' ? -90 : 90;
    const round =
      straight.stoppedBy === 'water' && leg.boxes && boxed.length < MOST_BOXES
        ? roundWater(country, here, straight, leg.boxes, {
            out: going(chance(` out ${boxed.length}`), aside),
            along,
            back: going(chance(` back ${boxed.length}`), -aside),
          })
        : null;
    const way = round?.way ?? straight;
    met.push(...way.met.map(({ what, paces }) => ({ what, paces: Math.round(counted + paces) })));
    corners.push(way.to);
    counted += way.paces;
    inWood += way.inWood;
    left -= way.paces;
    stoppedBy = round ? null : way.stoppedBy;
    if (!round) continue;
    const { corners: sides, ...box } = round.box;
    boxed.push({ ...box, after: Math.round(counted) });
    corners.push(...sides);
    left -= box.along;
  }
  const whole = { counted: Math.round(counted), inWood: Math.round(inWood) };
  return { ...leg, from, to: corners.at(-1)!, corners, ...whole, boxed, stoppedBy, met };
}

/**
 * Walks the legs that were set, with the named errors of the uncertainty model: each leg's own, and
 * what compass and stride have alike on all. The same walk again for the same seed.
 */
export function walkLegs(country: Country, walk: BlindWalk): WalkedLeg[] {
  const shared = sharedErrors(walk.seed);
  const walked: WalkedLeg[] = [];
  for (const [index, leg] of walk.legs.entries()) {
    const from = walked.at(-1)?.to ?? walk.start;
    const chance = (purpose: string) => chanceOf(walk.seed, `leg ${index}${purpose}`);
    walked.push(walkLeg(country, leg, from, shared, chance));
  }
  return walked;
}

/** Where the walker is, against the start, in metres of the grid. */
export const walkedVector = (walk: BlindWalk, legs: readonly WalkedLeg[]): PlanePoint =>
  legs.length === 0 ? ORIGIN : vectorBetween(walk.start, legs.at(-1)!.to);
