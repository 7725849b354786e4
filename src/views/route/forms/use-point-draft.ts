import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import { useCallback, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readRouteText } from '@/core/log-text/route/route-text';
import { isLine } from '@/core/model/known-place';
import type { RoutePoint } from '@/core/model/route';
import { readTypedPlace } from '@/core/place/short-reference';
import { decimalDegrees } from '@/core/readings/place/degrees-text';
import { writeBearing, NO_NORTH } from '@/core/readings/bearing';
import { writeStationName } from '@/core/readings/name';
import type { Position } from '@/core/readings/position';
import type { Places } from '@/core/survey/places';
import { positionOfStation } from '@/core/survey/positions';
import { solve } from '@/core/survey/solve';
import { stationName } from '@/core/survey/solution';
import { fail, ok, type Result } from '@/core/units/result';
import { visibleText } from '@/core/units/visible';
import { areaLogs } from '@/store/documents/areas';
import { keepChoice } from '@/store/keep-choice';
import { keptChoice } from '@/store/kept-choice';
import { knownPlaces } from '@/store/known/known-places';
import { listedOutings } from '@/store/snapshots/listed';
import { useLive } from '@/ui/use-live';
import { surveyOfArea } from '@/views/area/survey-of-area';
import { browserDatabase } from '@/store/browser-database';
import { loadEarthModels } from '@/views/shared/data/use-earth-models';
import { firstSquare, keepSquare } from '@/views/shared/fields/grid-choice';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

export type HowKnown = 'typed' | 'known' | 'paper' | 'station';

interface Fields {
  readonly name: string;
  readonly how: HowKnown;
  readonly place: string;
  readonly square: string;
  readonly known: string | undefined;
  readonly station: string | undefined;
  readonly bearing: string;
  readonly length: string;
  readonly scale: string;
  readonly note: string;
  readonly isAttack: boolean;
}

const SCALE_KEY = 'cairn-map-scale';

function fieldsOf(edited: RoutePoint | null, from: RoutePoint | null): Fields {
  const { paper, position } = edited ?? {};
  const near = position ?? from?.position;
  return {
    name: edited?.name ?? '',
    how: paper ? 'paper' : 'typed',
    place: position ? decimalDegrees(position) : '',
    square: firstSquare(near),
    known: undefined,
    station: undefined,
    bearing: paper ? writeBearing(paper.bearing, NO_NORTH) : '',
    length: paper ? `${paper.length}${paper.unit}` : '',
    scale: paper ? `1:${paper.scale}` : (keptChoice(SCALE_KEY) ?? '1:25000'),
    note: edited?.note ?? '',
    isAttack: edited?.isAttack === true,
  };
}

/** A measure on paper by its three fields, read as a line of the route's text. */
function readMeasured(
  name: string,
  { bearing, length, scale }: Fields,
): Result<RoutePoint, string> {
  const line = `point ${writeStationName(name)} by ${bearing} ${length} on ${scale}`;
  const read = readRouteText(`point A at 0 0\n${line}`, 'measure');
  if (!read.ok) return fail(faultMessage(nth(read.fault, 0).fault));
  return ok(nth(read.value.points, 1));
}

type Where = Pick<RoutePoint, 'position' | 'withinMetres' | 'paper'>;

/** Where the fields say that the point is; null where nothing is typed yet. */
function whereOf(fields: Fields, chosen: Where | null): Result<Where, string> | null {
  if (fields.how === 'typed') {
    if (fields.place.trim() === '') return null;
    const read = readTypedPlace(fields.place, fields.square.trim() || null);
    if (!read.ok) return fail(faultMessage(read.fault));
    const { position, withinMetres } = read.value;
    return ok({ position, ...(withinMetres !== undefined && { withinMetres }) });
  }
  if (fields.how === 'paper') {
    if (fields.bearing.trim() === '' || fields.length.trim() === '') return null;
    const measured = readMeasured('B', fields);
    return measured.ok ? ok({ paper: measured.value.paper }) : measured;
  }
  return chosen && ok(chosen);
}

/** The national grid that the place is typed in, by its name. */
function gridOf({ how, place, square }: Fields): string | undefined {
  const read = how === 'typed' ? readTypedPlace(place, square) : null;
  return read?.ok ? read.value.grid : undefined;
}

