import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Visitor } from './visitor';

/** A folder of this run for files that are offered. */
export const folder = mkdtempSync(join(tmpdir(), 'files-'));

/** Until a file that was not taken is offered again. */
const RETRY_MS = 5000;

/** Offers a file in the Files view, as choosing it would. */
export const offer = async (visitor: Visitor, name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  const { page } = visitor;
  for (let isTaken = false; !isTaken;) {
    const input = await page.waitForSelector('.ant-upload-drag input[type=file]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(path);
    // The field is made again now and then, and one that is on its way out takes nothing.
    isTaken = await page
      .waitForSelector('.ant-progress, [data-testid=preview]', { timeout: RETRY_MS })
      .then(
        () => true,
        () => false,
      );
  }
};

/** Chooses files in the field of this name, which a button opens. */
export async function offerFiles({ page }: Visitor, field: string, paths: readonly string[]) {
  const input = await page.waitForSelector(`input[type=file][aria-label="${field}"]`);
  // The type of the handle doesn't tell that it is a field.
  const chooser = input as unknown as { uploadFile: (...paths: string[]) => Promise<void> };
  await chooser.uploadFile(...paths);
}

export const offerFile = (visitor: Visitor, field: string, path: string) =>
  offerFiles(visitor, field, [path]);

/** Drops files of text on the page, wherever one happens to be. */
export const dropFiles = async (
  { page }: Visitor,
  files: readonly { readonly name: string; readonly text: string }[],
): Promise<void> => {
  await page.evaluate((dropped) => {
    const data = new DataTransfer();
    for (const { name, text } of dropped) data.items.add(new File([text], name));
    const about = { dataTransfer: data, bubbles: true, cancelable: true };
    document.body.dispatchEvent(new DragEvent('drop', about));
  }, files);
};
