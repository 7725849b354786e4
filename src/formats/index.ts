import type { Format } from './format';
import { jsonFormat } from './json';
import { logFormat } from './log';

/** Every file format. A new one is one more file and one more row here. */
export const FORMATS: ReadonlyMap<string, Format> = new Map(
  [logFormat, jsonFormat].map((format) => [format.name, format]),
);
