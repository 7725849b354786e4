import { describe, expect, it } from 'vitest';
import {
  digitsWorth,
  readTypedPlace,
  shortReference,
  squareOf,
  usualGrid,
} from '@/core/place/short-reference';
import { readPlace } from '@/core/place/place-text';
import { faultMessage } from '@/core/faults/messages';
import type { Position } from '@/core/readings/position';

const DOCK = { latitude: 54.2, longitude: -63.5 };

describe('short references', () => {
  it('are the digits in the square, cut off and not rounded', () => {
    // 20U MF 67383 05890: the thirds and fourths digits are cut.
    expect(squareOf(DOCK, null)).toBe('20U MF');
    expect(shortReference(DOCK, 3, null)).toBe('673 058');
    expect(shortReference(DOCK, 4, null)).toBe('6738 0588');
    expect(squareOf({ latitude: 88, longitude: 0 }, null)).toBeNull();
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

  it.each([
    ['805 660', 'SD', 100],
    ['805660', 'sd', 100],
    ['8054 6605', 'SD', 10],
    // Metres of the letters are no finer than the datum is known: 5 m.
    ['80541 66050', 'SD', 5],
    ['380541 466050', 'SD', 5],
    ['380541 466050', 'british', 5],
    ['SD 805 660', null, 100],
    ['SD805660', '20U MF', 100],
  ])('%s with %s is on the wall', (text, square, width) => {
    const read = readTypedPlace(text, square);
    if (!read.ok) throw new Error(JSON.stringify(read.fault));
    expect(read.value).toMatchObject({ withinMetres: width, grid: 'british' });
    expect(Math.abs(read.value.position.latitude - 54.0899) * 111_195).toBeLessThan(width + 20);
  });

  it('figures of a grid by its name, in either order, and by their letters', () => {
    const at = (text: string, square: string | null = null) => {
      const read = readTypedPlace(text, square);
      return read.ok ? read.value.position : faultMessage(read.fault);
    };
    const place = at('RT90 1384017 7012134');
    expect(place).toMatchObject({ latitude: expect.closeTo(63.2, 4) as number });
    expect(at('RT90 7012134 1384017')).toEqual(place);
    expect(at('rt90 N 7012134 E 1384017')).toEqual(place);
    expect(at('1384017 7012134', 'RT90')).toEqual(place);
    expect(at('RT90 138401 701213')).toMatch(/isn’t in the country of the Swedish grid RT 90/);
    // A square of the British grid that has no land, and an odd count of figures.
    expect(at('HA 805 660')).toMatch(/isn’t in the country of the British National Grid/);
    expect(at('SD 80566')).toMatch(/Can’t read “SD 80566”/);
    expect(at('O 15 34')).toMatch(/Can’t read/);
  });

  it('are in the grid of the place’s country, or in the one that was chosen', () => {
    const wall = { latitude: 54.0899, longitude: -2.2999 };
    const alp = { latitude: 46.6, longitude: 8 };
    const inUse = (place: Position, choice: string | null) => {
      const grid = usualGrid(place, choice);
      return [squareOf(place, grid), shortReference(place, 3, grid)];
    };
    expect(inUse(wall, null)).toEqual(['SD', '804 660']);
    expect(inUse(alp, null)).toEqual(['LV95', '2643013 1161124']);
    expect(inUse(alp, 'lv03')).toEqual(['LV03', '643013 161124']);
    expect(inUse(wall, 'utm')[0]).toBe('30U WE');
    // A choice made elsewhere is none here.
    expect(inUse(DOCK, 'lv95')[0]).toBe('20U MF');
  });
});
