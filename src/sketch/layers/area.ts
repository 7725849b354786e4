import { greatest } from 'd3-array';
import { visibleText } from '@/core/units/visible';
import { ellipse } from '@/core/errors/ellipse';
import { besideLeg } from '@/core/survey/beside-leg';
import { walkLog } from '@/core/survey/log-walk';
import { givenName } from '@/core/survey/party/stations';
import type { Survey } from '@/core/survey/party/survey';
import { lengthOf, scaled, sumOf, vectorBetween, type PlanePoint } from '@/core/units/plane';
import {
  NO_LAYER,
  stretchesOf,
  type Layer,
  type LayerEllipse,
  type LayerLine,
  type Mark,
} from '../layer';
import { nth } from '@/core/units/nth';

/** How the line of each outing is broken, so that none needs a colour to be distinguished. */
const DASHES = ['none', '14 6', '3 6', '16 5 3 5', '8 4', '22 4 3 4 3 4'] as const;

/** The dashes of an outing's line; after six outings they begin again, with their number. */
export const dashesOf = (outing: number): string => nth(DASHES, outing % DASHES.length);

const MOST_ELLIPSES = 500;
/** Names that an area sketch bears; the list of points has the others. */
const MOST_MARKS = 200;

/** A survey: a layer for each outing, its legs between the adjusted places of its stations. */
export function areaLayers(survey: Survey, hidden: ReadonlySet<number>): Layer[] {
  const { members } = survey.party;
  const isHidden = (outing: number) => hidden.has(outing);
  // A name is shown as long as one of the outings that come there is; it is drawn once.
  const named = namesOf(survey, isHidden);
  const first = members.findIndex((_, outing) => !isHidden(outing));
  return members.map((_, outing) =>
    isHidden(outing) ? NO_LAYER : outingLayer(survey, outing, outing === first ? named : []),
  );
}

function outingLayer(survey: Survey, outing: number, names: readonly Mark[]): Layer {
  const { party, places } = survey;
  const { solution } = nth(party.members, outing);
  const at = (station: number) => places.at(party.nodes.of({ outing, station }));
  const lines = Array.from(solution.legs, (leg): LayerLine => ({
    kind: 'leg',
    points: [at(leg.from), at(leg.to)],
  }));
  const seen: Mark[] = [];
  for (const { entry, index, leg } of walkLog(solution)) {
    if (!leg || entry.kind !== 'at') continue;
    const placed = { ...leg, start: at(leg.from), end: at(leg.to) };
    const point = besideLeg(placed, entry);
    const text = visibleText(entry.what);
    seen.push({ key: `${outing} a${index}`, kind: 'seen', text, feature: entry.thing, ...point });
  }
  const number: Mark[] = midOfLongest(lines).map((point) => ({
    key: `${outing} number`,
    kind: 'number',
    text: `${outing + 1}`,
    ...point,
  }));
  return {
    ...NO_LAYER,
    lines,
    dots: solution.places.stations().map(at),
    marks: [...number, ...names, ...seen].slice(0, MOST_MARKS),
    dash: dashesOf(outing),
  };
}

/** Where the number of an outing is: in the middle of its longest leg; nothing without a leg. */
function midOfLongest(lines: readonly LayerLine[]): PlanePoint[] {
  const stretches = lines.flatMap(stretchesOf);
  const longest = greatest(stretches, ({ from, to }) => lengthOf(vectorBetween(from, to)));
  return longest ? [scaled(sumOf(longest.from, longest.to), 0.5)] : [];
}

/** The names of places to which an outing that is shown comes; the origin is the start. */
function namesOf({ party, places }: Survey, isHidden: (outing: number) => boolean): Mark[] {
  return party.nodes.all.flatMap(({ name, stations }, node): Mark[] => {
    if (stations.every(({ outing }) => isHidden(outing))) return [];
    const isNamed = stations.some(
      ({ outing, station }) => givenName(nth(party.members, outing).solution, station) !== null,
    );
    if (!isNamed && node !== 0) return [];
    const kind = node === 0 ? 'start' : 'station';
    return [{ key: `n${node}`, kind, text: visibleText(name), ...places.at(node) }];
  });
}

/**
 * How sure each place is, against the origin, where an outing comes that is shown; more ellipses
 * would cover the map.
 */
export function sureLayer({ party, places }: Survey, hidden: ReadonlySet<number>): Layer {
  const covariances = places.fromOrigin();
  const isShown = (node: number) =>
    nth(party.nodes.all, node).stations.some(({ outing }) => !hidden.has(outing));
  const ellipses = places
    .stations()
    .filter(isShown)
    .slice(0, MOST_ELLIPSES)
    .map((node): LayerEllipse => ({
      kind: 'place',
      ...places.at(node),
      ellipse: ellipse(nth(covariances, node)),
    }));
  return { ...NO_LAYER, ellipses };
}

/** The places between which the way is asked, and the straight way between them. */
export function wayLayer({ places }: Survey, ends: readonly (number | null)[]): Layer {
  const points = ends.flatMap((node) => (node === null ? [] : [places.at(node)]));
  return {
    ...NO_LAYER,
    lines: points.length > 1 ? [{ kind: 'home', points }] : [],
    marks: points.map((point, index) => ({ key: `end${index}`, kind: 'end', text: '', ...point })),
  };
}
