import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { correctedForAttraction, localAttractions } from '@/core/survey/local-attraction';
import { solvedLog } from '../../support/outings';

describe('local attraction', () => {
  // B. C. Punmia, Surveying, volume 1, chapter on the compass: lines of a worked traverse (memory).
  // DE agrees, so D and E are free; C reads 35' too much, B 25' too much, and A is free.
  const minutes = (degrees: number, rest: number) => degrees + rest / 60;
  const [A, B, C, D, E] = [0, 1, 2, 3, 4];
  const lines = [
    { from: A, to: B, forward: minutes(45, 45), back: minutes(226, 10) },
    { from: B, to: C, forward: minutes(96, 55), back: minutes(277, 5) },
    { from: C, to: D, forward: minutes(29, 45), back: minutes(209, 10) },
    { from: D, to: E, forward: minutes(324, 48), back: minutes(144, 48) },
  ];

  it('is found from the lines that agree, as in the handbook', () => {
    const found = localAttractions(lines, 0.01);
    expect(found.get(D)).toBe(0);
    expect(found.get(E)).toBe(0);
    expect(found.get(C)! * 60).toBeCloseTo(35, 6);
    expect(found.get(B)! * 60).toBeCloseTo(25, 6);
    expect(found.get(A)! * 60).toBeCloseTo(0, 6);
    expect(correctedForAttraction(lines[1]!.forward, found.get(B)!)).toBeCloseTo(96.5, 6);
    expect(correctedForAttraction(lines[2]!.forward, found.get(C)!)).toBeCloseTo(
      minutes(29, 10),
      6,
    );
  });

  it('is unknown where no line agrees', () => {
    expect(localAttractions(lines.slice(0, 3), 0.01).size).toBe(0);
  });

  it('is named in a warning, which offers the corrected bearing', () => {
    const text =
      '045 100m back 225 > A\n090 100m back 282 > B\n042 80m back 210 > C\n330 90m back 150\n';
    const { solution } = solvedLog(text);
    const found = warningsOf(solution, USUAL_FIGURES);
    expect(found.map(({ code }) => code)).toEqual(['back-bearing-off', 'back-bearing-off']);
    expect(found[0]!.message).toMatch(
      /12° too much at B: iron there\? This leg’s own bearing is good/,
    );
    expect(found[0]!.correction).toBeUndefined();
    expect(found[1]!.message).toMatch(/12° too much at B: iron there\? This leg was read there/);
    expect(found[1]!.correction).toMatchObject({ bearing: { value: 30 }, to: 'C' });
    expect(solution.legs.leg(3).bearingDegrees).toBe(42);
  });
});
