import type { Plan } from '../../core/navigation/route/plan';

/** A file format that a planned route can be written in. Pure. */
export interface RouteFormat {
  readonly name: 'text' | 'gpx' | 'geojson' | 'csv' | 'kml';
  readonly words: string;
  readonly fileEnding: string;
  readonly mediaType: string;
  readonly write: (plan: Plan, writtenAt: string) => string;
}
