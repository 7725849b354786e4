import { surveyTools } from '../core/survey/adjusted/survey-tools';
import { visibleText, withoutTurns } from '../core/units/visible';
import Papa from 'papaparse';
import { writeEntry, type Leg } from '../core/entries/entry';
import { headerLines } from '../core/log-text/write-log';
import type { Outing } from '../core/model/outing';
import type { EarthModels } from '../core/north/earth-models';
import { bearingDegrees, NO_NORTH, writeBearing } from '../core/readings/bearing';
import { writeDistance } from '../core/readings/distance';
import type { Position } from '../core/readings/position';
import { solve } from '../core/survey/solve';
import { stationName, type Solution } from '../core/survey/solution';
import { ok } from '../core/units/result';
import type { Format } from './format';
import { geoOuting } from './geo-outing';

/**
 * The columns that are written. `line` holds the line of the log with the north of its bearing;
 * with the lines of the header, which have rows of their own, it is enough to make the outing.
 * `unit` is what x and y are in.
 */
const CSV_COLUMNS = [
  'outing',
  'number',
  'kind',
  'from',
  'to',
  'bearing',
  'north',
  'distance',
  'metres',
  'back',
  'ground',
  'time',
  'note',
  'x',
  'y',
  'latitude',
  'longitude',
  'line',
  'outing id',
  'unit',
] as const;
type Row = Partial<Record<(typeof CSV_COLUMNS)[number], string | number>>;

function rows(outing: Outing, models: EarthModels | null): Row[] {
  const about: Row = { outing: visibleText(outing.name), 'outing id': outing.id };
  const solved = solve(outing, models, { tools: surveyTools });
  const geo = geoOuting(outing, models);
  const positions = geo.ok ? geo.value.legs.map(({ ends }) => ends[1]) : [];
  const header = headerLines(outing)
    .filter((line) => !/^(cairn-back|outing)\b/.test(line))
    .map((line): Row => ({ ...about, kind: 'header', line: withoutTurns(line) }));
  let leg = 0;
  const entries = outing.entries.map((entry): Row => {
    // Each line names its norths, so that a table that is sorted or cut still says the same.
    const line = withoutTurns(writeEntry(entry, NO_NORTH).trim());
    const row: Row = { ...about, kind: entry.kind, line };
    if ('note' in entry && entry.note) row.note = visibleText(entry.note);
    if ('what' in entry) row.note = visibleText(entry.what);
    if (entry.kind !== 'leg') return row;
    const number = ++leg;
    const computed = solved.ok ? computedCells(solved.value, number, positions[number - 1]) : {};
    return { ...row, ...legCells(entry), number, ...computed };
  });
  return [...header, ...entries];
}

function legCells(leg: Leg): Row {
  return {
    bearing: Number(bearingDegrees(leg.bearing).toFixed(6)),
    north: leg.bearing.north,
    distance: writeDistance(leg.distance),
    ...(leg.back && { back: writeBearing(leg.back, NO_NORTH) }),
    ...(leg.ground && { ground: leg.ground }),
    ...(leg.time && { time: leg.time }),
  };
}

function computedCells(solution: Solution, number: number, position: Position | undefined): Row {
  const { from, to, metres, end } = solution.legs.leg(number);
  const { unit } = solution.places.frame;
  return {
    from: visibleText(stationName(solution, from)),
    to: visibleText(stationName(solution, to)),
    ...(unit === 'metre' && { metres: Number(metres.toFixed(3)) }),
    x: Number(end.east.toFixed(3)),
    y: Number(end.north.toFixed(3)),
    unit,
    ...(position && {
      latitude: Number(position.latitude.toFixed(9)),
      longitude: Number(position.longitude.toFixed(9)),
    }),
  };
}

/**
 * A table with a row for each line (RFC 4180). A cell that a spreadsheet would take for a formula
 * begins with an apostrophe, which reading removes.
 */
export const csvFormat: Format = {
  name: 'csv',
  mediaType: 'text/csv',
  fileEnding: '.csv',
  write(logbook, models) {
    const data = logbook.outings.flatMap((outing) => rows(outing, models));
    const text = Papa.unparse(
      {
        fields: [...CSV_COLUMNS],
        data: data.map((row) => CSV_COLUMNS.map((name) => row[name] ?? '')),
      },
      { newline: '\r\n', escapeFormulae: /^'*[=+\-@\t\r]/ },
    );
    return ok(`${text}\r\n`);
  },
};
