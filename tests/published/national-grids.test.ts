// @ts-expect-error: the package brings no types
import OsGridRef, { LatLon } from 'geodesy/osgridref.js';
import proj4 from 'proj4';
import { describe, expect, it } from 'vitest';
import { gridModel } from '@/core/north/grid-model';
import { mapGrid } from '@/core/place/map-grid';
import { gridsAt, NATIONAL_GRIDS, nationalGrid } from '@/core/place/national-grids';
import { nationalText, readNationalText } from '@/core/place/national-text';

const definitionOf = (id: string) => {
  const grid = nationalGrid(id);
  if (!grid) throw new Error(id);
  return grid.definition;
};
const forward = (id: string, latitude: number, longitude: number) => {
  const grid = mapGrid({ latitude, longitude }, definitionOf(id));
  if (!grid.ok) throw new Error(id);
  return grid.value.forward({ latitude, longitude });
};

/**
 * PROJ 9.1.1 with EPSG register 10.076: `cs2cs EPSG:4326 EPSG:n` without network, to a millimetre.
 * The New Zealand Map Grid alone goes by a grid of shifts there, and by seven parameters here.
 */
const BY_PROJ: [string, number, number, east: number, north: number, within?: number][] = [
  ['british', 54.1, -2.3, 380479.431, 467164.651],
  ['british', 57, -4, 278609.563, 791649.75],
  ['irish', 53.5, -9, 133688.59, 250441.627],
  ['irish', 54.6, -6.2, 316378.721, 373907.623],
  ['itm', 53.5, -9, 533653.873, 750465.437],
  ['rd', 52.2, 5.9, 190057.338, 468111.57],
  ['lambert72', 50.3, 5.5, 230592.995, 110502.618],
  ['lambert2008', 50.3, 5.5, 730599.119, 610513.118],
  ['luref', 49.9, 6.1, 75105.341, 107298.658],
  ['lambert93', 45.2, 5.9, 927651.223, 6459812.25],
  ['lv95', 46.6, 8, 2643013.267, 1161124.296],
  ['lv03', 46.6, 8, 643013.267, 161124.296],
  ['sweref99', 63.2, 13.5, 424546.544, 7008754.61],
  ['rt90', 63.2, 13.5, 1384016.57, 7012133.99],
  ['tm35fin', 66.5, 26, 455505.32, 7375999.375],
  ['isn93', 64.5, -18.5, 524026.361, 444354.653],
  ['pl1992', 49.3, 20, 572679.862, 159648.201],
  ['eov', 47.9, 20, 721222.459, 284468.911],
  ['stereo70', 45.5, 25, 500120.3, 444471.627],
  ['d96', 46.3, 14, 422964.291, 129405.306],
  ['htrs96', 44.5, 15.2, 396621.739, 4929710.084],
  ['lest97', 58.7, 25.5, 586948.57, 6507672.175],
  ['lks92', 57, 25, 560746.624, 317830.53],
  ['lks94', 55.2, 24.8, 550929.572, 6118563.46],
  ['israel', 31, 35, 199931.154, 545456.885],
  ['nztm', -43.5, 171.5, 1478732.759, 5182565.807],
  ['nzmg', -43.5, 171.5, 2388707.85, 5744183.532, 4],
  ['hk80', 22.4, 114.15, 833500.742, 828969.495],
  ['twd97', 24, 121.2, 270348.348, 2655037.57],
  ['ggrs87', 39.8, 21.2, 260128.486, 4409023.68],
];

describe('national grids against PROJ', () => {
  it.each(BY_PROJ)('%s at %d %d', (id, latitude, longitude, east, north, within = 0.01) => {
    const found = forward(id, latitude, longitude);
    expect(Math.hypot(found.east - east, found.north - north)).toBeLessThan(within);
    expect(gridsAt({ latitude, longitude }).map((grid) => grid.id)).toContain(id);
  });

  it('every grid of the list is held against it', () => {
    expect(new Set(BY_PROJ.map(([id]) => id))).toEqual(new Set(NATIONAL_GRIDS.map(({ id }) => id)));
  });
});

describe('the British grid against its guide', () => {
  it('the worked example: Airy 1830 to easting and northing', () => {
    // Ordnance Survey, A Guide to Coordinate Systems in Great Britain, annexe C.1 (memory; PROJ
    // gives the same latitude and longitude back to 1e-9 degrees).
    const onAiry = definitionOf('british').replace(/ \+towgs84=\S+/, '');
    const latitude = 52 + 39 / 60 + 27.2531 / 3600;
    const longitude = 1 + 43 / 60 + 4.5177 / 3600;
    const plain = proj4('+proj=longlat +ellps=airy', onAiry);
    const [east = NaN, north = NaN] = plain.forward([longitude, latitude]);
    expect(east).toBeCloseTo(651409.903, 2);
    expect(north).toBeCloseTo(313177.27, 2);
  });

  it('the same place by its letters: TG 51409 13177', () => {
    const read = readNationalText('TG 51409 13177');
    if (!read?.ok) throw new Error('unread');
    const { east, north } = forward(
      'british',
      read.value.position.latitude,
      read.value.position.longitude,
    );
    expect(east).toBeCloseTo(651409.5, 1);
    expect(north).toBeCloseTo(313177.5, 1);
  });

  it('letters and figures as another library has them, all over the country', () => {
    let compared = 0;
    for (let latitude = 50.1; latitude < 60.8; latitude += 0.43) {
      for (let longitude = -7.2; longitude < 1.7; longitude += 0.41) {
        const grid = nationalGrid('british')!;
        if (!gridsAt({ latitude, longitude }).includes(grid)) continue;
        const other = new LatLon(latitude, longitude).toOsGrid() as InstanceType<typeof OsGridRef>;
        const ours = forward('british', latitude, longitude);
        // Both by the seven parameters of the guide; the other rounds to a millimetre.
        expect(Math.hypot(ours.east - other.easting, ours.north - other.northing)).toBeLessThan(
          0.01,
        );
        const text = nationalText(grid, { latitude, longitude });
        // The other library reads no square of O or J: they are sea.
        if (/^[OJ]/.test(text)) continue;
        const read = OsGridRef.parse(text);
        expect(Math.floor(ours.east / 10)).toBe(Math.floor(read.easting / 10));
        expect(Math.floor(ours.north / 10)).toBe(Math.floor(read.northing / 10));
        compared++;
      }
    }
    expect(compared).toBeGreaterThan(250);
  });

  it('its grid north: true on its meridian, east of true to the east of it', () => {
    const at = (longitude: number) => {
      const found = gridModel.convergence({ latitude: 54, longitude }, definitionOf('british'));
      return found.ok ? found.value : NaN;
    };
    // (longitude + 2) × sin(latitude) to first order; the datum turns the meridian by 0.002°.
    expect(at(-2)).toBeCloseTo(0, 2);
    expect(at(0)).toBeCloseTo(2 * Math.sin((54 * Math.PI) / 180), 2);
    expect(at(-4)).toBeLessThan(-1.6);
  });
});

describe('the Irish grid', () => {
  it('has one letter: a spire in Dublin is O 159 346', () => {
    // 53.3498 N 6.2603 W by its published coordinates (memory).
    const text = nationalText(nationalGrid('irish')!, { latitude: 53.3498, longitude: -6.2603 });
    expect(text).toMatch(/^O 159\d\d 346\d\d$/);
  });
});
