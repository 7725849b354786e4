import { fail, ok } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';
import { WHOLE_LOGBOOK } from '../zip';
import { mergedContents, type NamedContents } from './merged';
import type { ReadResult } from './file-contents';
import { isZip, readZip, type ZippedFile } from './read-zip';

const unread = (faults: readonly FileFault[]): ReadResult => fail({ faults });

/** The endings of files that are read from an archive. */
const READABLE = /\.(json|geojson|gpx|csv|txt|log)$/i;
/** Pixels of pictures in the archive of a backup. */
const PIXELS = /(^|\/)pictures\/[\w-]+$/;

/**
 * The logbook of an archive of our own, also where it was unpacked and packed again in a folder;
 * null for another archive. The names of files beside it are given without that folder.
 */
function wholeLogbookIn(
  files: readonly ZippedFile[],
): { logbook: ZippedFile; folder: string } | null {
  const [logbook, second] = files.filter(
    ({ name }) => name === WHOLE_LOGBOOK || name.endsWith(`/${WHOLE_LOGBOOK}`),
  );
  if (!logbook || second) return null;
  return { logbook, folder: logbook.name.slice(0, -WHOLE_LOGBOOK.length) };
}

/** An archive: its logbook, or else every readable file in it; one that fails fails the whole. */
export async function readArchive(
  bytes: Uint8Array,
  onProgress: ((share: number) => void) | undefined,
  readInside: (name: string, bytes: Uint8Array) => ReadResult,
): Promise<ReadResult> {
  const isWanted = (name: string) => READABLE.test(name) || PIXELS.test(name);
  const unzipped = await readZip(bytes, isWanted, (name) => PIXELS.test(name));
  if (!unzipped.ok) return unread(unzipped.fault);
  const { passedOver } = unzipped.value;
  const whole = wholeLogbookIn(unzipped.value.files);
  const files = unzipped.value.files.filter(({ name, bytes: { length } }) => {
    // An empty file says nothing that could be wrong.
    if (length === 0) passedOver.push(name);
    return length > 0 && READABLE.test(name);
  });
  const wanted = whole ? [whole.logbook] : files;
  if (wanted.length === 0) return unread([fileFault('No file in this archive can be read.')]);
  const found: NamedContents[] = [];
  for (const [index, { name, bytes: content }] of wanted.entries()) {
    onProgress?.(index / wanted.length);
    const read = isZip(content)
      ? unread([fileFault('An archive in an archive is not read.')])
      : readInside(name, content);
    if (!read.ok) return unread(read.fault.faults.map((fault) => inFile(name, fault)));
    const messages = read.value.messages.map((message) => `${name}: ${message}`);
    found.push({ name, contents: { ...read.value, messages } });
  }
  const all = mergedContents(found, 'archive');
  const messages = found.flatMap(({ contents }) => contents.messages);
  if (!whole && passedOver.length > 0) messages.push(passedOverWords(passedOver));
  const pixels = new Map(
    unzipped.value.files.flatMap(({ name, bytes: content }) =>
      whole && PIXELS.test(name) ? [[name.slice(whole.folder.length), content] as const] : [],
    ),
  );
  return ok({ ...all, messages, pixels, thinned: undefined });
}

/** How many names are reported in full. */
const MOST_NAMED = 8;

function passedOverWords(names: readonly string[]): string {
  const more = names.length - MOST_NAMED;
  const shown = names.slice(0, MOST_NAMED).join(', ');
  return `Passed over in the archive: ${shown}${more > 0 ? ` and ${more} more` : ''}.`;
}

const inFile = (name: string, fault: FileFault): FileFault => ({
  ...fault,
  path: `${name} ${fault.path ?? ''}`.trim(),
});
