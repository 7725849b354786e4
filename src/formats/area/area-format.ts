import type { Survey } from '../../core/survey/party/survey';
import type { Result } from '../../core/units/result';

/** What a file of an area is about. */
export interface WrittenArea {
  readonly name: string;
  /** ISO 8601. */
  readonly writtenAt: string;
  readonly survey: Survey;
}

/** A file format for the map of an area. Formats are pure. */
export interface AreaFormat {
  readonly name: 'csv' | 'geojson' | 'gpx' | 'kml' | 'svg';
  readonly mediaType: string;
  readonly fileEnding: string;
  /** Fails, in words, where the area has no position on the earth and the format needs one. */
  write(area: WrittenArea): Result<string, string>;
}

export const NO_POSITION =
  'The area has no position: the first outing needs the latitude and longitude of its start, ' +
  'and a declination.';
