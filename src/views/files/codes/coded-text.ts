import type { Logbook } from '@/core/model/logbook';
import { jsonFormat } from '@/formats/json';

/** A logbook as the text that codes carry; null where it can't be written. */
export function codedText(logbook: Logbook): string | null {
  const written = jsonFormat.write(logbook, null);
  return written.ok ? written.value : null;
}
