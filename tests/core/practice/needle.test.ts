import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldOf, THINGS, type Magnet } from '@/core/practice/compass/field';
import {
  dialNorth,
  offArrow,
  orientingArrow,
  paintedEnd,
} from '@/core/practice/compass/hand-compass';
import {
  dragDegrees,
  isAtRest,
  LIQUID_NEEDLE,
  needleAfter,
  type Needle,
  type Surroundings,
} from '@/core/practice/compass/needle';
import { signedDifference } from '@/core/units/angle';

const level = (degrees: number, strength = 1): Surroundings => ({
  field: { degrees, strength },
  tiltDegrees: 0,
});

const after = (needle: Needle, around: Surroundings, seconds: number, frame = 1 / 60) => {
  let moved = needle;
  for (let t = 0; t < seconds - 1e-9; t += frame) {
    moved = needleAfter(moved, LIQUID_NEEDLE, around, Math.min(frame, seconds - t));
  }
  return moved;
};

/**
 * The closed form of a damped oscillator let go at rest: θ(t) = θ₀ e^(-ζωt) (cos ω't + ζω/ω' sin
 * ω't), ω' = ω√(1-ζ²). Any textbook of mechanics, as L. D. Landau and E. M. Lifshitz, Mechanics,
 * section 25 (memory).
 */
function damped(start: number, seconds: number): number {
  const { periodSeconds, dampingRatio } = LIQUID_NEEDLE;
  const omega = (2 * Math.PI) / periodSeconds;
  const turned = omega * Math.sqrt(1 - dampingRatio ** 2);
  const fade = Math.exp(-dampingRatio * omega * seconds);
  const wave =
    Math.cos(turned * seconds) + ((dampingRatio * omega) / turned) * Math.sin(turned * seconds);
  return start * fade * wave;
}

describe('the needle', () => {
  it('swings as a damped oscillator does, whatever the screen’s rate', () => {
    for (const frame of [1 / 120, 1 / 60, 1 / 15, 0.1]) {
      for (const seconds of [0.1, 0.4, 0.9, 1.7, 3]) {
        const { degrees } = after({ degrees: 2, speed: 0 }, level(0), seconds, frame);
        expect(signedDifference(0, degrees)).toBeCloseTo(damped(2, seconds), 2);
      }
    }
  });

  it('swings past, and comes to rest along the field', () => {
    let least = 0;
    let needle: Needle = { degrees: 60, speed: 0 };
    for (let frame = 0; frame < 600; frame++) {
      needle = needleAfter(needle, LIQUID_NEEDLE, level(0), 1 / 60);
      least = Math.min(least, signedDifference(0, needle.degrees));
    }
    // By the closed form the first swing past is e^(-πζ/√(1-ζ²)), 0.31 of it, a little more far
    // out.
    expect(least).toBeLessThan(-14);
    expect(isAtRest(needle, level(0))).toBe(true);
    expect(Math.abs(signedDifference(0, needle.degrees))).toBeLessThan(0.05);
  });

  it('loses energy at each step, from anywhere, in any field', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -200, max: 200 }),
        (at, speed) => {
          const omega = Math.PI;
          const energy = ({ degrees, speed: now }: Needle) =>
            ((now * Math.PI) / 180) ** 2 / 2 +
            omega ** 2 * (1 - Math.cos((degrees * Math.PI) / 180));
          let needle: Needle = { degrees: at, speed };
          for (let frame = 0; frame < 60; frame++) {
            const next = needleAfter(needle, LIQUID_NEEDLE, level(0), 1 / 60);
            expect(energy(next)).toBeLessThan(energy(needle) + 1e-4);
            needle = next;
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('drags when it is tilted, and sticks beyond', () => {
    expect([0, 10, 19, 28, 60].map(dragDegrees)).toEqual([0, 0, 20, 40, 40]);
    const tilted = { ...level(0), tiltDegrees: 19 };
    const dragged = after({ degrees: 90, speed: 0 }, tilted, 6);
    const off = Math.abs(signedDifference(0, dragged.degrees));
    expect(isAtRest(dragged, tilted)).toBe(true);
    expect(off).toBeLessThan(20.1);
    const stuck = after({ degrees: 30, speed: 0 }, { ...level(0), tiltDegrees: 30 }, 6);
    expect(stuck).toEqual({ degrees: 30, speed: 0 });
  });
});

describe('iron near a compass', () => {
  const magnet = (metres: number, over: Partial<Magnet> = {}): Magnet => ({
    name: 'iron',
    azimuthDegrees: 90,
    metres,
    atDecimetre: 0.5,
    axisDegrees: 0,
    ...over,
  });

  it('pulls with the cube of its distance', () => {
    // Its axis along the field: only the strength changes, and by an eighth at twice the distance.
    const strength = (metres: number) => 1 - fieldOf(0, [magnet(metres)]).strength;
    expect(strength(0.1)).toBeCloseTo(0.5, 10);
    expect(strength(0.2)).toBeCloseTo(0.5 / 8, 10);
    expect(strength(0.4)).toBeCloseTo(0.5 / 64, 10);
  });

  it('is twice as strong along its axis as beside it', () => {
    const along = fieldOf(0, [magnet(0.2, { azimuthDegrees: 0 })]).strength - 1;
    const beside = 1 - fieldOf(0, [magnet(0.2)]).strength;
    expect(along / beside).toBeCloseTo(2, 10);
  });

  it('does nothing when it is far, and turns the needle when it is near', () => {
    for (const { name, atDecimetre } of THINGS) {
      const near = { ...magnet(0.1, { axisDegrees: 270 }), atDecimetre };
      const turned = Math.abs(signedDifference(0, fieldOf(0, [near]).degrees));
      expect(turned).toBeGreaterThan(20);
      const away = fieldOf(0, [{ ...near, metres: name === 'car' ? 60 : 3 }]).degrees;
      expect(Math.abs(signedDifference(0, away))).toBeLessThan(0.5);
    }
  });
});

describe('a compass in the hand', () => {
  const bearing = fc.integer({ min: 0, max: 359 });

  it('points the way when the dial is set and the needle is in its arrow', () => {
    fc.assert(
      fc.property(bearing, fc.integer({ min: -30, max: 30 }), (wanted, north) => {
        const compass = { bodyDegrees: wanted + north, dialDegrees: wanted, housingEast: 0 };
        expect(offArrow(compass, north)).toBeCloseTo(0, 9);
        expect(signedDifference(dialNorth(compass), north)).toBeCloseTo(0, 9);
      }),
    );
  });

  it('does the sum by itself once its housing is adjusted', () => {
    fc.assert(
      fc.property(bearing, fc.integer({ min: -30, max: 30 }), (trueBearing, east) => {
        const compass = { bodyDegrees: trueBearing, dialDegrees: trueBearing, housingEast: east };
        expect(signedDifference(orientingArrow(compass), east)).toBeCloseTo(0, 9);
        expect(offArrow(compass, east)).toBeCloseTo(0, 9);
      }),
    );
  });

  it('tells faults apart: reversed, with a bubble, sound', () => {
    expect(paintedEnd(10, 'reversed')).toBe(190);
    expect(paintedEnd(10, 'bubble')).toBe(17);
    expect(paintedEnd(10, 'none')).toBe(10);
  });
});
