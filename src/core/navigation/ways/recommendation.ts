import type { Metres } from '../../units/units';
import type { WayHome } from './ways-home';

/** From this uncertainty on, a line that can't be missed is worth its detour. */
const AIM_OFF_FROM_METRES = 40;
/** From this on, the straight way isn't safe without a line. Both common practice, no source. */
const UNSAFE_FROM_METRES = 80;

/** Which of the ways home to take, and why. The person decides. */
export type Recommendation =
  /** The line can't be missed; it costs this much more to walk. */
  | { readonly kind: 'aim-off'; readonly why: 'sure-line'; readonly extraMetres: Metres }
  /** The shortest; a line to aim off on, or what is known along the legs, would be safer. */
  | { readonly kind: 'straight'; readonly why: 'uncertain' }
  /** The shortest, and with little uncertainty. */
  | { readonly kind: 'straight'; readonly why: 'shortest' };

/** Weighs the straight way against the others that are offered. */
export function recommendation(straight: WayHome, others: readonly WayHome[]): Recommendation {
  const aimed = others.find(({ kind }) => kind === 'aim-off');
  if (aimed && straight.within95Metres > AIM_OFF_FROM_METRES) {
    return { kind: 'aim-off', why: 'sure-line', extraMetres: aimed.metres - straight.metres };
  }
  const hasLegs = others.some(({ kind }) => kind === 'retrace');
  return !aimed && hasLegs && straight.within95Metres > UNSAFE_FROM_METRES
    ? { kind: 'straight', why: 'uncertain' }
    : { kind: 'straight', why: 'shortest' };
}
