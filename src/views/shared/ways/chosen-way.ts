import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import { way, wayAlong, type Way } from '@/core/navigation/ways/way';
import { longestAlong } from '@/core/navigation/ways/aim-off';
import { aimOffHome, azimuthFrom } from '@/core/navigation/ways/ways-home';
import { bearingDegrees } from '@/core/readings/bearing';
import { homeMeans } from '@/core/survey/home-means';
import { stationName, type Solution } from '@/core/survey/solution';
import { polar } from '@/core/units/plane';
import type { Degrees, Metres } from '@/core/units/units';

/** The stretch to walk now. */
export interface WalkStage extends Way {
  /** The station that it leads to; null for a place on a line. */
  readonly target: number | null;
  readonly name: string;
  /** Along a line: which way to turn onto it, and how far to follow it at most. */
  readonly along: { readonly turn: 'left' | 'right'; readonly mostMetres: Metres } | null;
  /** True for the stretch to a line. */
  readonly toLine: boolean;
  /** What the address has to say once the line is met. */
  readonly met: string | null;
  /** True where a line was chosen and can't be aimed at from here. */
  readonly lineFailed: boolean;
}

/** Stations still to walk to before home; what can't be read is passed over. */
export function stationsLeft(query: URLSearchParams, { places }: Solution): number[] {
  const known = new Set(places.stations());
  return (query.get('via') ?? '')
    .split(',')
    .filter((text) => /^\d+$/.test(text))
    .map(Number)
    .filter((station) => station !== 0 && known.has(station));
}

/** The stretch to walk now on the way that the address names; the straight way where it can't. */
export function stageOf(query: URLSearchParams, solution: Solution): WalkStage {
  const { current } = solution;
  const met = /^(left|right) (\d+(?:\.\d+)?) (\d+(?:\.\d+)?) (\d+(?:\.\d+)?)$/.exec(
    query.get('met') ?? '',
  );
  if (met) {
    const [degrees, metres, most] = met.slice(2).map(Number) as [Degrees, Metres, Metres];
    return alongLine(solution, degrees, metres, {
      turn: met[1] === 'left' ? 'left' : 'right',
      mostMetres: most,
    });
  }
  const [station] = stationsLeft(query, solution).filter((each) => each !== current);
  if (station !== undefined) return straightTo(solution, station);
  return toLine(query, solution) ?? { ...straightTo(solution, 0), lineFailed: query.has('line') };
}

const straightTo = (solution: Solution, target: number): WalkStage => ({
  ...way(solution, solution.current, target),
  target,
  name: stationName(solution, target),
  along: null,
  toLine: false,
  met: null,
  lineFailed: false,
});

/** The stretch to the line of an aim-off; null without one, or where it can't be used. */
function toLine(query: URLSearchParams, solution: Solution): WalkStage | null {
  const reading = readBearingText(query.get('line') ?? '', solution.end.readingNorth);
  if (!reading.ok) return null;
  const bearing = { degrees: bearingDegrees(reading.value), north: reading.value.north };
  const azimuth = azimuthFrom(bearing, solution.end.offset);
  if (azimuth === null) return null;
  const found = aimOffHome(solution, azimuth, query.get('side') === 'left' ? 'left' : 'right');
  const aim = found.ok ? found.value.aim : null;
  if (!aim) return null;
  const { places, end } = solution;
  const vector = polar(aim.bearingDegrees, aim.distanceMetres);
  const figures = [aim.lineDegrees, aim.alongMetres, longestAlong(aim)];
  return {
    ...wayAlong(places.frame, vector, homeMeans(end).paceMetres),
    target: null,
    name: '',
    along: null,
    toLine: true,
    met: [aim.turn, ...figures.map((figure) => figure.toFixed(1))].join(' '),
    lineFailed: false,
  };
}

const alongLine = (
  solution: Solution,
  degrees: Degrees,
  metres: Metres,
  along: NonNullable<WalkStage['along']>,
): WalkStage => ({
  ...wayAlong(solution.places.frame, polar(degrees, metres), homeMeans(solution.end).paceMetres),
  target: 0,
  name: stationName(solution, 0),
  along,
  toLine: false,
  met: null,
  lineFailed: false,
});
