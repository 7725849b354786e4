import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import { ownPaces } from '@/views/shared/data/own-paces';
import { FileImporter, type Ended } from '@/workers/files';
import type { FileAnswer, FileToRead } from '@/workers/files-protocol';
import type { Offered } from './offered-file';

/** What the columns of a table mean, and its distances; null as they are recognised. */
export type TableChoices = Pick<FileToRead, 'mapping' | 'distanceUnit'>;
export const AS_RECOGNISED: TableChoices = { mapping: null, distanceUnit: null };

/** How what is open to choice is read: for all files, and for each table by its place. */
export interface ReadingChoices {
  readonly toleranceMetres: number;
  readonly tables: ReadonlyMap<number, TableChoices>;
}

/** The importer of a preview, which ends with it. */
export function useImporter(): FileImporter {
  const [importer] = useState(() => new FileImporter());
  useEffect(() => () => importer.stop(), [importer]);
  return importer;
}

/** What is known of files: the share that is read, and the last answer, maybe an older one. */
interface Reading {
  /** Null while nothing is being read. */
  readonly share: number | null;
  readonly answer: Ended<FileAnswer> | null;
}

/** Files as they are read with these choices. The last answer stays until there is a new one. */
export function useReading(
  importer: FileImporter,
  offered: Offered,
  { toleranceMetres, tables }: ReadingChoices,
): Reading {
  const [reading, setReading] = useState<Reading>({ share: 0, answer: null });
  useEffect(() => {
    let gone = false;
    const show = (next: Partial<Reading>) =>
      !gone && setReading((before) => ({ ...before, ...next }));
    const read = async () => {
      show({ share: 0 });
      const paces = await ownPaces();
      if (gone) return;
      const today = dayjs().format('YYYY-MM-DD');
      const files = offered.files.map((file, index) => ({
        ...file,
        ...(tables.get(index) ?? AS_RECOGNISED),
      }));
      const job = { files, toleranceMetres, today, paces };
      show({ share: null, answer: await importer.read(job, (share) => show({ share })) });
    };
    void read();
    return () => {
      gone = true;
    };
  }, [importer, offered, toleranceMetres, tables]);
  return reading;
}
