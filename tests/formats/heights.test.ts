import { writeArrayBuffer } from 'geotiff';
import { ZipWriter, Uint8ArrayReader, Uint8ArrayWriter } from '@zip.js/zip.js';
import { describe, expect, it } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { heightInGrid, type HeightGrid } from '@/core/terrain/height-grid';
import { readHeights } from '@/formats/heights';
import { tiffFile } from '../support/tiff-file';

const UTM = '+proj=utm +zone=20 +datum=WGS84';

async function read(name: string, bytes: Uint8Array): Promise<HeightGrid> {
  const file = await readHeights(name, bytes, UTM);
  if (!file.ok) throw new Error(faultMessage(file.fault[0]!.fault));
  return file.value[0]!.grid;
}

async function refused(name: string, content: Uint8Array | string): Promise<string> {
  const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content;
  const file = await readHeights(name, bytes, UTM);
  if (file.ok) throw new Error('it was read');
  const [{ fault, line }] = file.fault as [(typeof file.fault)[number]];
  return `${line === undefined ? '' : `${line}: `}${faultMessage(fault)}`;
}

/** A degree square of a formula of row and column, the high byte first. */
function square(side: number, heightOf: (row: number, column: number) => number): Uint8Array {
  const bytes = new Uint8Array(2 * side * side);
  const view = new DataView(bytes.buffer);
  for (let row = 0; row < side; row++) {
    for (let column = 0; column < side; column++) {
      view.setInt16(2 * (row * side + column), heightOf(row, column), false);
    }
  }
  return bytes;
}

describe('a degree square', () => {
  it.each([
    ['N54W064.hgt', -64, 54],
    ['n00e006.HGT', 6, 0],
    ['S12E130.hgt', 130, -12],
    ['S01W001.SRTMGL1.hgt', -1, -1],
  ])('%s lies north and east of its corner', async (name, west, south) => {
    // A height tells its post: 2 m for each row from the north, 1 m for each column.
    const grid = await read(
      name,
      square(1201, (row, column) => 2 * row + column),
    );
    const corners: [number, number][] = [
      [west, 2400],
      [west + 1, 3600],
    ];
    for (const [east, height] of corners) {
      expect(heightInGrid(grid, east, south)).toBe(height);
      expect(heightInGrid(grid, east, south + 1)).toBe(height - 2400);
    }
    // Between posts, as a plane has it: a quarter of a degree is 300 posts.
    expect(heightInGrid(grid, west + 0.25, south + 0.75)).toBeCloseTo(2 * 300 + 300, 3);
    expect(heightInGrid(grid, west + 0.5 / 1200, south + 1)).toBeCloseTo(0.5, 3);
    expect(heightInGrid(grid, west - 0.001, south + 0.5)).toBeNaN();
    expect(heightInGrid(grid, west + 0.5, south + 1.001)).toBeNaN();
  });

  it('of one second of arc has three times as many posts; a void is unknown', async () => {
    const grid = await read(
      'N54W064.hgt',
      square(3601, (row, column) => (row === 1800 && column === 1800 ? -32768 : -12)),
    );
    expect(grid.columns).toBe(3601);
    expect(heightInGrid(grid, -63.4, 54.4)).toBe(-12);
    expect(heightInGrid(grid, -63.5, 54.5)).toBeNaN();
    expect(heightInGrid(grid, -63.5 + 0.4 / 3600, 54.5)).toBeNaN();
    expect(heightInGrid(grid, -63.5 + 1.1 / 3600, 54.5)).toBe(-12);
  });

  it('is refused without its corner, in another size, and beyond the earth', async () => {
    expect(
      await refused(
        'heights.hgt',
        square(1201, () => 0),
      ),
    ).toMatch(/as in N54W064\.hgt/);
    expect(await refused('N54W064.hgt', new Uint8Array(100))).toMatch(/this file has 100 bytes/);
    expect(
      await refused(
        'N95W064.hgt',
        square(1201, () => 0),
      ),
    ).toMatch(/beyond 90° or 180°/);
  });
});

describe('an ASCII grid', () => {
  const head = (lines: readonly string[]) => `${lines.join('\n')}\n`;
  const metres = head([
    'ncols 3',
    'nrows 2',
    'xllcorner 466000',
    'yllcorner 6005000',
    'cellsize 30',
    'NODATA_value -9999',
  ]);

  it('has its rows from the north, and the corner of its cells', async () => {
    const bytes = new TextEncoder().encode(`${metres}10 20 30\n40 50 -9999\n`);
    const file = await readHeights('demo.asc', bytes, UTM);
    expect(file.ok && file.value[0]!.isOfMap).toBe(true);
    const grid = await read('demo.asc', bytes);
    expect(grid.projection).toBe(UTM);
    expect(heightInGrid(grid, 466_015, 6_005_045)).toBe(10);
    expect(heightInGrid(grid, 466_015, 6_005_015)).toBe(40);
    expect(heightInGrid(grid, 466_030, 6_005_030)).toBe((10 + 20 + 40 + 50) / 4);
    expect(heightInGrid(grid, 466_060, 6_005_030)).toBeNaN();
    expect(heightInGrid(grid, 466_000, 6_005_030)).toBeNaN();
  });

  it('in degrees is of no map, with the middle of its cells and a decimal comma', async () => {
    const first = 'NCOLS 2\r\nNROWS 2\r\nXLLCENTER -63,5\r\nYLLCENTER 54\r\nCELLSIZE 0,001\r\n';
    const text = `${first}1 2\r\n3 4`;
    const file = await readHeights('heights.txt', new TextEncoder().encode(text), UTM);
    expect(file.ok && file.value[0]).toMatchObject({ isOfMap: false, grid: { projection: null } });
    const grid = await read('heights.txt', new TextEncoder().encode(text));
    expect(heightInGrid(grid, -63.5, 54)).toBeCloseTo(3, 5);
    expect(heightInGrid(grid, -63.499, 54.001)).toBeCloseTo(2, 5);
  });

  it('is refused where it is not whole, with the line', async () => {
    expect(await refused('a.asc', `${metres}10 20 30\n40 50`)).toBe(
      '7: 6 heights are wanted, and 5 are there.',
    );
    expect(await refused('a.asc', 'ncols 3\nnrows two\n')).toBe('2: nrows: “two” is no number.');
    expect(await refused('a.asc', 'ncols 3\nnrows 2\n1 2 3')).toMatch(/^3: A grid of heights beg/);
    const huge = metres.replace('ncols 3', 'ncols 90000').replace('nrows 2', 'nrows 90000');
    expect(await refused('a.asc', huge)).toMatch(/^1: 90000 by 90000 heights are too many/);
  });
});

