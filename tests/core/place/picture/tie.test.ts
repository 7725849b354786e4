import proj4 from 'proj4';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { mapPictureSchema, type MapPicture } from '@/core/model/map-picture';
import { mapGrid } from '@/core/place/map-grid';
import { planePointOf } from '@/core/place/geodesic';
import { tieOf } from '@/core/place/picture/tie';
import { lengthOf } from '@/core/units/plane';

const CONTROLS = JSON.parse(
  readFileSync('demo/ormsay-lake.controls.json', 'utf8'),
) as MapPicture['controls'];

const picture = (rest: Partial<MapPicture>): MapPicture => ({
  id: 'p',
  name: 'Ormsay Lake',
  addedAt: '2026-08-14T09:00:00.000Z',
  width: 1800,
  height: 1860,
  bytes: 500_000,
  controls: [],
  ...rest,
});
const tied = (rest: Partial<MapPicture>) => {
  const tie = tieOf(picture(rest));
  if (!tie.ok) throw new Error(tie.fault.code);
  return tie.value;
};

describe('the picture of a map', () => {
  it('of the demo is tied by four crossings', () => {
    expect(mapPictureSchema.safeParse(picture({ controls: CONTROLS })).success).toBe(true);
    const { fit, pixelOf, positionOf, measured } = tied({ controls: CONTROLS });
    expect(fit?.rmsMetres).toBeLessThan(0.05);
    // Crossings are 2.5 km apart, along the grid.
    const [a, b] = CONTROLS.map(({ x, y }) => ({ x, y }));
    expect(measured(a!, b!)!.metres).toBeCloseTo(2500, 0);
    expect(measured(a!, b!)!.degrees).toBeCloseTo(90, 2);
    const dock = { latitude: 54.2, longitude: -63.5 };
    const back = positionOf(pixelOf(dock)!)!;
    expect(lengthOf(planePointOf(dock, back))).toBeLessThan(0.01);
  });

  it('tells which way its upper edge is', () => {
    const { upDegrees } = tied({ controls: CONTROLS });
    const off = Math.min(upDegrees, 360 - upDegrees);
    expect(off).toBeLessThan(5);
    expect(off).toBeGreaterThan(0.1);
  });

  it('shows nothing beyond its vanishing line', () => {
    // From far off at a flat angle the horizon is in the picture.
    const flat = tied({
      controls: [
        { x: 0, y: 1800 },
        { x: 1800, y: 1800 },
        { x: 1000, y: 600 },
        { x: 800, y: 600 },
      ].map((pixel, index) => ({
        ...pixel,
        position: CONTROLS[[3, 2, 1, 0][index]!]!.position,
        label: `${index}`,
      })),
    });
    expect(flat.positionOf({ x: 900, y: 1700 })).not.toBeNull();
    expect(flat.positionOf({ x: 900, y: 300 })).toBeNull();
  });

  it('is tied by a world file as the file says, in metres and in degrees', () => {
    const projection = '+proj=utm +zone=20 +datum=WGS84';
    // Two metres a pixel, the middle of the first pixel at a round place.
    const numbers = [2, 0, 0, -2, 466_001, 6_007_999];
    const { positionOf, fit } = tied({ world: { numbers, degrees: false }, projection });
    expect(fit).toBeNull();
    const at = positionOf({ x: 0.5, y: 0.5 })!;
    const [e, n] = proj4(projection).forward([at.longitude, at.latitude]);
    expect([e, n]).toEqual([expect.closeTo(466_001, 4), expect.closeTo(6_007_999, 4)]);
    const corner = positionOf({ x: 0, y: 0 })!;
    const [e0] = proj4(projection).forward([corner.longitude, corner.latitude]);
    expect(e0).toBeCloseTo(466_000, 4);

    const degrees = tied({ world: { numbers: [1e-4, 0, 0, -1e-4, -63.5, 54.2], degrees: true } });
    const place = degrees.positionOf({ x: 100.5, y: 200.5 })!;
    expect(place.longitude).toBeCloseTo(-63.49, 9);
    expect(place.latitude).toBeCloseTo(54.18, 9);
  });

  it.each([
    [{}, 'too-few'],
    [{ world: { numbers: [2, 0, 0, -2, 466_001, 6_007_999], degrees: false } }, 'no-projection'],
    [{ controls: CONTROLS.slice(0, 1) }, 'too-few'],
    [{ controls: CONTROLS, projection: '+proj=moll +lon_0=0' }, 'grid'],
  ])('that can’t be tied says why: %j', (rest, code) => {
    const tie = tieOf(picture(rest as Partial<MapPicture>));
    expect(tie.ok ? null : tie.fault.code).toBe(code);
  });
});

describe('the grid of a map', () => {
  it('gives metres whatever its unit is', () => {
    const near = { latitude: 54.2, longitude: -63.5 };
    const feet = mapGrid(near, '+proj=tmerc +lon_0=-63.5 +ellps=WGS84 +units=ft');
    const metres = mapGrid(near, '+proj=tmerc +lon_0=-63.5 +ellps=WGS84');
    if (!feet.ok || !metres.ok) throw new Error('no grid');
    const [a, b] = [feet.value.forward(near), metres.value.forward(near)];
    expect(a.north).toBeCloseTo(b.north, 4);
    const back = feet.value.inverse(a);
    expect(back.latitude).toBeCloseTo(54.2, 9);
  });

  it('refuses what is no grid of a map, and UTM at the poles', () => {
    const of = (latitude: number, projection?: string) => {
      const grid = mapGrid({ latitude, longitude: 0 }, projection);
      return grid.ok ? null : grid.fault.code;
    };
    expect(of(85)).toBe('no-grid-there');
    expect(of(-81)).toBe('no-grid-there');
    expect(of(10, '+proj=longlat')).toBe('bad-projection');
    expect(of(85, '+proj=stere +lat_0=90 +ellps=WGS84')).toBeNull();
  });
});
