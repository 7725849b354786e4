import { visibleText } from '@/core/units/visible';
import { besideLeg } from '@/core/survey/beside-leg';
import { walkLog } from '@/core/survey/log-walk';
import { givenName } from '@/core/survey/party/stations';
import type { Survey } from '@/core/survey/party/survey';
import { lengthOf, vectorBetween, type PlanePoint } from '@/core/units/plane';
import type { Mark, Scene, SceneLeg, SceneOuting } from './scene';

/** How the line of each outing is broken, so that none needs a colour to be distinguished. */
const DASHES = ['none', '14 6', '3 6', '16 5 3 5', '8 4', '22 4 3 4 3 4'] as const;

/** The dashes of an outing's line; after six outings they begin again, with their number. */
export const dashesOf = (outing: number): string => DASHES[outing % DASHES.length]!;

/** Names that an area sketch bears; the list of points has the others. */
const MOST_MARKS = 200;

/** The scene of a survey: each outing's legs between the places of its stations. */
export function areaScene(survey: Survey, hidden: ReadonlySet<number>): Scene {
  const { members } = survey.party;
  const isHidden = (outing: number) => hidden.has(outing);
  // A name is shown as long as one of the outings that come there is; it is drawn once.
  const named = namesOf(survey, isHidden);
  const first = members.findIndex((_, outing) => !isHidden(outing));
  return {
    outings: members.map((_, outing) =>
      isHidden(outing) ? NOTHING : sceneOuting(survey, outing, outing === first ? named : []),
    ),
  };
}

const NOTHING: SceneOuting = { legs: [], stations: [], sightings: [], marks: [] };

function sceneOuting(survey: Survey, outing: number, names: readonly Mark[]): SceneOuting {
  const { party, places } = survey;
  const { solution } = party.members[outing]!;
  const at = (station: number) => places.at(party.nodes.of({ outing, station }));
  const legs = Array.from(solution.legs, (leg): SceneLeg => ({
    number: leg.number,
    from: at(leg.from),
    to: at(leg.to),
    onWay: true,
  }));
  const seen: Mark[] = [];
  for (const { entry, index, leg } of walkLog(solution)) {
    if (!leg || entry.kind !== 'at') continue;
    const placed = { ...leg, start: at(leg.from), end: at(leg.to) };
    const point = besideLeg(placed, entry);
    const text = visibleText(entry.what);
    seen.push({ key: `${outing} a${index}`, kind: 'seen', text, feature: entry.thing, ...point });
  }
  return {
    legs,
    stations: solution.places.stations().map(at),
    sightings: [],
    marks: [...names, ...seen].slice(0, MOST_MARKS),
  };
}

/** The names of places to which an outing that is shown comes; the origin is the start. */
function namesOf({ party, places }: Survey, isHidden: (outing: number) => boolean): Mark[] {
  return party.nodes.all.flatMap(({ name, stations }, node): Mark[] => {
    if (stations.every(({ outing }) => isHidden(outing))) return [];
    const isNamed = stations.some(
      ({ outing, station }) => givenName(party.members[outing]!.solution, station) !== null,
    );
    if (!isNamed && node !== 0) return [];
    const kind = node === 0 ? 'start' : 'station';
    return [{ key: `n${node}`, kind, text: visibleText(name), ...places.at(node) }];
  });
}

/** Where the number of an outing stands: in the middle of its longest leg. */
export function labelPoint({ legs }: SceneOuting): PlanePoint | null {
  let [best, most] = [null as PlanePoint | null, 0];
  for (const { from, to } of legs) {
    const metres = lengthOf(vectorBetween(from, to));
    if (metres <= most) continue;
    most = metres;
    best = { east: (from.east + to.east) / 2, north: (from.north + to.north) / 2 };
  }
  return best;
}
