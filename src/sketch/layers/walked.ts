import { landmarkPlaces, type Landmark } from '@/core/survey/landmarks';
import { besideLeg } from '@/core/survey/beside-leg';
import { walkLog } from '@/core/survey/log-walk';
import { stationName, type Solution } from '@/core/survey/solution';
import { lengthText, type FigureUnits } from '@/core/units/figures';
import { lengthOf, polar, sumOf } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { NO_LAYER, type Layer, type LayerEllipse, type LayerLine, type Mark } from '../layer';

/**
 * An outing as it was walked: its legs by their number, its stations, what was seen from them and
 * what is named; how sure a landmark is, is said in a person's units.
 */
export function walkedLayer(solution: Solution, units: FigureUnits): Layer {
  const landmarks = landmarkPlaces(solution);
  const legs = legLines(solution);
  return {
    ...NO_LAYER,
    ellipses: landmarks.flatMap(({ place }): LayerEllipse[] =>
      place ? [{ kind: 'landmark', ...place, ellipse: place.uncertainty }] : [],
    ),
    lines: [...sightLines(solution, landmarks, legs), ...legs],
    dots: Array.from(solution.legs)
      .filter(({ returns }) => !returns)
      .map(({ end }) => end),
    marks: marksOf(solution, landmarks, units),
  };
}

/** The legs; one off the way from the start to the traveller is a side trip. */
function legLines(solution: Solution): LayerLine[] {
  const { legs, current } = solution;
  const onWay = new Set(legs.pathTo(current).map(({ number }) => number));
  return Array.from(legs, ({ number, start, end, to }) => ({
    // A leg that closes a loop is no side trip: it was walked from the way.
    kind: onWay.has(number) || to === current ? 'leg' : 'side-trip',
    number,
    points: [start, end],
  }));
}

/** How far a line of sight is drawn when its landmark isn't placed: a share of the walk's reach. */
const OPEN_SHARE = 0.25;
const LEAST_OPEN_METRES = 30;

/** Lines from a station to a landmark, or toward one whose place isn't known. */
function sightLines(
  { places }: Solution,
  landmarks: readonly Landmark[],
  legs: readonly LayerLine[],
): LayerLine[] {
  if (landmarks.length === 0) return [];
  const reach = legs.reduce(
    (most, { points }) => Math.max(most, ...points.slice(1).map(lengthOf)),
    0,
  );
  const open = Math.max(LEAST_OPEN_METRES, OPEN_SHARE * reach);
  return landmarks.flatMap(({ sightings, place }) =>
    sightings.map(({ station, bearingDegrees }): LayerLine => {
      const from = places.at(station);
      return { kind: 'sight', points: [from, place ?? sumOf(from, polar(bearingDegrees, open))] };
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
