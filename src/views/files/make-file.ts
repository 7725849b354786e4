import type { EarthModels } from '@/core/earth-models';
import { faultWords } from '@/core/fault-words';
import type { Logbook } from '@/core/logbook';
import { fail, ok, type Result } from '@/core/result';
import { FORMATS } from '@/formats';
import { fileName, writeZip } from '@/formats/zip';
import { WORDS } from './words';

export interface MadeFile {
  readonly name: string;
  readonly content: Blob;
}

/** A logbook as a file of a format; why not, in words, when it can't be written. */
export async function makeFile(
  format: string,
  logbook: Logbook,
  models: EarthModels,
): Promise<Result<MadeFile, string>> {
  const [only, second] = logbook.outings;
  const base = only && !second ? fileName(only.name) : `outings ${logbook.exportedAt.slice(0, 10)}`;
  if (format === 'zip') {
    const bytes = writeZip(logbook, models);
    return ok({ name: `${base}.zip`, content: blob(bytes, 'application/zip') });
  }
  const writer = FORMATS.get(format === 'png' ? 'svg' : format)!;
  const written = writer.write(logbook, models);
  if (!written.ok) return fail(written.fault.map(({ fault }) => faultWords(fault)).join(' '));
  if (format === 'png') {
    const content = await pictureOf(written.value);
    return content ? ok({ name: `${base}.png`, content }) : fail(WORDS.failed);
  }
  const content = blob(written.value, `${writer.mediaType};charset=utf-8`);
  return ok({ name: `${base}${writer.fileEnding}`, content });
}

const blob = (content: string | Uint8Array, type: string) =>
  new Blob([content as BlobPart], { type });

/** Three times the drawing's size, so that names stay sharp when it is enlarged. */
const DENSITY = 3;

/** A drawing as dots. */
async function pictureOf(svg: string): Promise<Blob | null> {
  const address = URL.createObjectURL(blob(svg, 'image/svg+xml'));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.naturalWidth * DENSITY;
    canvas.height = image.naturalHeight * DENSITY;
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve) => canvas.toBlob(resolve, 'image/png'));
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(address);
  }
}
