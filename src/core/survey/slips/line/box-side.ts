import type { Slip } from '../slip';

/** Turned left for right, or the reverse, where an obstacle was left: out twice, never back. */
export const boxSide: Slip = {
  id: 'box-side',
  prior: 0.01,
  lookAt: 'which way you turned to come back to the line',
  of({ bearingDegrees, metres, box }) {
    if (!box) return [];
    const rightMetres = (box.side === 'right' ? 2 : -2) * box.outMetres;
    const says = 'the second turn around the obstacle went the wrong way';
    return [{ bearingDegrees, metres, rightMetres, suggested: null, says }];
  },
};
