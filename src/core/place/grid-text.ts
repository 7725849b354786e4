import { forward, toPoint } from 'mgrs';
import proj4 from 'proj4';
import type { Fault } from '../faults/fault';
import type { Position } from '../readings/position';
import type { TypedPlace } from '../readings/place/grid-reader';
import { fail, ok, type Result } from '../units/result';
import { readNationalText } from './national-text';
import { utmBand, utmZone } from './utm-zone';

const UTM = new RegExp(
  String.raw`^(\d{1,2})\s*(north|south|[c-hj-np-x])\s*(?:e\s*)?(\d+(?:\.\d+)?)\s*m?\s*e?` +
    String.raw`[\s,;]+(?:n\s*)?(\d+(?:\.\d+)?)\s*m?\s*n?$`,
  'i',
);
const SQUARE = /^(\d{1,2})([C-HJ-NP-X])([A-HJ-NP-Z][A-HJ-NP-V])(\d*)$/;

const grid = (zone: number, south: boolean) =>
  proj4(`+proj=utm +zone=${zone} ${south ? '+south ' : ''}+datum=WGS84`);

const outOfRange = (
  what: 'zone' | 'easting' | 'northing',
  found: string,
  least: number,
  most: number,
) => fail<Fault>({ code: 'out-of-range', what, found, least, most });

/** The edges of the grid in degrees; a square or a rounded metre there may be a little outside. */
const EDGES = { south: -80, north: 84, date: 180, slack: 1e-4 } as const;

/**
 * A place of a zone as it was meant: on the edge of the grid and not metres outside, on the zone's
 * own side of the date line, to a centimetre (1e-7 of a degree: a grid gives no more).
 */
function settled(latitude: number, longitude: number, zone: number): Position {
  const { south, north, date, slack } = EDGES;
  const nearSouth = latitude < south && latitude > south - slack;
  const nearNorth = latitude > north && latitude < north + slack;
  const edge = nearSouth ? south : nearNorth ? north : latitude;
  const turned =
    longitude > date ? longitude - 360 : longitude < -date ? longitude + 360 : longitude;
  const overDate = zone === 60 ? turned < 0 && turned + date < slack : false;
  const underDate = zone === 1 ? turned > 0 && date - turned < slack : false;
  const rounded = (degrees: number) => Math.round(degrees * 1e7) / 1e7;
  return {
    latitude: rounded(edge),
    longitude: overDate ? date : underDate ? -date : rounded(turned),
  };
}

/** How far a place may be over the edge of its band: the letter is often read off a margin. */
const BAND_SLACK = 0.5;

function readUtm(found: RegExpExecArray): Result<TypedPlace, Fault> {
  const [, zoneText = '', letters = '', eastText = '', northText = ''] = found;
  const [zone, east, north] = [Number(zoneText), Number(eastText), Number(northText)];
  if (zone < 1 || zone > 60) return outOfRange('zone', zoneText, 1, 60);
  if (east < 100_000 || east > 900_000) return outOfRange('easting', eastText, 100_000, 900_000);
  if (north > 10_000_000) return outOfRange('northing', northText, 0, 10_000_000);
  const band = letters.length === 1 ? letters.toUpperCase() : null;
  const south = band === null ? letters.toLowerCase() === 'south' : band < 'N';
  const [foundEast = NaN, foundNorth = NaN] = grid(zone, south).inverse([east, north]);
  const position = settled(foundNorth, foundEast, zone);
  const { latitude } = position;
  const at = utmBand(latitude);
  const near =
    band === null ||
    [-BAND_SLACK, 0, BAND_SLACK].some((slack) => utmBand(latitude + slack) === band);
  if (at !== null && near) return ok({ position, withinMetres: 1 });
  if (at === null) return fail({ code: 'no-grid-there' });
  // The letter S is a band of the north to some and the word south to others: neither is guessed.
  const [, otherLatitude = NaN] = grid(zone, !south).inverse([east, north]);
  const nearest = [`${zone}${at} ${eastText} ${northText}`];
  const mirrored = utmBand(otherLatitude);
  if (mirrored) nearest.push(`${zone}${mirrored} ${eastText} ${northText}`);
  return fail({ code: 'wrong-band', band: band ?? '', latitude, nearest });
}

/** Fewer digits are a square of 10 km or more: no place to walk from. */
const FEWEST_DIGITS = 4;
/** Of each axis: a square of 1 m. */
const MOST_DIGITS = 5;

function readSquare(text: string, found: RegExpExecArray): Result<TypedPlace, Fault> {
  const [, zoneText = '', , , digits = ''] = found;
  const zone = Number(zoneText);
  if (zone < 1 || zone > 60) return outOfRange('zone', zoneText, 1, 60);
  const unreadable = fail<Fault>({
    code: 'unexpected',
    found: text.slice(0, 60),
    expected: 'place',
  });
  if (digits.length % 2 !== 0 || digits.length < FEWEST_DIGITS || digits.length > 2 * MOST_DIGITS) {
    return unreadable;
  }
  try {
    const [longitude, latitude] = toPoint(text);
    const position = settled(latitude, longitude, zone);
    const isPlace = Number.isFinite(latitude) && Number.isFinite(longitude);
    if (!isPlace || utmBand(position.latitude) === null) return unreadable;
    return ok({ position, withinMetres: 10 ** (MOST_DIGITS - digits.length / 2) });
  } catch {
    // The package throws strings for letters that no square has.
    return unreadable;
  }
}

/**
 * A place by UTM (`20U 467383 6005890`, `20 north …`), by a square of it (`20UMF6738205889`), or by
 * a national grid (`SD 805 660`); null when it looks like none.
 */
export function readGridText(text: string): Result<TypedPlace, Fault> | null {
  const utm = UTM.exec(text.trim());
  if (utm) return readUtm(utm);
  const packed = text.replace(/\s+/g, '').toUpperCase();
  const square = SQUARE.exec(packed);
  return square ? readSquare(packed, square) : readNationalText(text);
}

/** A position in UTM to the metre; null beyond 80 S and 84 N. */
export function utmText(position: Position): string | null {
  const band = utmBand(position.latitude);
  if (band === null) return null;
  const zone = utmZone(position);
  const [east = NaN, north = NaN] = grid(zone, band < 'N').forward([
    position.longitude,
    position.latitude,
  ]);
  return `${zone}${band} ${Math.round(east)} ${Math.round(north)}`;
}

/** The square of 1 m that holds a position; null beyond 80 S and 84 N. */
export function squareText({ latitude, longitude }: Position): string | null {
  if (utmBand(latitude) === null) return null;
  const packed = forward([longitude, latitude], 5);
  return packed.replace(/^(\d+[A-Z])([A-Z]{2})(\d{5})(\d{5})$/, '$1 $2 $3 $4');
}
