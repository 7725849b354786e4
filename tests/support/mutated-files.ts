import { strToU8 } from 'fflate';
import { readFileSync } from 'node:fs';
import { earthModels } from '@/core/north/loaded-earth-models';
import { readLog } from '@/core/log-text/read-log';
import { outingSchema, type Outing } from '@/core/model/outing';
import { solve } from '@/core/survey/solve';
import { FORMATS } from '@/formats';
import { logbookOf } from '@/core/model/logbook';
import { readFile } from '@/formats/import/read-file';
import { writeZip } from '@/formats/zip';

/** Files of each input format, damaged in thousands of ways, and the result of reading them. */
const demo = readLog(readFileSync('demo/rain-gauges.log.txt', 'utf8'), 'demo', earthModels);
if (!demo.ok) throw new Error('the demo can be read');
const book = logbookOf([demo.value.outing], '2026-08-14T09:40:00.000Z');
const whole = (format: string) => {
  const written = FORMATS.get(format)!.write(book, earthModels);
  if (!written.ok) throw new Error(`${format} can be written`);
  return strToU8(written.value);
};

export const SOURCES: Readonly<Record<string, Uint8Array>> = {
  log: whole('log'),
  json: whole('json'),
  csv: whole('csv'),
  gpx: whole('gpx'),
  geojson: whole('geojson'),
  zip: writeZip(book, earthModels),
};

/** Whole numbers below a bound, the same for a seed (mulberry32, public domain; memory). */
export function dice(seed: number): (below: number) => number {
  let state = seed >>> 0;
  return (below) => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return Math.floor((((t ^ (t >>> 14)) >>> 0) / 4_294_967_296) * below);
  };
}

/** Damages a file one to four times, as a careless program or a broken card does. */
export function mutated(source: Uint8Array, roll: (below: number) => number): Uint8Array {
  let bytes: Uint8Array = source.slice();
  for (let times = 1 + roll(4); times > 0; times--) {
    const at = roll(bytes.length || 1);
    const length = 1 + roll(40);
    const part = source.subarray(roll(source.length), roll(source.length));
    switch (roll(7)) {
      case 0: // a bit
        bytes[at] = bytes[at]! ^ (1 << roll(8));
        break;
      case 1: // a byte
        bytes[at] = roll(256);
        break;
      case 2: // cut off
        bytes = bytes.slice(0, at);
        break;
      case 3: // something lost
        bytes = joined(bytes.subarray(0, at), bytes.subarray(at + length));
        break;
      case 4: // something doubled
        bytes = joined(bytes.subarray(0, at + length), bytes.subarray(at));
        break;
      case 5: // a part of the file somewhere else
        bytes = joined(bytes.subarray(0, at), part.subarray(0, 300), bytes.subarray(at));
        break;
      default: // a token that means something to a reader
        bytes = joined(
          bytes.subarray(0, at),
          strToU8(TOKENS[roll(TOKENS.length)]!),
          bytes.subarray(at),
        );
    }
  }
  return bytes;
}
const TOKENS = [
  '<',
  '>',
  '&',
  '"',
  "'",
  '{',
  '}',
  '[',
  ']',
  ',',
  ';',
  '\n',
  '\r',
  '\0',
  '-',
  '1e999',
  'NaN',
  'null',
  '<!DOCTYPE x>',
  '<![CDATA[',
  '<!--',
  '-->',
  '<?',
  '&#0;',
  '&lt;',
  '__proto__',
  'constructor',
  '="',
  '/>',
  '</gpx>',
  '180',
  '-91',
  'back',
  'from ',
  'up ',
  '@',
  '> ',
  '﻿',
  '\u202e',
  'ÿ',
];
function joined(...parts: Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

export interface Tally {
  files: number;
  read: number;
  refused: number;
  /** Readings that threw, gave what can't be stored or solved, or refused without a message. */
  crashes: string[];
  slowestMs: number;
}

/** What was read can be stored and solved. */
function mustBeWhole(outing: Outing): void {
  const stored = outingSchema.safeParse(outing);
  if (!stored.success) throw new Error(`not storable: ${JSON.stringify(stored.error.issues[0])}`);
  if (!solve(outing, earthModels).ok) throw new Error('not solvable');
}

/** Reads many damaged files of a format. What is read must be whole: storable and solvable. */
export async function readMutated(format: string, files: number, seed: number): Promise<Tally> {
  const roll = dice(seed);
  const tally: Tally = { files, read: 0, refused: 0, crashes: [], slowestMs: 0 };
  for (let i = 0; i < files; i++) {
    const bytes = mutated(SOURCES[format]!, roll);
    const began = performance.now();
    try {
      const name = `x.${format === 'log' ? 'log.txt' : format}`;
      const found = await readFile(name, bytes, earthModels, {
        toleranceMetres: 5,
        mapping: null,
        today: '2026-11-23',
        newId: () => 'id',
      });
      if (found.ok) {
        tally.read++;
        found.value.outings.forEach(mustBeWhole);
      } else {
        tally.refused++;
        if (found.fault.faults.length === 0) throw new Error('refused without a message');
      }
    } catch (error) {
      tally.crashes.push(`${format} seed ${seed} file ${i}: ${String(error)}`);
    }
    const took = performance.now() - began;
    tally.slowestMs = Math.max(tally.slowestMs, took);
  }
  return tally;
}
