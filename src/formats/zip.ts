import { unzipSync, zipSync, strToU8, type Zippable } from 'fflate';
import type { EarthModels } from '../core/earth-models';
import type { Logbook } from '../core/logbook';
import { fail, ok, type Result } from '../core/result';
import { fileFault, type FileFault } from './format';
import { FORMATS } from './index';

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

/**
 * Everything in one archive: the logbook file, and each outing in every format that it can be written in. What could not
 * be written is listed in a text in it.
 */
export function writeZip(logbook: Logbook, models: EarthModels | null): Uint8Array {
  const files: Zippable = {};
  const leftOut: string[] = [];
  const put = (name: string, text: string) => (files[name] = strToU8(text));
  const whole = FORMATS.get('json')!.write(logbook, models);
  if (whole.ok) put(WHOLE_LOGBOOK, whole.value);
  const used = new Set<string>();
  for (const outing of logbook.outings) {
    const base = fileName(outing.name);
    let folder = base;
    for (let n = 2; used.has(folder.toLowerCase()); n++) folder = `${base} ${n}`;
    used.add(folder.toLowerCase());
    for (const format of FORMATS.values()) {
      const written = format.write({ ...logbook, outings: [outing], paceProfiles: [] }, models);
      if (written.ok) put(`${folder}/${base}${format.fileEnding}`, written.value);
      else leftOut.push(`${folder}${format.fileEnding}`);
    }
  }
  if (leftOut.length > 0) {
    const why = 'These need a position of the start, and a declination:';
    put('left-out.txt', `${why}\n${leftOut.join('\n')}\n`);
  }
  return zipSync(files, { level: 6 });
}
