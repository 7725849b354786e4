// Packs the build's scripts and styles beside themselves, as the server hands them out: brotli at
// its best is a seventh smaller than what could be packed while someone waits.
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const FOLDER = '.next/static';
const PACKED = /\.(js|css|svg|json)$/;

const packs = {
  br: (content) =>
    promisify(brotliCompress)(content, {
      params: { [constants.BROTLI_PARAM_SIZE_HINT]: content.length },
    }),
  gz: (content) => promisify(gzip)(content, { level: constants.Z_BEST_COMPRESSION }),
};

const files = await readdir(FOLDER, { recursive: true, withFileTypes: true });
await Promise.all(
  files
    .filter((file) => file.isFile() && PACKED.test(file.name))
    .map(async ({ parentPath, name }) => {
      const path = join(parentPath, name);
      const content = await readFile(path);
      for (const [ending, pack] of Object.entries(packs)) {
        await writeFile(`${path}.${ending}`, await pack(content));
      }
    }),
);
