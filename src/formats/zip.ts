import { unzipSync, zipSync, strToU8, type Zippable } from 'fflate';
import type { EarthModels } from '../core/earth-models';
import type { Logbook } from '../core/logbook';
import { fail, ok, type Result } from '../core/result';
import { fileFault, type FileFault } from './format';
import { FORMATS } from './index';
import { placed, unplacedWords } from './placed';

/** An archive whose files would come to more than this is refused before any is unpacked, in bytes. */
const MOST_UNPACKED = 64_000_000;
const MOST_FILES = 2_000;
/** The file of an archive of ours that holds everything by itself. */
export const WHOLE_LOGBOOK = 'logbook.cairn.json';

export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);

/** The files of an archive. Sizes are added up as the archive states them, and no file may unpack to more than it states. */
export function readZip(
  bytes: Uint8Array,
): Result<{ readonly name: string; readonly bytes: Uint8Array }[], FileFault[]> {
  let [files, size] = [0, 0];
  try {
    const found = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        files++;
        size += originalSize;
        if (files > MOST_FILES || size > MOST_UNPACKED) throw new RangeError('too large');
        return !name.endsWith('/');
      },
    });
    return ok(Object.entries(found).map(([name, content]) => ({ name, bytes: content })));
  } catch (thrown) {
    const message =
      thrown instanceof RangeError && thrown.message === 'too large'
        ? `An archive of more than ${MOST_FILES} files or ${MOST_UNPACKED / 1_000_000} MB is not unpacked.`
        : 'This archive is damaged.';
    return fail([fileFault(message)]);
  }
}

/** A file name that every system takes. */
export const fileName = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[^\p{L}\p{N} ._-]+/gu, '-')
    .replace(/^[. ]+|[. ]+$/g, '')
    .slice(0, 80)
    .trim() || 'outing';

/** Formats that hold one outing a file: these stand once for each. */
const ONE_A_FILE = new Set(['log', 'svg']);

/**
 * Everything in one archive: the logbook file, each outing as a log and a sketch, and all together in each other format.
 * What could not be put on a map is listed in a text in it, with why.
 */
export function writeZip(logbook: Logbook, models: EarthModels | null): Uint8Array {
  const files: Zippable = {};
  const put = (name: string, text: string) => (files[name] = strToU8(text));
  const used = new Set<string>();
  const freeName = (wanted: string) => {
    let name = wanted;
    for (let n = 2; used.has(name.toLowerCase()); n++) name = `${wanted} ${n}`;
    used.add(name.toLowerCase());
    return name;
  };
  for (const format of FORMATS.values()) {
    if (ONE_A_FILE.has(format.name)) continue;
    const written = format.write(logbook, models);
    const name = format.name === 'json' ? WHOLE_LOGBOOK : `all${format.fileEnding}`;
    if (written.ok) put(name, written.value);
  }
  const leftOut: string[] = [];
  for (const outing of logbook.outings) {
    const name = freeName(fileName(outing.name));
    for (const each of ONE_A_FILE) {
      const format = FORMATS.get(each)!;
      const written = format.write({ ...logbook, outings: [outing], paceProfiles: [] }, models);
      if (written.ok) put(`${each}/${name}${format.fileEnding}`, written.value);
    }
    const laid = placed(outing, models);
    if (!laid.ok) leftOut.push(unplacedWords(outing, laid.fault));
  }
  if (leftOut.length > 0) put('left-out.txt', `${leftOut.join('\n')}\n`);
  // The quickest packing: text shrinks to a tenth by it, and the best takes twice as long for little more.
  return zipSync(files, { level: 1 });
}
