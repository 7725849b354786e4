import type { Metres } from '../../units/units';
import type { WayHome } from './ways-home';

/** A way home and the figures that rank it. */
export interface WeighedWay {
  readonly way: WayHome;
  /** Chance that home comes within sight. */
  readonly chance: number;
  /** True when one would arrive after sunset. */
  readonly arrivesInTheDark: boolean;
}

/** As sure as this is sure enough: the shortest of such ways is taken. */
const SURE = 0.9;
/** What a longer way must gain to be worth it where none is sure. Common practice, no source. */
const WORTH = 0.1;

/** Which of the ways home to take, and why. The person decides. */
export interface Recommendation {
  readonly kind: WayHome['kind'];
  readonly why:
    /** The shortest, and sure enough. */
    | 'shortest'
    /** Longer than the straight way, and sure where that is not. */
    | 'surer'
    /** The straight way is not sure, and no other is worth its metres. */
    | 'no-better'
    /** A surer way would end in the dark. */
    | 'light'
    /** It is night: the one to take when it is light, or if one must. */
    | 'night'
    /** Every way ends in the dark: the surest. */
    | 'all-dark';
  /** Metres more than the straight way. */
  readonly extraMetres: Metres;
  readonly chance: number;
  /** The straight way's. */
  readonly straightChance: number;
}

const shortest = (ways: readonly WeighedWay[]) =>
  ways.reduce((best, each) => (each.way.metres < best.way.metres ? each : best));
const surest = (ways: readonly WeighedWay[]) =>
  ways.reduce((best, each) => (each.chance > best.chance + WORTH ? each : best));

/**
 * Weighs the ways by chance of sight, metres and light: the shortest that is sure and ends by
 * daylight; where none is sure, the surest, if it gains enough. The first one is the straight way.
 * In the night it says which one to take at first light.
 */
export function recommendation(
  ways: readonly [WeighedWay, ...WeighedWay[]],
  isNight = false,
): Recommendation {
  const [straight] = ways;
  const found = byDaylight(ways);
  const taken = ways.find(({ way }) => way.kind === found.kind) ?? straight;
  // In the night the surest counts: nothing is seen on the way that would mend an error.
  return isNight
    ? recommended(straight, found.why === 'all-dark' ? surest(ways) : taken, 'night')
    : found;
}

const recommended = (
  straight: WeighedWay,
  taken: WeighedWay,
  why: Recommendation['why'],
): Recommendation => ({
  kind: taken.way.kind,
  why,
  extraMetres: taken.way.metres - straight.way.metres,
  chance: taken.chance,
  straightChance: straight.chance,
});

function byDaylight(ways: readonly [WeighedWay, ...WeighedWay[]]): Recommendation {
  const [straight] = ways;
  const of = (taken: WeighedWay, why: Recommendation['why']) => recommended(straight, taken, why);
  const byLight = ways.filter(({ arrivesInTheDark }) => !arrivesInTheDark);
  if (byLight.length === 0) return of(surest(ways), 'all-dark');
  const sure = byLight.filter(({ chance }) => chance >= SURE);
  const taken = sure.length > 0 ? shortest(sure) : surest(byLight);
  if (taken !== straight) return of(taken, 'surer');
  if (straight.chance >= SURE) return of(straight, 'shortest');
  const surerInTheDark = ways.some(
    ({ arrivesInTheDark, chance }) => arrivesInTheDark && chance > straight.chance + WORTH,
  );
  return of(straight, surerInTheDark ? 'light' : 'no-better');
}
