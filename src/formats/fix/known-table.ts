import type { Fault } from '../../core/faults/fault';
import { faultMessage } from '../../core/faults/messages';
import type { KnownPlace } from '../../core/model/known-place';
import type { TypedPlace } from '../../core/readings/place/grid-reader';
import { readTypedPlace } from '../../core/place/short-reference';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { plainName } from '../import/tracks';
import { readCells } from '../import/read-csv';

/** What a column of a table of places can be, and the heads that people give it. */
const HEADS = {
  name: ['name', 'place', 'station', 'point', 'landmark', 'title', 'label'],
  latitude: ['lat', 'latitude', 'y (lat)'],
  longitude: ['lon', 'long', 'lng', 'longitude', 'x (lon)'],
  position: [
    'position',
    'grid',
    'grid ref',
    'grid reference',
    'reference',
    'square',
    'mgrs',
    'utm',
  ],
  easting: ['easting', 'east', 'e'],
  northing: ['northing', 'north', 'n'],
  zone: ['zone', 'utm zone'],
  within: ['within', 'accuracy', 'within (m)', 'accuracy (m)'],
  note: ['note', 'notes', 'comment', 'description', 'remarks', 'remark', 'desc'],
} as const;
type PlaceField = keyof typeof HEADS;

/** The place in the cells of a row, in whichever way its columns tell it. */
type CellOf = (field: PlaceField) => string;

const plainHead = (cell: string) => cell.toLowerCase().replace(/_/g, ' ').trim();

/** Which column each field has; null where the heads are not those of a table of places. */
function columnsOf(head: readonly string[]): ReadonlyMap<PlaceField, number> | null {
  const found = new Map<PlaceField, number>();
  head.map(plainHead).forEach((cell, index) => {
    const field = (Object.keys(HEADS) as PlaceField[]).find((each) =>
      (HEADS[each] as readonly string[]).includes(cell),
    );
    if (field && !found.has(field)) found.set(field, index);
  });
  const hasAll = (...fields: PlaceField[]) => fields.every((field) => found.has(field));
  const isPlaced =
    hasAll('latitude', 'longitude') || hasAll('easting', 'northing') || hasAll('position');
  return hasAll('name') && isPlaced ? found : null;
}

/** True for a text that begins with the heads of a table of places. */
export function looksLikePlaces(text: string): boolean {
  const [first = ''] = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/, 1);
  const cells = first.slice(0, 10_000).split(/[,;\t]/);
  return columnsOf(cells.map((cell) => cell.replace(/^\s*"|"\s*$/g, ''))) !== null;
}

function placeText(cell: CellOf): string {
  if (cell('latitude') !== '') return `${cell('latitude')} ${cell('longitude')}`;
  if (cell('easting') !== '') {
    return `${cell('zone')} ${cell('easting')} ${cell('northing')}`.trim();
  }
  return cell('position');
}

/**
 * The places of a table: a name, and latitude and longitude, easting and northing, or a reference.
 * `square` is the one that digits alone belong to; null for none. All rows, or none.
 */
export function readKnownTable(
  text: string,
  square: string | null,
  newId: () => string,
): Result<KnownPlace[], FileFault[]> {
  const cells = readCells(text);
  if (!cells.ok) return cells;
  const [head = [], ...rows] = cells.value;
  const columns = columnsOf(head);
  if (!columns) return fail([fileFault(NO_COLUMNS)]);
  const faults: FileFault[] = [];
  const places = rows.flatMap((row, index): KnownPlace[] => {
    const cell: CellOf = (field) => row[columns.get(field) ?? -1] ?? '';
    const read: Result<TypedPlace, Fault> = readTypedPlace(placeText(cell), square);
    const within = cell('within') === '' ? undefined : Number(cell('within'));
    if (!read.ok) {
      const message = `“${cell('name')}”: ${faultMessage(read.fault)}`;
      faults.push(fileFault(message, { line: index + 2 }));
      return [];
    }
    if (within !== undefined && !(within > 0)) {
      faults.push(fileFault(`“${cell('within')}” is no number of metres.`, { line: index + 2 }));
      return [];
    }
    const { position, withinMetres = within } = read.value;
    return [
      {
        id: newId(),
        name: plainName(cell('name')) || `Place ${index + 1}`,
        positions: [position],
        ...((within ?? withinMetres) !== undefined && { withinMetres: within ?? withinMetres }),
        ...(cell('note') && { note: cell('note').replace(/\s+/g, ' ').slice(0, 500) }),
      },
    ];
  });
  return faults.length > 0 ? fail(faults.slice(0, MOST_FAULTS)) : ok(places);
}

const MOST_FAULTS = 20;
const NO_COLUMNS =
  'A table of places has a column “name”, and “latitude” and “longitude”, “easting” and ' +
  '“northing”, or “position”.';
