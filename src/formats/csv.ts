import Papa from 'papaparse';
import { headerLines, writeBearing, writeDistance, writeEntry } from '../core/log-text/write-log';
import type { EarthModels } from '../core/earth-models';
import type { Leg, Outing, Position } from '../core/logbook';
import type { North } from '../core/north';
import { bearingDegrees } from '../core/reading';
import { ok } from '../core/result';
import { solve, stationName, type Solution } from '../core/solve';
import type { Format } from './format';
import { placed } from './placed';

/**
 * The columns that are written. `line` holds the line of the log as it stands, with the north of its bearing; with the lines of
 * the header, which have rows of their own, it is enough to make the outing again.
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
] as const;
type Row = Partial<Record<(typeof CSV_COLUMNS)[number], string | number>>;

function rows(outing: Outing, models: EarthModels | null): Row[] {
  const solved = solve(outing, models);
  const solution = solved.ok ? solved.value : null;
  const laid = placed(outing, models);
  const positions = laid.ok ? laid.value.legs.map(({ ends }) => ends[1]) : [];
  let leg = 0;
  const head = headerLines(outing)
    .filter((line) => !/^(cairn-back|outing)\b/.test(line))
    .map((line) => ({ outing: outing.name, kind: 'header', line }));
  const lines = outing.entries.map((entry) => {
    // Each line by itself names its norths, so that a table that is sorted or cut still says the same.
    const line = writeEntry(entry, NO_NORTH).trim();
    const row: Row = { outing: outing.name, kind: entry.kind, line };
    if ('note' in entry && entry.note) row.note = entry.note;
    if ('what' in entry) row.note = entry.what;
    if (entry.kind !== 'leg') return row;
    leg++;
    return {
      ...row,
      ...legCells(entry),
      number: leg,
      ...(solution ? worked(solution, leg, positions[leg - 1]) : {}),
    };
  });
  return [...head, ...lines];
}

/** No north is taken for granted: every bearing bears its letter. */
const NO_NORTH = 'none' as North;

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

function worked(solution: Solution, leg: number, position: Position | undefined): Row {
  const { traverse } = solution;
  return {
    from: stationName(solution, traverse.from[leg]!),
    to: stationName(solution, solution.stationOfLeg[leg]!),
    metres: Number(traverse.lengthMetres[leg]!.toFixed(3)),
    x: Number(traverse.east[leg]!.toFixed(3)),
    y: Number(traverse.north[leg]!.toFixed(3)),
    ...(position && {
      latitude: Number(position.latitude.toFixed(9)),
      longitude: Number(position.longitude.toFixed(9)),
    }),
  };
}
/**
 * A table with a row a line (RFC 4180). A cell that a spreadsheet would take for a formula begins with an apostrophe, which
 * reading takes off again.
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
