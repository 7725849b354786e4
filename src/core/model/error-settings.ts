import type { Degrees } from '../units/units';

/**
 * The standard deviations that uncertainty is computed from, one sigma each, with their usual
 * values: common practice, no source. Angles are in degrees, the others a share of the length.
 */
const SIGMAS = {
  /** Following a bearing, by how it is followed. */
  needle: { unit: 'degrees', usual: 4 },
  landmark: { unit: 'degrees', usual: 2 },
  sighted: { unit: 'degrees', usual: 1 },
  /** Shared by all bearings of one compass in one way of aiming. */
  compass: { unit: 'degrees', usual: 1.5 },
  /** A declination that was typed in or read off a map's margin; the model knows its own. */
  declination: { unit: 'degrees', usual: 0.5 },
  /** Iron at a station. Back bearings that disagree speak for themselves. */
  iron: { unit: 'degrees', usual: 0 },
  /** A paced distance, where no calibration tells it. */
  paced: { unit: 'share', usual: 0.05 },
  /** Shared by all paces on one ground, where no calibration tells it. */
  'pace-length': { unit: 'share', usual: 0.04 },
  /** A distance in metres, feet or miles: by eye, or by means unknown. */
  measured: { unit: 'share', usual: 0.05 },
  /** A distance by time, of each leg by itself, and shared by all: the speed. */
  timed: { unit: 'share', usual: 0.05 },
  speed: { unit: 'share', usual: 0.1 },
  /** A slope as it was read, by itself and shared by one reader. */
  slope: { unit: 'degrees', usual: 3 },
  'slope-reader': { unit: 'degrees', usual: 2 },
} as const satisfies Readonly<
  Record<string, { readonly unit: 'degrees' | 'share'; readonly usual: Degrees | number }>
>;
export type SigmaId = keyof typeof SIGMAS;
export const SIGMA_IDS = Object.keys(SIGMAS) as SigmaId[];

/** The unit that a person writes it in. */
export const unitOfSigma = (id: SigmaId): 'degrees' | 'percent' =>
  SIGMAS[id].unit === 'degrees' ? 'degrees' : 'percent';

/** One sigma as a person writes it: degrees, or per cent of the length. */
export interface SigmaReading {
  readonly of: SigmaId;
  readonly unit: 'degrees' | 'percent';
  readonly value: number;
}

export type ErrorSettings = Readonly<Record<SigmaId, number>>;

// `fromEntries` loses which keys there are.
export const DEFAULT_ERRORS = Object.fromEntries(
  SIGMA_IDS.map((id) => [id, SIGMAS[id].usual]),
) as ErrorSettings;

/** Settings with some of them replaced by what a person wrote. */
export const withSigmas = (
  errors: ErrorSettings,
  sigmas: readonly SigmaReading[] = [],
): ErrorSettings =>
  sigmas.length === 0
    ? errors
    : sigmas.reduce<ErrorSettings>(
        (all, { of, unit, value }) => ({ ...all, [of]: unit === 'degrees' ? value : value / 100 }),
        errors,
      );

/** A paced distance is never surer than this, however well the walks of its calibration agree. */
export const LEAST_PACED = 0.02;
/** How much a pace differs between a course and the country, joined with the calibration's own. */
export const OTHER_GROUND = 0.02;
