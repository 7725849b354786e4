import { describe, expect, it } from 'vitest';
import { earthTie, planeTie } from '@/core/place/map-tie';

const DOCK = { latitude: 54.2, longitude: -63.5 };

describe('the ground as a map', () => {
  const tie = earthTie(DOCK);

  it('has its pixels as metres from its middle, y downward', () => {
    const north = tie.positionOf({ x: 0, y: -1000 })!;
    expect(north.longitude).toBeCloseTo(DOCK.longitude, 9);
    // WGS 84: the meridian's radius at 54.2 N is 6 377.5 km, so 1 km is 0.008 984°.
    expect(north.latitude - DOCK.latitude).toBeCloseTo(0.008984, 5);
    const back = tie.pixelOf(north)!;
    expect(back.x).toBeCloseTo(0, 6);
    expect(back.y).toBeCloseTo(-1000, 6);
    const east = tie.positionOf({ x: 500, y: 0 })!;
    expect(east.longitude).toBeGreaterThan(DOCK.longitude);
  });

  it('measures true bearings and the ground between two places, wherever they are', () => {
    const measured = tie.measured({ x: 0, y: 0 }, { x: 300, y: -400 })!;
    expect(measured.metres).toBeCloseTo(500, 3);
    expect(measured.degrees).toBeCloseTo(36.87, 2);
    expect(tie.north).toBe('true');
    // 40 km east the plane's north is off the meridian: the bearing there is the meridian's.
    const far = tie.measured({ x: 40_000, y: 0 }, { x: 40_000, y: -1000 })!;
    const offMeridian = Math.min(far.degrees, 360 - far.degrees);
    expect(offMeridian).toBeGreaterThan(0.3);
    expect(offMeridian).toBeLessThan(0.7);
  });

  it('tells a place as finely as the tap was wide', () => {
    expect(tie.finenessMetres({ x: 0, y: 0 })).toBe(1);
    expect(tie.finenessMetres({ x: 0, y: 0 }, 12)).toBe(12);
  });
});

describe('a plane that is nowhere on the earth', () => {
  it('measures from its own north, and has no positions', () => {
    const tie = planeTie('magnetic');
    expect(tie.positionOf({ x: 1, y: 1 })).toBeNull();
    expect(tie.pixelOf(DOCK)).toBeNull();
    expect(tie.measured({ x: 0, y: 0 }, { x: -10, y: 0 })).toEqual({ degrees: 270, metres: 10 });
    expect(tie.north).toBe('magnetic');
  });
});
