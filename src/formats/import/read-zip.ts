import {
  Uint8ArrayReader,
  Uint8ArrayWriter,
  ZipReader,
  configure,
  type FileEntry,
} from '@zip.js/zip.js';
import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';

// The readers run in a worker of their own already, and the page's policy allows no other.
configure({ useWebWorkers: false });

/** An archive that would unpack to more is refused before any of it is unpacked, in bytes. */
const MOST_UNPACKED = 64_000_000;
/** The same of pictures in the archive of a backup. */
const MOST_PICTURES = 300_000_000;
const MOST_FILES = 2_000;

/** What systems and packers put beside the files, and nobody means to hand on. */
const BESIDE_THE_FILES =
  /(^|\/)(__MACOSX\/|\.[^/]*$|\.[^/]+\/|thumbs\.db$|desktop\.ini$|(readme|licen[cs]e|left-out)(\.[a-z]+)?$)/i;

export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] === 3 || bytes[2] === 5);

/** A file of an archive. */
export interface ZippedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** The files of an archive, and the names of those that were passed over. */
export interface Unzipped {
  readonly files: readonly ZippedFile[];
  readonly passedOver: string[];
}

/** Why an archive is refused; thrown while it is read. */
class Refusal extends Error {}

/**
 * The files of an archive. Nothing is taken that the archive contradicts: checksums and sizes are
 * compared, parts may not overlap, names may not come twice, and what is encrypted is refused.
 */
export async function readZip(
  bytes: Uint8Array,
  wanted: (name: string) => boolean,
  isPicture: (name: string) => boolean = () => false,
): Promise<Result<Unzipped, FileFault[]>> {
  const zip = new ZipReader(new Uint8ArrayReader(bytes));
  try {
    const entries = await directoryOf(zip);
    checkDirectory(entries, isPicture);
    const isMeant = ({ filename }: FileEntry) =>
      !BESIDE_THE_FILES.test(filename) && wanted(filename);
    const files: ZippedFile[] = [];
    for (const entry of entries.filter(isMeant)) {
      files.push({ name: entry.filename, bytes: await content(entry) });
    }
    const passedOver = entries.filter((entry) => !isMeant(entry)).map((entry) => entry.filename);
    return ok({ files, passedOver });
  } catch (thrown) {
    if (thrown instanceof Refusal) return fail([fileFault(thrown.message)]);
    if (/unsafe|filename/i.test(String(thrown))) {
      return fail([fileFault('This archive has a file whose name leads out of it.')]);
    }
    return fail([fileFault('This archive is damaged.')]);
  } finally {
    await zip.close().catch(() => undefined);
  }
}

/** The files that an archive lists, read no further than there may be. */
async function directoryOf(zip: ZipReader<unknown>): Promise<FileEntry[]> {
  const files: FileEntry[] = [];
  for await (const entry of zip.getEntriesGenerator()) {
    if (entry.directory) continue;
    files.push(entry);
    if (files.length > MOST_FILES) throw tooMuch();
  }
  return files;
}

const tooMuch = () =>
  new Refusal(
    `An archive of more than ${MOST_FILES} files or ${MOST_UNPACKED / 1_000_000} MB is not ` +
      'unpacked.',
  );

/** Ways of packing by their number, that are not read here. Source: PKWARE APPNOTE 6.3, 4.4.5. */
const PACKINGS: Readonly<Record<number, string>> = {
  9: 'Deflate64',
  12: 'bzip2',
  14: 'LZMA',
  93: 'Zstandard',
  95: 'XZ',
};
const STORED = 0;
const DEFLATED = 8;

/** What the list of files alone tells. */
function checkDirectory(entries: readonly FileEntry[], isPicture: (name: string) => boolean): void {
  const sizeOf = (pictures: boolean) =>
    entries.reduce(
      (sum, { filename, uncompressedSize }) =>
        sum + (isPicture(filename) === pictures ? uncompressedSize : 0),
      0,
    );
  if (sizeOf(false) > MOST_UNPACKED || sizeOf(true) > MOST_PICTURES) throw tooMuch();
  const names = new Set<string>();
  for (const { filename, encrypted, compressionMethod } of entries) {
    if (compressionMethod !== STORED && compressionMethod !== DEFLATED && !encrypted) {
      const packing = PACKINGS[compressionMethod] ?? `method ${compressionMethod}`;
      throw new Refusal(
        `“${filename}” is packed by ${packing}, which is not read here. Pack it as an ordinary ` +
          'zip archive (Deflate), or import what is in it.',
      );
    }
    if (names.has(filename)) throw new Refusal(`This archive has two files “${filename}”.`);
    names.add(filename);
    if (encrypted) {
      throw new Refusal(`“${filename}” is encrypted. Unpack it, and import what is in it.`);
    }
  }
}

/** The bytes of a file, checked against what the archive says of it. */
async function content(entry: FileEntry): Promise<Uint8Array> {
  const { filename, uncompressedSize } = entry;
  try {
    const limited = new LimitedWriter(uncompressedSize);
    const read = await entry.getData(limited, {
      checkSignature: true,
      checkOverlappingEntry: true,
      checkAmbiguity: true,
    });
    if (read.length === uncompressedSize) return read;
  } catch (thrown) {
    if (/overlap/i.test(String(thrown))) {
      throw new Refusal(`“${filename}” shares bytes with another file of the archive.`);
    }
  }
  throw new Refusal(`“${filename}” is damaged: its checksum or its size is wrong.`);
}

/** Takes no more bytes than the archive stated. */
class LimitedWriter extends Uint8ArrayWriter {
  private taken = 0;

  constructor(private readonly most: number) {
    super(most);
  }

  override writeUint8Array(part: Uint8Array): Promise<void> {
    this.taken += part.length;
    if (this.taken > this.most) throw new RangeError('more than was stated');
    return super.writeUint8Array(part);
  }
}
