import { fromArrayBuffer, writeArrayBuffer } from 'geotiff';
import { describe, expect, it } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { geoPlace, type GeoTags } from '@/formats/picture/geo-keys';
import { isWorldFile, readWorldFile } from '@/formats/picture/world-file';

const place = (tags: Omit<GeoTags, 'keys'>, keys: GeoTags['keys'] = {}) =>
  geoPlace({ ...tags, keys });

describe('the tags of a GeoTIFF', () => {
  // OGC 19-008r4, 7.4: a raster of areas is tied at the outer corner of its first pixel, one of
  // points at its middle.
  it('of areas and of points', () => {
    const tags = { ModelPixelScale: [2, 3, 0], ModelTiepoint: [0, 0, 0, 466_000, 6_008_000, 0] };
    const keys = { GTModelTypeGeoKey: 1, ProjectedCSTypeGeoKey: 32_620 };
    expect(place(tags, { ...keys, GTRasterTypeGeoKey: 1 })).toEqual({
      world: { numbers: [2, 0, 0, -3, 466_001, 6_007_998.5], degrees: false },
      projection: '+proj=utm +zone=20 +datum=WGS84',
      otherDatum: null,
    });
    const degrees = { GTModelTypeGeoKey: 2 };
    expect(place(tags, { ...degrees, GeographicTypeGeoKey: 4326 })?.otherDatum).toBeNull();
    expect(place(tags, { ...degrees, GeographicTypeGeoKey: 4277 })?.otherDatum).toBe(4277);
    expect(place(tags, degrees)?.otherDatum).toBeNull();
    expect(place(tags, { ...keys, GTRasterTypeGeoKey: 2 })?.world.numbers.slice(4)).toEqual([
      466_000, 6_008_000,
    ]);
  });

  it('with a tie inside the picture, a turned raster, the south and degrees', () => {
    const inside = place({
      ModelPixelScale: [10, 10, 0],
      ModelTiepoint: [100, 50, 0, 5000, 7000, 0],
    });
    expect(inside?.world.numbers).toEqual([10, 0, 0, -10, 4005, 7495]);
    const turned = place({
      ModelTransformation: [0, 5, 0, 1000, 5, 0, 0, 2000, 0, 0, 0, 0, 0, 0, 0, 1],
    });
    expect(turned?.world.numbers).toEqual([0, 5, 5, 0, 1002.5, 2002.5]);
    const of = (keys: GeoTags['keys']) =>
      place({ ModelPixelScale: [1, 1, 0], ModelTiepoint: [0, 0, 0, 0, 0, 0] }, keys);
    expect(of({ ProjectedCSTypeGeoKey: 32_756 })?.projection).toBe(
      '+proj=utm +zone=56 +south +datum=WGS84',
    );
    expect(of({ ProjectedCSTypeGeoKey: 31287 })?.projection).toBeNull();
    expect(of({ ProjectedCSTypeGeoKey: 2154 })?.projection).toMatch(/^\+proj=lcc /);
    expect(of({ GTModelTypeGeoKey: 2, GeographicTypeGeoKey: 4326 })?.world.degrees).toBe(true);
  });

  it('that say no place', () => {
    expect(place({})).toBeNull();
    expect(place({ ModelPixelScale: [1, 1, 0] })).toBeNull();
  });

  it('are read from a file by the package', async () => {
    const buffer = (await writeArrayBuffer(new Uint8Array(48), {
      width: 4,
      height: 4,
      SamplesPerPixel: 3,
      PhotometricInterpretation: 2,
      BitsPerSample: [8, 8, 8],
      ModelPixelScale: [2, 2, 0],
      ModelTiepoint: [0, 0, 0, 466_000, 6_008_000, 0],
      ProjectedCSTypeGeoKey: 32_620,
      GTModelTypeGeoKey: 1,
      GTRasterTypeGeoKey: 1,
    })) as ArrayBuffer;
    const image = await (await fromArrayBuffer(buffer)).getImage();
    expect([image.getWidth(), image.getHeight()]).toEqual([4, 4]);
    expect(image.getGeoKeys()).toMatchObject({ ProjectedCSTypeGeoKey: 32_620 });
    const rgb = await image.readRGB({ interleave: true });
    expect((rgb as Uint8Array).length).toBe(48);
  });
});

describe('a world file', () => {
  it('is known by its ending', () => {
    expect(['a.tfw', 'a.jgw', 'a.pgw', 'a.wld', 'a.tifw', 'a.JPGW'].every(isWorldFile)).toBe(true);
    expect(['a.jpg', 'a.tif', 'a.webp', 'a.png', 'a.txt'].some(isWorldFile)).toBe(false);
  });

  it('has six numbers, of metres or of degrees', () => {
    const read = readWorldFile('2.0\n0.0\n0.0\n-2.0\n466001.0\n6007999.0\n');
    expect(read.ok && read.value).toEqual({
      numbers: [2, 0, 0, -2, 466_001, 6_007_999],
      degrees: false,
    });
    const degrees = readWorldFile('0.0001\n0\n0\n-0,0001\n-63.5\n54.2');
    expect(degrees.ok && degrees.value.degrees).toBe(true);
  });

  it.each(['1\n2\n3', 'a\nb\nc\nd\ne\nf', '0\n0\n0\n0\n1\n1'])('%j is none', (text) => {
    const read = readWorldFile(text);
    expect(read.ok ? '' : faultMessage(read.fault[0]!.fault)).toMatch(/six numbers/);
  });
});
