import { forward, toPoint } from 'mgrs';
import proj4 from 'proj4';
import type { Fault } from '../faults';
import type { Position } from '../logbook';
import { fail, ok, type Result } from '../result';
import { utmBand, utmZone } from '../utm-zone';

const UTM =
  /^(\d{1,2})\s*(north|south|[c-hj-np-x])\s*(?:e\s*)?(\d+(?:\.\d+)?)\s*m?\s*e?[\s,;]+(?:n\s*)?(\d+(?:\.\d+)?)\s*m?\s*n?$/i;
const SQUARE = /^(\d{1,2})([C-HJ-NP-X])([A-HJ-NP-Z][A-HJ-NP-V])(\d*)$/;

const grid = (zone: number, south: boolean) =>
  proj4(`+proj=utm +zone=${zone} ${south ? '+south ' : ''}+datum=WGS84`);

const outOfRange = (
  what: 'zone' | 'easting' | 'northing',
  found: string,
  least: number,
  most: number,
) => fail<Fault>({ code: 'out-of-range', what, found, least, most });

/** How far a place may reach over the edge of its band: a band's letter is often read off a map's margin. */
const BAND_SLACK = 0.5;

function readUtm(found: RegExpExecArray): Result<Position, Fault> {
  const [, zoneText, letters, eastText, northText] = found as unknown as [string, ...string[]];
  const [zone, east, north] = [Number(zoneText), Number(eastText), Number(northText)];
  if (zone < 1 || zone > 60) return outOfRange('zone', zoneText!, 1, 60);
  if (east < 100_000 || east > 900_000) return outOfRange('easting', eastText!, 100_000, 900_000);
  if (north > 10_000_000) return outOfRange('northing', northText!, 0, 10_000_000);
  const band = letters!.length === 1 ? letters!.toUpperCase() : null;
  const south = band === null ? letters!.toLowerCase() === 'south' : band < 'N';
  const [longitude, latitude] = grid(zone, south).inverse([east, north]) as [number, number];
  const at = utmBand(latitude);
  const near =
    band === null ||
    [-BAND_SLACK, 0, BAND_SLACK].some((slack) => utmBand(latitude + slack) === band);
  if (at !== null && near) return ok({ latitude, longitude });
  if (at === null) return fail({ code: 'no-grid-there' });
  // The letter S is a band of the north to some and the word south to others: neither is guessed.
  const other = grid(zone, !south).inverse([east, north]) as [number, number];
  const nearest = [`${zone}${at} ${east} ${north}`];
  const mirrored = utmBand(other[1]);
  if (mirrored) nearest.push(`${zone}${mirrored} ${east} ${north}`);
  return fail({ code: 'wrong-band', band: band!, latitude, nearest });
}

/** Fewer digits than these are a square of 10 km and more: no place to walk from. */
const FEWEST_DIGITS = 4;

function readSquare(text: string, found: RegExpExecArray): Result<Position, Fault> {
  const [, zoneText, , , digits] = found as unknown as [string, ...string[]];
  const zone = Number(zoneText);
  if (zone < 1 || zone > 60) return outOfRange('zone', zoneText!, 1, 60);
  const unreadable = fail<Fault>({
    code: 'unexpected',
    found: text.slice(0, 60),
    expected: 'place',
  });
  if (digits!.length % 2 !== 0 || digits!.length < FEWEST_DIGITS || digits!.length > 10) {
    return unreadable;
  }
  try {
    const [longitude, latitude] = toPoint(text);
    return Number.isFinite(latitude) && Number.isFinite(longitude) && utmBand(latitude) !== null
      ? ok({ latitude, longitude })
      : unreadable;
  } catch {
    // The package throws strings for letters that no square has.
    return unreadable;
  }
}

/** A place by UTM (`20U 467383 6005890`, `20 north …`) or by a square of it (`20UMF6738205889`); null when it looks like neither. */
export function readGridText(text: string): Result<Position, Fault> | null {
  const utm = UTM.exec(text.trim());
  if (utm) return readUtm(utm);
  const packed = text.replace(/\s+/g, '').toUpperCase();
  const square = SQUARE.exec(packed);
  return square ? readSquare(packed, square) : null;
}

/** A position in UTM to the metre; null beyond 80 S and 84 N. */
export function utmText(position: Position): string | null {
  const band = utmBand(position.latitude);
  if (band === null) return null;
  const zone = utmZone(position);
  const [east, north] = grid(zone, band < 'N').forward([position.longitude, position.latitude]);
  return `${zone}${band} ${Math.round(east!)} ${Math.round(north!)}`;
}

/** The square of 1 m that holds a position; null beyond 80 S and 84 N. */
export function squareText({ latitude, longitude }: Position): string | null {
  if (utmBand(latitude) === null) return null;
  const packed = forward([longitude, latitude], 5);
  return packed.replace(/^(\d+[A-Z])([A-Z]{2})(\d{5})(\d{5})$/, '$1 $2 $3 $4');
}
