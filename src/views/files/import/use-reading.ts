import dayjs from 'dayjs';
import { useEffect, useState } from 'react';
import type { CsvMapping } from '@/formats/import/table-heads';
import { ownPaces } from '@/views/shared/data/own-paces';
import { FileImporter, type Ended } from '@/workers/files';
import type { FileAnswer } from '@/workers/files-protocol';
import type { OfferedFile } from './offered-file';

/** How what is open to choice in a file is read. */
export interface ReadingChoices {
  readonly toleranceMetres: number;
  readonly mapping: CsvMapping | null;
  readonly distanceUnit: string | null;
}

/** The importer of a preview, which ends with it. */
export function useImporter(): FileImporter {
  const [importer] = useState(() => new FileImporter());
  useEffect(() => () => importer.stop(), [importer]);
  return importer;
}

/** What is known of a file: the share that is read, and the last answer, maybe an older one. */
interface Reading {
  /** Null while nothing is being read. */
  readonly share: number | null;
  readonly answer: Ended<FileAnswer> | null;
}

/** The file as it is read with these choices. The last answer stays until there is a new one. */
export function useReading(
  importer: FileImporter,
  { name, content }: OfferedFile,
  { toleranceMetres, mapping, distanceUnit }: ReadingChoices,
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
      const job = { name, content, toleranceMetres, mapping, distanceUnit, today, paces };
      show({ share: null, answer: await importer.read(job, (share) => show({ share })) });
    };
    void read();
    return () => {
      gone = true;
    };
  }, [importer, name, content, toleranceMetres, mapping, distanceUnit]);
  return reading;
}
