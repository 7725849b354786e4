import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { isZip, readZip } from '../import/read-zip';
import { asciiGrid } from './ascii-grid';
import { geoTiff } from './geotiff';
import type { HeightFile, HeightFormat } from './height-format';
import { hgt } from './hgt';

/** Heights as they were read: from which file, of what kind. */
export interface ReadHeights extends HeightFile {
  readonly name: string;
  readonly source: string;
}

/** All kinds of files that heights are read from; the first that reads a file has it. */
const HEIGHT_FORMATS: readonly HeightFormat[] = [hgt, geoTiff, asciiGrid];

const INSIDE = /\.(hgt|asc|tiff?)$/i;

/**
 * Reads heights from a file, or from all those in an archive. `map` is the projection of the map in
 * use, which is taken where a file has metres and doesn't name their grid.
 */
export async function readHeights(
  name: string,
  bytes: Uint8Array,
  map: string,
): Promise<Result<ReadHeights[], FileFault[]>> {
  if (isZip(bytes)) {
    const unzipped = await readZip(bytes, (inside) => INSIDE.test(inside));
    if (!unzipped.ok) return unzipped;
    const { files } = unzipped.value;
    if (files.length === 0) return fail([fileFault('No file in this archive holds heights.')]);
    const all: ReadHeights[] = [];
    for (const { name: inside, bytes: content } of files) {
      const read = await readOne(inside, content, map);
      if (!read.ok) return read;
      all.push(read.value);
    }
    return ok(all);
  }
  const read = await readOne(name, bytes, map);
  return read.ok ? ok([read.value]) : read;
}

/** Reads a file by the first format that takes it. */
async function readOne(
  name: string,
  bytes: Uint8Array,
  map: string,
): Promise<Result<ReadHeights, FileFault[]>> {
  const format = HEIGHT_FORMATS.find((each) => each.reads(name, bytes));
  if (!format) {
    const kinds = HEIGHT_FORMATS.map((each) => each.name).join(', ');
    return fail([fileFault(`Heights are read from these kinds of files: ${kinds}.`)]);
  }
  const read = await format.read(name, bytes, map);
  return read.ok ? ok({ ...read.value, name, source: format.name }) : read;
}
