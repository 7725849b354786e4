import type { ErrorSettings } from '../../model/error-settings';
import type { Means, Walked } from '../means';

/** The names of the sources, as the endpoints give them. */
export type SourceId =
  | 'following'
  | 'fineness'
  | 'compass'
  | 'declination'
  | 'iron'
  | 'paced'
  | 'pace-length'
  | 'measured'
  | 'timed'
  | 'speed'
  | 'slope'
  | 'slope-reader';

/** An error that all stretches with the same key have alike. */
export interface SharedError {
  readonly source: SourceId;
  readonly key: string;
  /** The aim or the ground that it is about; empty where it has none. */
  readonly about: string;
  /** Whether it turns the stretches or scales them. */
  readonly of: 'bearing' | 'distance';
  /** One sigma: radians, or over the length. */
  readonly sigma: number;
}

/**
 * One source of error. A source is a reading's own, new each time, or shared by all readings that
 * used the same thing. A new one is a file here and a line in `index.ts`.
 */
export interface ErrorSource {
  readonly id: SourceId;
  /** What it is mainly an error of. */
  readonly of: 'bearing' | 'distance';
  /** Variance of a reading's own: of its bearing in radians². */
  readonly bearing?: (walked: Walked, errors: ErrorSettings) => number;
  /** The same of its distance, over the length squared. */
  readonly distance?: (walked: Walked, errors: ErrorSettings) => number;
  /** What stretches with these means share; null for nothing. */
  readonly shared?: (means: Means, scale: SharedScale) => SharedError | null;
  /** What the source is distinguished by, beside its name: the aim, or the ground. */
  readonly about?: (means: Means) => string;
  /** How much of the shared error a stretch has, by its means and its slope; without it, all. */
  readonly share?: (walked: Walked) => number;
}

/** What the sigma of a shared error is taken from. */
export interface SharedScale {
  readonly errors: ErrorSettings;
  /** One sigma of the declination that is in use; 0 where none is. */
  readonly declinationSigmaRadians: number;
}

/** A length that was estimated has twice the error: four times the variance. Common practice. */
export const estimated = (isAbout: boolean): number => (isAbout ? 4 : 1);
