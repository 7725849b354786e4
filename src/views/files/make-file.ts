import type { EarthModels } from '@/core/north/earth-models';
import { faultMessage } from '@/core/faults/messages';
import type { Logbook } from '@/core/model/logbook';
import { fail, ok, type Result } from '@/core/units/result';
import { FORMATS } from '@/formats';
import { fileName, writeZip } from '@/formats/zip';
import { WORDS } from './words';

export interface MadeFile {
  readonly name: string;
  readonly content: Blob;
}

/** A logbook as a file of a format; or why it can't be written, in words. */
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
  const writer = FORMATS.get(format === 'png' ? 'svg' : format);
  if (!writer) throw new RangeError(`no format is called ${format}`);
  const written = writer.write(logbook, models);
  if (!written.ok) return fail(written.fault.map(({ fault }) => faultMessage(fault)).join(' '));
  if (format === 'png') {
    const content = await imageOf(written.value);
    return content ? ok({ name: `${base}.png`, content }) : fail(WORDS.failed);
  }
  const content = blob(written.value, `${writer.mediaType};charset=utf-8`);
  return ok({ name: `${base}${writer.fileEnding}`, content });
}

const blob = (content: string | Uint8Array, type: string) =>
  new Blob([content as BlobPart], { type });

/** Pixels to a unit of the drawing, so that names stay sharp when the image is enlarged. */
const DENSITY = 3;

/** A drawing as a PNG image; null when the browser can't make it. */
async function imageOf(svg: string): Promise<Blob | null> {
  const address = URL.createObjectURL(blob(svg, 'image/svg+xml'));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.naturalWidth * DENSITY;
    canvas.height = image.naturalHeight * DENSITY;
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve) => canvas.toBlob(resolve, 'image/png'));
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(address);
  }
}
