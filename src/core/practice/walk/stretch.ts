import { polar, type PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';
import { isInside, isWater, isWood, type Country } from '../country/country';
import { crossings } from '../country/ground-lines';
import { nth } from '../../units/nth';

/** Metres of one pace in the open, and in a wood: another ground is another stride. */
export interface Stride {
  readonly open: Metres;
  readonly wood: Metres;
}

/** Something that was met, after so many paces. */
export interface Met {
  readonly what: 'stream' | 'path' | 'wall' | 'edge of a wood' | 'clearing';
  readonly paces: number;
}

/** What ended a way before it was as long as was wanted. */
export type Stop = 'water' | 'the edge of the map';

/** A straight way that was walked. */
export interface Stretch {
  readonly to: PlanePoint;
  /** Not rounded. */
  readonly paces: number;
  /** Of them, those in woods. */
  readonly inWood: number;
  readonly stoppedBy: Stop | null;
  readonly met: readonly Met[];
}

/** Ground is looked at this often. */
export const LOOK_METRES = 3;
/** The country's edge is not gone to. */
const EDGE_METRES = 5;
/** Lines are met only a little after the last way ended, not again where one is on them. */
const BEGINS_METRES = 4;

/** How far one gets in a number of paces, and the paces at each look on the way. */
export function paced(
  country: Country,
  from: PlanePoint,
  azimuth: Degrees,
  paces: number,
  stride: Stride,
) {
  const marks = [0];
  const woods = [isWood(country, from)];
  const ahead = polar(azimuth, 1);
  const at = (metres: Metres) => ({
    east: from.east + metres * ahead.east,
    north: from.north + metres * ahead.north,
  });
  let [metres, inWood, stoppedBy] = [0, 0, null as Stop | null];
  while (marks.at(-1)! < paces) {
    const [counted, isHereWood] = [marks.at(-1)!, woods.at(-1)!];
    const perPace = isHereWood ? stride.wood : stride.open;
    const step = Math.min(LOOK_METRES, (paces - counted) * perPace);
    const next = at(metres + step);
    if (!isInside(country, next, EDGE_METRES)) stoppedBy = 'the edge of the map';
    else if (isWater(country, next)) stoppedBy = 'water';
    if (stoppedBy) break;
    metres += step;
    // The last step is what is left, to the last bit.
    marks.push(step < LOOK_METRES ? paces : counted + step / perPace);
    if (isHereWood) inWood += step / perPace;
    woods.push(isWood(country, next));
  }
  return { to: at(metres), metres, marks, woods, inWood, stoppedBy };
}

/** Walks straight on an azimuth of the grid until so many paces are counted or something stops. */
export function walkStraight(
  country: Country,
  from: PlanePoint,
  azimuth: Degrees,
  paces: number,
  stride: Stride,
): Stretch {
  const { to, marks, woods, inWood, stoppedBy } = paced(country, from, azimuth, paces, stride);
  /** Paces counted so many metres on. */
  const pacesAt = (metres: Metres) => {
    const mark = Math.min(Math.floor(metres / LOOK_METRES), marks.length - 1);
    const perPace = woods[mark] ? stride.wood : stride.open;
    return nth(marks, mark) + (metres - mark * LOOK_METRES) / perPace;
  };
  const lines = (
    [
      ['stream', country.streams],
      ['path', country.paths],
      ['wall', country.walls],
    ] as const
  ).flatMap(([what, all]) =>
    all.flatMap((line) => crossings(from, to, line)).map((metres) => ({ what, metres })),
  );
  const edges = woods.flatMap((isHereWood, mark) =>
    mark === 0 || mark === woods.length - 1 || isHereWood === woods[mark - 1]
      ? []
      : [
          {
            what: isHereWood ? ('edge of a wood' as const) : ('clearing' as const),
            metres: mark * LOOK_METRES,
          },
        ],
  );
  const met = [...lines, ...edges]
    .filter(({ metres }) => metres > BEGINS_METRES)
    .sort((one, other) => one.metres - other.metres)
    .map(({ what, metres }) => ({ what, paces: pacesAt(metres) }));
  return { to, paces: marks.at(-1)!, inWood, stoppedBy, met };
}
