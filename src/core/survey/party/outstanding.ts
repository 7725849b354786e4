import { max } from 'd3-array';
import type { Survey } from './survey';

/** An outing whose loops close much worse than any other's. */
export interface Outstanding {
  readonly outing: number;
  /** The worst misclosure over what was walked until then, and the worst of the others. */
  readonly ofWalked: number;
  readonly others: number;
}

/** So much worse than the worst of the others, and at least such a share of the distance. */
const TIMES_WORSE = 3;
const LEAST_SHARE = 0.02;
/** Of fewer outings none stands out from the others. */
const LEAST_OUTINGS = 3;

/**
 * The one outing that closes three times as badly as the worst other one, and by 2 % or more; null
 * where none does. Common practice, no source: it says where to look first, not that it is wrong.
 */
export function outstanding({ closures }: Pick<Survey, 'closures'>): Outstanding | null {
  const worst = new Map<number, number>();
  for (const { source, ofWalked } of closures) {
    worst.set(source.outing, Math.max(worst.get(source.outing) ?? 0, ofWalked));
  }
  if (worst.size < LEAST_OUTINGS) return null;
  const [[outing, ofWalked], ...rest] = [...worst].sort((a, b) => b[1] - a[1]) as [
    [number, number],
    ...[number, number][],
  ];
  const others = max(rest, ([, share]) => share) ?? 0;
  const isWorse = ofWalked >= LEAST_SHARE && ofWalked >= TIMES_WORSE * others;
  return isWorse ? { outing, ofWalked, others } : null;
}
