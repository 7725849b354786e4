/** Kinds of files that people try and that are read elsewhere, or not at all. */
interface FileKind {
  /** What it is. */
  readonly is: string;
  /** What would work instead, as a sentence. */
  readonly works: string;
  readonly fits: (bytes: Uint8Array, text: string, name: string) => boolean;
}

const begins =
  (...magic: readonly number[]) =>
  (bytes: Uint8Array) =>
    magic.every((byte, index) => bytes[index] === byte);
const holds = (bytes: Uint8Array, at: number, word: string) =>
  [...word].every((letter, index) => bytes[at + index] === letter.charCodeAt(0));

const AS_TABLE = 'Save its table as CSV there, and open that; or copy its lines and paste them.';
const AS_PICTURE = 'A picture of a map is opened under Route, Pictures of maps.';
const AS_GPX = 'Save it as GPX there, and open that.';
const AS_HEIGHTS =
  'Elevation files are kept in Files, under Elevation files; a route reads climbs from them.';

/** The kinds; a new one is one more row. By what files begin with: each format's own documents. */
const KINDS: readonly FileKind[] = [
  { is: 'a picture (PNG)', works: AS_PICTURE, fits: begins(0x89, 0x50, 0x4e, 0x47) },
  { is: 'a picture (JPEG)', works: AS_PICTURE, fits: begins(0xff, 0xd8, 0xff) },
  { is: 'a picture (GIF)', works: AS_PICTURE, fits: (bytes) => holds(bytes, 0, 'GIF8') },
  {
    is: 'a picture (WebP)',
    works: AS_PICTURE,
    fits: (bytes) => holds(bytes, 0, 'RIFF') && holds(bytes, 8, 'WEBP'),
  },
  {
    is: 'a picture (HEIC)',
    works: 'Save it as JPEG there; a picture of a map is then opened under Route.',
    fits: (bytes) => holds(bytes, 4, 'ftyphei') || holds(bytes, 4, 'ftypmif'),
  },
  {
    is: 'a TIFF: a picture, or heights',
    works: `${AS_PICTURE} ${AS_HEIGHTS}`,
    fits: (bytes) => begins(0x49, 0x49, 0x2a, 0)(bytes) || begins(0x4d, 0x4d, 0, 0x2a)(bytes),
  },
  { is: 'a PDF', works: 'Copy its lines and paste them.', fits: (b) => holds(b, 0, '%PDF') },
  {
    is: 'a spreadsheet or a document',
    works: AS_TABLE,
    fits: (bytes, text, name) =>
      begins(0xd0, 0xcf, 0x11, 0xe0)(bytes) ||
      text.startsWith('{\\rtf') ||
      (begins(0x50, 0x4b)(bytes) && /\.(xlsx?|docx?|ods|odt|pptx?)$/i.test(name)),
  },
  {
    is: 'a map for globes (KMZ)',
    works: AS_GPX,
    fits: (bytes, _text, name) => begins(0x50, 0x4b)(bytes) && /\.kmz$/i.test(name),
  },
  {
    is: 'a map for globes (KML)',
    works: `A path in it is opened as a route, under Route. ${AS_GPX}`,
    fits: (_bytes, text) => /^\s*(<\?xml[^>]*>\s*)?(<!--.*?-->\s*)*<kml\b/is.test(text),
  },
  { is: 'a recording (FIT)', works: AS_GPX, fits: (bytes) => holds(bytes, 8, '.FIT') },
  {
    is: 'heights (an ASCII grid)',
    works: AS_HEIGHTS,
    fits: (_bytes, text) => /^\s*ncols\s/i.test(text),
  },
  {
    is: 'heights (HGT)',
    works: AS_HEIGHTS,
    fits: (_bytes, _text, name) => /\.hgt(\.zip)?$/i.test(name),
  },
  { is: 'a database', works: AS_TABLE, fits: (bytes) => holds(bytes, 0, 'SQLite format') },
  { is: 'a shapefile', works: AS_GPX, fits: begins(0, 0, 0x27, 0x0a) },
  {
    is: 'packed (gzip)',
    works: 'Unpack it, and open what is in it.',
    fits: begins(0x1f, 0x8b),
  },
  {
    is: 'a page of the web',
    works: 'Copy its lines and paste them.',
    fits: (_bytes, text) => /^\s*(<!doctype html|<html)\b/i.test(text),
  },
];

const LONGEST_LOOKED_AT = 400;

/** What a file is that can't be read here, and what would work; null for no known kind. */
export function kindOfFile(name: string, content: Uint8Array | string): string | null {
  const bytes =
    typeof content === 'string'
      ? new TextEncoder().encode(content.slice(0, LONGEST_LOOKED_AT))
      : content.subarray(0, LONGEST_LOOKED_AT);
  const text = new TextDecoder().decode(bytes);
  const kind = KINDS.find(({ fits }) => fits(bytes, text, name));
  return kind ? `This file is ${kind.is}. ${kind.works}` : null;
}
