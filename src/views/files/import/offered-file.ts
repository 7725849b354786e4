import type { FileToRead } from '@/workers/files-protocol';
import { nth } from '@/core/units/nth';

/** Files or a text as they came, to be looked at together: read again when a choice changes. */
export interface Offered {
  /** Of this offer: the same files may be offered again. */
  readonly id: string;
  readonly files: readonly Pick<FileToRead, 'name' | 'content'>[];
}

const offer = (files: Offered['files']): Offered => ({ id: crypto.randomUUID(), files });

export const offeredFile = (name: string, content: FileToRead['content']): Offered =>
  offer([{ name, content }]);

/** The files that were dropped or chosen, in their order. */
export const offeredFiles = async (files: readonly File[]): Promise<Offered> =>
  offer(
    await Promise.all(
      files.map(async (file) => ({
        name: file.name,
        content: new Uint8Array(await file.arrayBuffer()),
      })),
    ),
  );

/** What they are called together. */
export const nameOfOffered = ({ files }: Offered): string =>
  files.length === 1 ? nth(files, 0).name : `${files.length} files`;
