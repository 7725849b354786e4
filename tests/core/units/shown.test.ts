import { sketchSvg } from '@/formats/svg';
import { afterEach, describe, expect, it } from 'vitest';
import { message } from '@/core/navigation/message';
import { wayHome } from '@/core/navigation/ways/way';
import { USUAL_UNITS, type BearingSystem, type LengthSystem } from '@/core/units/figures';
import {
  bearingText,
  distanceText,
  inDegreesAndMetres,
  lengthFigure,
  lengthText,
  lengthUnit,
  longUnit,
  roundLengthText,
  shortLengthText,
  fineLengthText,
  showIn,
  speedText,
  uncertaintyText,
  withDegrees,
  withMetres,
  figureUnits,
} from '@/ui/units/shown';
import { solvedLog } from '../../support/outings';

afterEach(() => showIn(USUAL_UNITS));

const lengths = (system: LengthSystem) => showIn({ ...USUAL_UNITS, lengths: system });
const bearings = (system: BearingSystem) => showIn({ ...USUAL_UNITS, bearings: system });

describe('lengths', () => {
  it('are metres until someone says otherwise', () => {
    expect(lengthText(1234.4)).toBe('1,234 m');
    expect([distanceText(87.4), distanceText(174), distanceText(2346)]).toEqual([
      '87 m',
      '175 m',
      '2,350 m',
    ]);
    expect([uncertaintyText(15.1), uncertaintyText(20)]).toEqual(['20 m', '20 m']);
    expect(shortLengthText(1.538)).toBe('1.54 m');
    expect([roundLengthText(50), roundLengthText(2000)]).toEqual(['50 m', '2 km']);
    expect(withMetres('x', 100)).toBe('x');
    expect(inDegreesAndMetres(10, 100)).toBeNull();
  });

  // The international foot is 0.3048 m exactly; a mile is 5280 of them (agreement of 1959).
  it('are feet, and from a mile on miles', () => {
    lengths('feet');
    expect(lengthText(100)).toBe('328 ft');
    expect(distanceText(100)).toBe('330 ft');
    expect(distanceText(1609.4)).toBe('1 mi');
    expect(lengthText(2000)).toBe('1.24 mi');
    expect(uncertaintyText(15.1)).toBe('50 ft');
    expect(shortLengthText(1.538)).toBe('5.05 ft');
    expect(roundLengthText(60.96)).toBe('200 ft');
    expect(lengthFigure(30.48)).toBe('100');
    expect(withMetres(lengthText(100), 100)).toBe('328 ft (100 m)');
    expect(longUnit()).toEqual({ name: 'mile', metres: 1609.344 });
    expect(inDegreesAndMetres(10, 100)).toBe('100 m');
  });

  // A surveyor's chain is 66 feet, 80 to the mile (NIST Handbook 44, appendix C; from memory).
  it('are chains of 66 feet, and from 80 on miles', () => {
    lengths('chains');
    expect(lengthUnit().metres).toBeCloseTo(20.1168, 10);
    expect(lengthText(20.1168)).toBe('1 ch');
    expect(distanceText(174)).toBe('8.6 ch');
    expect(lengthText(80 * 20.1168)).toBe('1 mi');
    expect(uncertaintyText(15.1)).toBe('1 ch');
    expect(uncertaintyText(20.2)).toBe('1.25 ch');
    expect(lengthFigure(30)).toBe('1.5');
    expect(roundLengthText(10.0584)).toBe('0.5 ch');
  });

  it('an uncertainty is never rounded down', () => {
    for (const system of ['metric', 'feet', 'chains'] as const) {
      lengths(system);
      for (let metres = 0.5; metres < 200; metres += 0.7) {
        const shownMetres = parseFloat(uncertaintyText(metres)) * lengthUnit().metres;
        expect(shownMetres).toBeGreaterThanOrEqual(metres - 1e-9);
      }
    }
  });

  it('speeds follow', () => {
    expect(speedText(4)).toBe('4 km/h');
    lengths('feet');
    expect(speedText(4)).toBe('2.5 mph');
  });
});

describe('bearings', () => {
  it('are three digits of degrees; what rounds to 360 is 000', () => {
    expect([bearingText(59), bearingText(359.6)]).toEqual(['059°', '000°']);
  });

  it('are four digits of mils, 6400 to the circle', () => {
    bearings('mils');
    expect([bearingText(0), bearingText(90), bearingText(228)]).toEqual([
      '0000 mil',
      '1600 mil',
      '4053 mil',
    ]);
    expect(bearingText(359.99)).toBe('0000 mil');
    expect(withDegrees(bearingText(228), 228)).toBe('4053 mil (228°)');
  });

  it('are quadrants from the nearer end of the meridian', () => {
    bearings('quadrants');
    const texts = [0, 40, 90, 91, 180, 228, 270, 271, 359.6].map(bearingText);
    expect(texts).toEqual([
      'N0°E',
      'N40°E',
      'N90°E',
      'S89°E',
      'S0°E',
      'S48°W',
      'S90°W',
      'N89°W',
      'N0°E',
    ]);
  });

  it('a quadrant read as a log reads it is the bearing again', () => {
    for (let bearing = 0; bearing < 360; bearing++) {
      bearings('quadrants');
      const { solution } = solvedLog(`${bearingText(bearing)} 100m`);
      expect(Math.round(wayHome(solution).bearing.magnetic! + 180) % 360).toBe(bearing);
    }
  });
});

describe('a message', () => {
  it('has degrees and metres in it whatever is shown', () => {
    const { solution } = solvedLog('start Dock\npace 65 per 100 m\n048 200m');
    expect(message(solution, '10:00', figureUnits())).toContain('228 magnetic, 200 m, within');
    showIn({ ...USUAL_UNITS, lengths: 'feet', bearings: 'mils' });
    expect(message(solution, '10:00', figureUnits())).toContain(
      '4053 mil (228°) magnetic, 655 ft (200 m)',
    );
  });
});

describe('what a file holds', () => {
  it('is in metres and degrees, whatever the page shows; the page goes on in its own', () => {
    lengths('feet');
    const { solution } = solvedLog('start Dock\n048 200m');
    expect(sketchSvg(solution)).toContain('>20 m<');
    expect(sketchSvg(solution)).not.toContain(' ft');
    expect(lengthText(100)).toBe('328 ft');
  });
});

describe('a length of which tenths count', () => {
  it('has one below ten metres, in the unit that is shown', () => {
    expect([3.44, -3.44, 9.96, 10, 12.4].map(fineLengthText)).toEqual([
      '3.4 m',
      '-3.4 m',
      '10.0 m',
      '10 m',
      '12 m',
    ]);
    lengths('feet');
    expect([3.44, 12.4].map(fineLengthText)).toEqual(['11.3 ft', '41 ft']);
    lengths('chains');
    expect(fineLengthText(3.44)).toBe('0.17 ch');
  });
});