describe('a GeoTIFF of heights', () => {
  const values = Float32Array.from({ length: 12 }, (_, at) => 100 + at);
  const tiff = (tags: object) =>
    new Uint8Array(
      writeArrayBuffer(values, {
        width: 4,
        height: 3,
        BitsPerSample: [32],
        SampleFormat: [3],
        SamplesPerPixel: 1,
        ...tags,
      }),
    );

  it('in degrees lies where its tags say, a pixel about its middle', async () => {
    const grid = await read(
      'heights.tif',
      tiff({
        GTModelTypeGeoKey: 2,
        GTRasterTypeGeoKey: 1,
        GeographicTypeGeoKey: 4326,
        ModelPixelScale: [0.001, 0.001, 0],
        ModelTiepoint: [0, 0, 0, -63.5, 54.2, 0],
      }),
    );
    expect(grid.projection).toBeNull();
    expect(heightInGrid(grid, -63.5 + 0.0005, 54.2 - 0.0005)).toBeCloseTo(100, 4);
    expect(heightInGrid(grid, -63.5 + 0.0035, 54.2 - 0.0025)).toBeCloseTo(111, 4);
  });

  it('in UTM names its zone; in another grid it is of the map', async () => {
    const place = {
      GTModelTypeGeoKey: 1,
      GTRasterTypeGeoKey: 2,
      ModelPixelScale: [30, 30, 0],
      ModelTiepoint: [0, 0, 0, 466_000, 6_007_000, 0],
    };
    const utm = await read('a.tif', tiff({ ...place, ProjectedCSTypeGeoKey: 32721 }));
    expect(utm.projection).toBe('+proj=utm +zone=21 +south +datum=WGS84');
    expect(heightInGrid(utm, 466_045, 6_007_000)).toBeCloseTo(101.5, 4);
    const other = tiff({ ...place, ProjectedCSTypeGeoKey: 31287 });
    const file = await readHeights('a.tif', other, UTM);
    expect(file.ok && file.value[0]).toMatchObject({ isOfMap: true, grid: { projection: UTM } });
  });

  it('is refused where it is a single row', async () => {
    // Big-endian differences would be garbage; degrees of another datum some hundred metres off.
    const strip = new Uint8Array(24).fill(1);
    const packed = { width: 4, height: 3, bits: 16, compression: 1, strip, predictor: 2 };
    const predicted = new Uint8Array(tiffFile({ ...packed, bigEndian: true }));
    expect(await refused('a.tif', predicted)).toMatch(/big-endian.*predictor 2/);
    // The same little-endian is read as far as to where it is.
    const little = new Uint8Array(tiffFile(packed));
    expect(await refused('a.tif', little)).toMatch(/does not tell where it is/);
    const airy = tiff({
      GTModelTypeGeoKey: 2,
      GeographicTypeGeoKey: 4277,
      ModelPixelScale: [0.01, 0.01, 0],
      ModelTiepoint: [0, 0, 0, -63.5, 54.21, 0],
    });
    expect(await refused('a.tif', airy)).toMatch(/another datum \(EPSG:4277\) than WGS 84/);
    const row = writeArrayBuffer(values, { width: 12, height: 1, SamplesPerPixel: 1 });
    expect(await refused('a.tif', new Uint8Array(row))).toMatch(/two posts a side at least/);
  });
});

describe('other files', () => {
  it('all of an archive are read', async () => {
    const zip = new ZipWriter(new Uint8ArrayWriter());
    await zip.add('readme.txt', new Uint8ArrayReader(new TextEncoder().encode('heights')));
    await zip.add('N54W064.hgt', new Uint8ArrayReader(square(1201, () => 431)));
    await zip.add('N54W063.hgt', new Uint8ArrayReader(square(1201, () => 520)));
    const file = await readHeights('heights.zip', await zip.close(), UTM);
    const grids = file.ok ? file.value.map(({ grid }) => grid) : [];
    expect(grids.map((grid) => heightInGrid(grid, grid.west + 0.5, 54.2))).toEqual([431, 520]);
  });

  it('are refused, with the kinds that are read', async () => {
    expect(await refused('photo.jpg', 'JFIF')).toBe(
      'Heights are read from these kinds of files: HGT, GeoTIFF, ASCII grid.',
    );
    const zip = new ZipWriter(new Uint8ArrayWriter());
    expect(await refused('empty.zip', await zip.close())).toMatch(/No file in this archive/);
  });
});
