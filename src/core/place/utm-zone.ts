import type { Position } from '../readings/position';

/**
 * The zone of the UTM grid that maps of a place use, 1 to 60: six degrees each, with the exceptions
 * off Norway (32 widened at 56 to 64 north) and around Svalbard (72 to 84 north).
 * Source: NGA, The Universal Grids, DMA TM 8358.2, 1989 (memory).
 */
export function utmZone({ latitude, longitude }: Position): number {
  if (latitude >= 56 && latitude < 64 && longitude >= 3 && longitude < 12) return 32;
  if (latitude >= 72 && latitude < 84 && longitude >= 0 && longitude < 42) {
    if (longitude < 9) return 31;
    if (longitude < 21) return 33;
    return longitude < 33 ? 35 : 37;
  }
  return Math.min(60, Math.floor((longitude + 180) / 6) + 1);
}

const BANDS = [...'CDEFGHJKLMNPQRSTUVWX'];

/** The band of latitude, C to X, eight degrees each and X twelve; null beyond 80 S and 84 N. */
export function utmBand(latitude: number): string | null {
  if (latitude < -80 || latitude > 84) return null;
  return BANDS[Math.min(BANDS.length - 1, Math.floor((latitude + 80) / 8))] ?? null;
}
