import proj4 from 'proj4';
import { describe, expect, it } from 'vitest';
import { mapGrid } from '@/core/place/map-grid';
import { lengthOf, vectorBetween } from '@/core/units/plane';

describe('the grid of a map in other units than metres', () => {
  const TMERC = '+proj=tmerc +lat_0=0 +lon_0=-63 +k=1 +x_0=0 +y_0=0 +datum=WGS84';
  const [here, there] = [
    { latitude: 54.2, longitude: -63.5 },
    { latitude: 54.25, longitude: -63.5 },
  ];
  const metresBy = (units: string) => {
    const grid = mapGrid(here, `${TMERC} ${units}`);
    if (!grid.ok) throw new Error(units);
    return lengthOf(vectorBetween(grid.value.forward(here), grid.value.forward(there)));
  };

  it.each([
    // Units of PROJ, and a factor with an exponent: metres in one are of PROJ's own table (memory).
    ['+units=m', 1],
    ['+units=km', 1000],
    ['+units=ft', 0.3048],
    ['+units=us-ft', 1200 / 3937],
    ['+units=yd', 0.9144],
    ['+units=link', 0.201168],
    ['+units=ind-yd', 0.91439523],
    ['+to_meter=0.3048', 0.3048],
    ['+to_meter=3.048e-1', 0.3048],
  ])('%s: the same metres, by coordinates of that size', (units, metres) => {
    expect(metresBy(units)).toBeCloseTo(metresBy('+units=m'), 4);
    const [, north = NaN] = proj4(`${TMERC} ${units}`).forward([-63.5, 54.2]);
    const [, plain = NaN] = proj4(TMERC).forward([-63.5, 54.2]);
    expect(plain / north).toBeCloseTo(metres, 6);
  });

  it('is read back where it was', () => {
    const grid = mapGrid(here, `${TMERC} +units=km`);
    const back = grid.ok ? grid.value.inverse(grid.value.forward(there)) : null;
    expect(back?.latitude).toBeCloseTo(there.latitude, 9);
  });
});
