import { strToU8, zipSync, type Zippable } from 'fflate';
import type { Logbook } from '../core/model/logbook';
import type { EarthModels } from '../core/north/earth-models';
import type { Format } from './format';
import { geoOuting, unplacedMessage } from './geo-outing';
import { FORMATS } from './index';
import { jsonFormat } from './json';
import { uniqueNames } from './unique-names';

/** The file of our own archives that holds everything by itself. */
export const WHOLE_LOGBOOK = 'logbook.cairn.json';

/** A file name that every system takes. */
export const fileName = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[^\p{L}\p{N} ._-]+/gu, '-')
    .replace(/^[. ]+|[. ]+$/g, '')
    .slice(0, 80)
    .trim() || 'outing';

/** Formats that hold one outing a file: each outing has its own. */
const ONE_A_FILE = new Set(['log', 'svg']);

/** The quickest packing: text shrinks to a tenth by it, and the best takes twice as long. */
const PACKING_LEVEL = 1;

/**
 * Everything in one archive: the logbook file, each outing as a log and a sketch, and all together
 * in each other format. What could not be put on a map is listed in a text in it, with why.
 */
export function writeZip(logbook: Logbook, models: EarthModels | null): Uint8Array {
  const files: Zippable = {};
  const put = (name: string, format: Format, book: Logbook) => {
    const written = format.write(book, models);
    if (written.ok) files[name] = strToU8(written.value);
  };
  const formats = [...FORMATS.values()];
  for (const format of formats.filter(({ name }) => !ONE_A_FILE.has(name))) {
    put(format === jsonFormat ? WHOLE_LOGBOOK : `all${format.fileEnding}`, format, logbook);
  }
  const unique = uniqueNames(
    (name) => name.toLowerCase(),
    (name, number) => `${name} ${number}`,
  );
  for (const outing of logbook.outings) {
    const name = unique(fileName(outing.name));
    const alone = { ...logbook, outings: [outing], paceProfiles: [] };
    for (const format of formats.filter((each) => ONE_A_FILE.has(each.name))) {
      put(`${format.name}/${name}${format.fileEnding}`, format, alone);
    }
  }
  const unplaced = logbook.outings.flatMap((outing) => {
    const geo = geoOuting(outing, models);
    return geo.ok ? [] : [unplacedMessage(outing, geo.fault)];
  });
  if (unplaced.length > 0) files['left-out.txt'] = strToU8(`${unplaced.join('\n')}\n`);
  return zipSync(files, { level: PACKING_LEVEL });
}