interface Station {
  readonly key: string;
  readonly label: string;
  readonly name: string;
  readonly position: Position;
}

/** The stations of places that are on the earth, each with a name. */
const stationsIn = (
  places: Places,
  of: { readonly id: string; readonly name: string },
  nameOf: (station: number) => string,
): Station[] =>
  places.stations().flatMap((station) => {
    const position = positionOfStation(places, station);
    if (!position) return [];
    const name = visibleText(nameOf(station));
    const label = `${name} — ${visibleText(of.name) || of.id}`;
    return [{ key: `${of.id} ${station}`, label, name, position }];
  });

/** The stations of all outings and areas that are on the earth. */
async function stationsOnEarth(): Promise<Station[]> {
  const database = browserDatabase();
  const [{ outings: listed }, areas, models] = await Promise.all([
    listedOutings(database),
    areaLogs.all(database),
    loadEarthModels(),
  ]);
  const outings = listed.map(({ state }) => state.document);
  const ofOutings = outings.flatMap((outing) => {
    const solved = solve(outing, models, { tools: surveyTools });
    if (!solved.ok) return [];
    return stationsIn(solved.value.places, outing, (each) => stationName(solved.value, each));
  });
  const ofAreas = areas.flatMap(({ document: area }) => {
    const survey = surveyOfArea(area, outings, models);
    const names = survey?.party.nodes.all ?? [];
    return survey ? stationsIn(survey.places, area, (each) => names[each]?.name ?? '') : [];
  });
  return [...ofAreas, ...ofOutings].filter(({ name }) => name !== '');
}

const rounded = ({ latitude, longitude }: Position): Position => ({
  latitude: Math.round(latitude * 1e7) / 1e7,
  longitude: Math.round(longitude * 1e7) / 1e7,
});

interface Props {
  from: RoutePoint | null;
  edited: RoutePoint | null;
  /** With the national grid that its place was read in, by its name. */
  onSave: (point: RoutePoint, grid: string | undefined) => Promise<boolean>;
}

/** What is typed of a point, what it means, and how it is stored. */
export function usePointDraft({ from, edited, onSave }: Props) {
  const [fields, setFields] = useState(() => fieldsOf(edited, from));
  const [chosen, setChosen] = useState<Where | null>(null);
  const [asked, setAsked] = useState(false);
  const live = useLive(useCallback(() => knownPlaces(browserDatabase()), []));
  const known = live && 'value' in live ? live.value.filter((place) => !isLine(place)) : [];
  const stored = useLive(stationsOnEarth);
  const stations = stored && 'value' in stored ? stored.value : [];
  const set = (change: Partial<Fields>) => setFields((before) => ({ ...before, ...change }));
  const where = whereOf(fields, chosen);
  const wrong = where && !where.ok ? where.fault : null;
  const name = fields.name.replace(/[\s;]+/g, ' ').trim();
  const note = fields.note.replace(/[\s;]+/g, ' ').trim();
  const point: RoutePoint | null =
    where?.ok && name !== ''
      ? { name, ...where.value, ...(fields.isAttack && { isAttack: true }), ...(note && { note }) }
      : null;
  const put = async () => {
    setAsked(true);
    if (!point) return;
    keepSquare(fields.square, point.position);
    if (fields.how === 'paper') void keepChoice(SCALE_KEY, fields.scale);
    if (!(await onSave(point, gridOf(fields)))) return;
    setAsked(false);
    setChosen(null);
    setFields({ ...fieldsOf(null, point), how: fields.how });
    document.getElementById('point-name')?.focus();
  };
  const named = (given: string) => (name === '' ? { name: given } : {});
  const chooseKnown = (id: string) => {
    const place = known.find((each) => each.id === id);
    if (!place) return;
    const { withinMetres } = place;
    set({ known: id, ...named(place.name) });
    setChosen({ position: nth(place.positions, 0), ...(withinMetres && { withinMetres }) });
  };
  const chooseStation = (key: string) => {
    const station = stations.find((each) => each.key === key);
    if (!station) return;
    set({ station: key, ...named(station.name) });
    setChosen({ position: rounded(station.position) });
  };
  const missing = asked && !where ? WORDS.needsPlace : null;
  return {
    fields,
    set,
    asked,
    wrong: wrong ?? missing,
    point,
    put,
    known,
    stations,
    chooseKnown,
    chooseStation,
  };
}
