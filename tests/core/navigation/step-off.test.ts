import { describe, expect, it } from 'vitest';
import { wayBackToPath } from '@/core/navigation/step-off';
import { solvedLog } from '../../support/outings';
import { writeLog } from '@/core/log-text/write-log';

describe('a step off a path that runs somewhere', () => {
  it('says which way the path runs on either hand, whichever way it was written', () => {
    // Out 330, back 150; the path runs 060 and 240. Facing 150, left is 060 and right is 240.
    const expected = { back: 150, left: 60, right: 240, aimed: 145 };
    expect(wayBackToPath(330, 60)).toEqual(expected);
    expect(wayBackToPath(330, 240)).toEqual(expected);
    // Back 358 over north: left is west, and the aim does not leave the circle.
    expect(wayBackToPath(178, 90)).toEqual({ back: 358, left: 270, right: 90, aimed: 353 });
    expect(wayBackToPath(182, 90)?.aimed).toBe(357);
  });

  it('says nothing of a path along the way back', () => {
    expect(wayBackToPath(330, 169)).toBeNull();
    expect(wayBackToPath(330, 311)).toBeNull();
    expect(wayBackToPath(330, 170)).not.toBeNull();
  });

  it('is kept in the log', () => {
    const text = writeLog(solvedLog('out 330 path 060 @09:40 ; to the spring').outing);
    expect(text).toContain('out 330 path 060 @09:40 ; to the spring');
  });
});
