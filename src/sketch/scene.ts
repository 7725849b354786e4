import { visibleText } from '@/core/units/visible';
import type { Ellipse } from '@/core/errors/ellipse';
import type { FeatureKind } from '@/core/entries/feature';
import { besideLeg } from '@/core/survey/beside-leg';
import { landmarkPlaces, type Landmark } from '@/core/survey/landmarks';
import { walkLog } from '@/core/survey/log-walk';
import { stationName, type Solution, type SolvedLeg } from '@/core/survey/solution';
import {
  boundsOf,
  lengthOf,
  ORIGIN,
  polar,
  sumOf,
  vectorBetween,
  type Bounds,
  type PlanePoint,
} from '@/core/units/plane';
import { type FigureUnits, lengthText } from '@/core/units/figures';
import type { Metres } from '@/core/units/units';

/** A leg as it is drawn. */
export interface SceneLeg {
  readonly number: number;
  readonly from: PlanePoint;
  readonly to: PlanePoint;
  /** False for a side trip off the way from the start to the traveller. */
  readonly onWay: boolean;
}

/** A line of sight from a station to a landmark, or toward one whose place isn't known. */
interface SceneSighting {
  readonly from: PlanePoint;
  readonly to: PlanePoint;
}

/** Something that is named on the sketch. */
export interface Mark extends PlanePoint {
  readonly key: string;
  readonly text: string;
  readonly kind: 'start' | 'station' | 'seen' | 'you' | 'point' | 'attack' | 'known' | 'here';
  /** What it is, for its symbol; for features and landmarks. */
  readonly feature?: FeatureKind;
  /** The uncertainty of a landmark's place. */
  readonly uncertainty?: Ellipse;
}

/** One outing of a scene. */
export interface SceneOuting {
  readonly legs: readonly SceneLeg[];
  /** The stations that legs made. */
  readonly stations: readonly PlanePoint[];
  readonly sightings: readonly SceneSighting[];
  readonly marks: readonly Mark[];
}

/** What a sketch shows, in metres east and north of one origin: one outing, or several. */
export interface Scene {
  readonly outings: readonly SceneOuting[];
}

/** The scene of an outing; how sure a landmark is, is said in a person's units. */
export const sceneOf = (solution: Solution, units: FigureUnits): Scene => ({
  outings: [sceneOuting(solution, units)],
});

function sceneOuting(solution: Solution, units: FigureUnits): SceneOuting {
  const landmarks = landmarkPlaces(solution);
  const legs = sceneLegs(solution);
  return {
    legs,
    stations: Array.from(solution.legs)
      .filter(({ returns }) => !returns)
      .map(({ end }) => end),
    sightings: sightingsOf(solution, landmarks, legs),
    marks: marksOf(solution, landmarks, units),
  };
}

function sceneLegs(solution: Solution): SceneLeg[] {
  const { legs, current } = solution;
  const onWay = new Set(legs.pathTo(current).map(({ number }) => number));
  const isOnWay = ({ number, to }: SolvedLeg) =>
    // A leg that closes a loop is no side trip: it was walked from the way.
    onWay.has(number) || to === current;
  return Array.from(legs, (leg) => ({
    number: leg.number,
    from: leg.start,
    to: leg.end,
    onWay: isOnWay(leg),
  }));
}

/** How far a line of sight is drawn when its landmark isn't placed: a share of the walk's reach. */
const OPEN_SHARE = 0.25;
const LEAST_OPEN_METRES = 30;

function sightingsOf(
  { places }: Solution,
  landmarks: readonly Landmark[],
  legs: readonly SceneLeg[],
): SceneSighting[] {
  if (landmarks.length === 0) return [];
  const reach = legs.reduce((most, { to }) => Math.max(most, lengthOf(to)), 0);
  const open = Math.max(LEAST_OPEN_METRES, OPEN_SHARE * reach);
  return landmarks.flatMap(({ sightings, place }) =>
    sightings.map(({ station, bearingDegrees }) => {
      const from = places.at(station);
      return { from, to: place ?? sumOf(from, polar(bearingDegrees, open)) };
    }),
  );
}

/** Names that a sketch bears; the log pane has the others. */
const MOST_MARKS = 120;

/** What is named: the start, the traveller, named stations, features and landmarks. */
function marksOf(solution: Solution, landmarks: readonly Landmark[], units: FigureUnits): Mark[] {
  const { outing, places, current } = solution;
  const marks: Mark[] = [{ key: 'start', kind: 'start', text: outing.start.name, ...places.at(0) }];
  if (current !== 0) {
    const text = `You, at ${stationName(solution, current)}`;
    marks.push({ key: 'you', kind: 'you', text, ...places.at(current) });
  }
  for (const { entry, index, leg } of walkLog(solution)) {
    if (marks.length >= MOST_MARKS) break;
    if (!leg) continue;
    if (entry.kind === 'leg' && entry.to && !leg.returns && leg.number !== current) {
      marks.push({ key: `s${index}`, kind: 'station', text: entry.to, ...leg.end });
    } else if (entry.kind === 'at') {
      const { what: text, thing: feature } = entry;
      marks.push({ key: `a${index}`, kind: 'seen', text, feature, ...besideLeg(leg, entry) });
    }
  }
  for (const { name, kind: feature, sightings, place } of landmarks) {
    const [first] = sightings;
    if (!place || !first || marks.length >= MOST_MARKS) continue;
    const text = `${name} ±${lengthText(place.uncertainty.semiMajorMetres, units)}`;
    marks.push({ key: `l${first.entry}`, kind: 'seen', text, feature, ...place });
  }
  return marks.map((mark) => ({ ...mark, text: visibleText(mark.text) }));
}

/** What is named, and the lines that names would rather not lie on. */
export interface Named {
  readonly marks: readonly Mark[];
  readonly stretches: readonly { readonly from: PlanePoint; readonly to: PlanePoint }[];
}

/** What is named in a scene, and its legs. */
export const namedIn = ({ outings }: Scene): Named => ({
  marks: outings.flatMap(({ marks }) => marks),
  stretches: outings.flatMap(({ legs }) => legs),
});

/** The origin, and the ends of all legs of a scene. */
export const scenePoints = ({ outings }: Scene): PlanePoint[] => [
  ORIGIN,
  ...outings.flatMap(({ legs }) => legs.map(({ to }) => to)),
];

/** The bounds of all legs of a scene, and the origin. */
export const sceneBounds = (scene: Scene): Bounds => boundsOf(scenePoints(scene));

/** The size of the bounds, in metres. */
export const sizeOf = ({ west, east, south, north }: Bounds): { width: Metres; height: Metres } => {
  const size = vectorBetween({ east: west, north: south }, { east, north });
  return { width: size.east, height: size.north };
};
