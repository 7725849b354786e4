import { describe, expect, it } from 'vitest';
import {
  digitsWorth,
  readTypedPlace,
  shortReference,
  squareOf,
} from '@/core/place/short-reference';
import { readPlace } from '@/core/place/place-text';

const DOCK = { latitude: 54.2, longitude: -63.5 };

describe('short references', () => {
  it('are the digits in the square, cut off and not rounded', () => {
    // 20U MF 67383 05890: the thirds and fourths digits are cut.
    expect(squareOf(DOCK)).toBe('20U MF');
    expect(shortReference(DOCK, 3)).toBe('673 058');
    expect(shortReference(DOCK, 4)).toBe('6738 0588');
    expect(squareOf({ latitude: 88, longitude: 0 })).toBeNull();
    expect([200, 51, 50, 6, 5, 1].map(digitsWorth)).toEqual([3, 3, 4, 4, 5, 5]);
  });

  it.each([
    ['673 058', 100],
    ['673058', 100],
    ['6738 0588', 10],
    ['67 05', 1000],
    ['67383,05889', 1],
  ])('%s is read in the remembered square', (text, width) => {
    const read = readTypedPlace(text, '20U MF');
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    expect(read.value.withinMetres).toBe(width);
    // The place is in the square that was named, so within its diagonal of the dock.
    expect(Math.abs(read.value.position.latitude - DOCK.latitude) * 111_195).toBeLessThan(width);
  });

  it('tell how finely other notations are read, and refuse what is no reference', () => {
    const whole = readTypedPlace('20U MF 673 058', null);
    expect(whole.ok && whole.value.withinMetres).toBe(100);
    const utm = readTypedPlace('20U 467383 6005889', '20U MF');
    expect(utm.ok && utm.value.withinMetres).toBe(1);
    const degrees = readTypedPlace('54.2 -63.5', '20U MF');
    expect(degrees.ok && degrees.value).toEqual({ position: DOCK, withinMetres: undefined });
    for (const text of ['673 05', '6730 58', '673', '67305', '']) {
      expect(readTypedPlace(text, '20U MF').ok, text).toBe(false);
    }
    // Without a square digits are no place.
    expect(readTypedPlace('673 058', null).ok).toBe(readPlace('673 058').ok);
  });
});
