import { fail, ok } from '../../core/units/result';
import { fileFault } from '../format';
import { geoPlace } from '../picture/geo-keys';
import { isTiff, readGeoTags } from '../picture/geo-tags';
import { openTiff } from '../picture/tiff';
import { FARTHEST, heightOrVoid, MOST_POSTS, type HeightFormat } from './height-format';

const [BIG_ENDIAN, BYTE] = [0x4d, 8];
const [NO_PREDICTOR, HORIZONTAL] = [1, 2];

const refused = (message: string) => fail([fileFault(message)]);

/** Heights as the first band of a GeoTIFF, by the package `geotiff` (OGC 19-008r4). */
export const geoTiff: HeightFormat = {
  name: 'GeoTIFF',
  reads: (_name, bytes) => isTiff(bytes),
  async read(_name, bytes, map) {
    const opened = await openTiff(bytes.slice().buffer, MOST_POSTS);
    if (!opened.ok) return refused(opened.fault);
    const image = opened.value;
    const [columns, rows] = [image.getWidth(), image.getHeight()];
    if (columns < 2 || rows < 2) return refused('A grid of heights has two posts a side at least.');
    const isBigEndian = bytes[0] === BIG_ENDIAN;
    const predictor = Number((await image.fileDirectory.loadValue('Predictor')) ?? NO_PREDICTOR);
    if (isBigEndian && predictor === HORIZONTAL && image.getBitsPerSample() > BYTE) {
      // The package takes the differences of its samples as if they were little-endian.
      return refused(
        'This GeoTIFF has big-endian heights as differences (predictor 2), which are not read. ' +
          'Save it without a predictor, or little-endian.',
      );
    }
    const place = geoPlace(await readGeoTags(image));
    if (!place) return refused('This GeoTIFF does not tell where it is.');
    if (place.otherDatum !== null) {
      return refused(
        `This GeoTIFF has degrees of another datum (EPSG:${place.otherDatum}) than WGS 84, up to ` +
          'some hundred metres off. Convert it to WGS 84 (EPSG:4326) first.',
      );
    }
    const [stepEast = 0, turn = 0, turned = 0, down = 0, west = 0, north = 0] = place.world.numbers;
    const numbers = [stepEast, down, west, north];
    if (!numbers.every((each) => Math.abs(each) <= FARTHEST)) {
      return refused('This GeoTIFF tells a place that is not on the earth.');
    }
    if (turn !== 0 || turned !== 0 || !(stepEast > 0) || !(down < 0)) {
      return refused('This GeoTIFF is turned; heights are read with north at the top.');
    }
    const [band] = (await image.readRasters({ samples: [0] })) as unknown as ArrayLike<number>[];
    const isVoid = image.getGDALNoData();
    const metres = Float32Array.from(band ?? [], (height) =>
      height === isVoid ? NaN : heightOrVoid(height),
    );
    const isOfMap = !place.world.degrees && place.projection === null;
    const projection = place.world.degrees ? null : (place.projection ?? map);
    const steps = { stepEast, stepSouth: -down };
    return ok({ grid: { projection, west, north, ...steps, columns, rows, metres }, isOfMap });
  },
};
