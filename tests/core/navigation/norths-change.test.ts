import { describe, expect, it } from 'vitest';
import { northsChange } from '@/core/navigation/norths-change';
import { radians } from '@/core/units/units';
import { changeWords } from '@/views/shared/declination/words';
import { solvedLog } from '../../support/outings';

describe('another declination after legs were logged', () => {
  const at = (header: string) => solvedLog(`${header}000 300m\n090 400m\n`).solution;

  it('says what changes and by how much; the readings stay', () => {
    const before = at('');
    const after = at('declination 19.1 W\nshow true\n');
    const change = northsChange(before, after)!;
    expect(change.magneticTurnDegrees).toBeCloseTo(0, 9);
    expect(change.placeMovedMetres).toBeNull();
    expect(changeWords(change)).toBe(
      'The 2 readings stay as read. Way home before: 233° magnetic, 500 m. ' +
        'Now: 214° true, 500 m.',
    );
    const wrongWay = at('declination 19.1 E\n');
    const mended = northsChange(wrongWay, at('declination 19.1 W\n'))!;
    expect(mended.placeMovedMetres).toBeCloseTo(2 * 500 * Math.sin(radians(19.1)), 6);
    expect(changeWords(mended)).toMatch(
      /On the map you are 327 m from where you were shown before/,
    );
  });

  it('says nothing where nothing that is shown differs', () => {
    expect(northsChange(at('declination 19.1 W\n'), at('declination 19.11 W\n'))).toBeNull();
    expect(northsChange(at(''), at('declination 0 E\n'))).not.toBeNull();
  });
});
