import { readFileSync } from 'node:fs';
import { expect } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { readLog } from '@/core/log-text/read-log';
import { logbookOf } from '@/core/model/logbook';
import type { Outing } from '@/core/model/outing';
import { earthModels } from '@/core/north/loaded-earth-models';
import { positionOfStation } from '@/core/survey/positions';
import { stationName, type Solution } from '@/core/survey/solution';
import { solve } from '@/core/survey/solve';
import { FORMATS } from '@/formats';
import type { FileContents, UnreadFile } from '@/formats/import/file-contents';
import { readFile, readText, type ReadChoices } from '@/formats/import/read-file';

export const EXPORTED_AT = '2026-08-14T09:40:00.000Z';

export const demoText = readFileSync('demo/rain-gauges.log.txt', 'utf8');

/** The demo outing, as it is read from its log. */
export const demo = (() => {
  const found = readLog(demoText, 'demo', earthModels);
  return found.ok ? found.value : expect.fail('the demo can be read');
})();

/** Outings as a file of a format that can hold them. */
export function written(format: string, outings: readonly Outing[]): string {
  const book = logbookOf([...outings], EXPORTED_AT);
  const found = FORMATS.get(format)!.write(book, earthModels);
  return found.ok ? found.value : expect.fail(JSON.stringify(found.fault));
}

export const choices = (more: Partial<ReadChoices> = {}): ReadChoices => {
  let next = 0;
  return {
    toleranceMetres: 5,
    mapping: null,
    today: '2026-11-23',
    newId: () => `id-${next++}`,
    ...more,
  };
};

export const sentences = ({ faults }: UnreadFile) =>
  faults.map(({ fault }) => faultMessage(fault)).join(' ');

/** What a text holds, which can be read. */
export function contents(
  text: string,
  more: Partial<ReadChoices> = {},
  name = 'file',
): FileContents {
  const found = readText(name, text, earthModels, choices(more));
  return found.ok ? found.value : expect.fail(sentences(found.fault));
}

/** Why a text can't be read, in sentences. */
export function refused(text: string, name = 'file'): string {
  const found = readText(name, text, earthModels, choices());
  return found.ok ? expect.fail('it was read') : sentences(found.fault);
}

/** What the bytes of a file hold, which can be read. */
export async function contentsOfFile(
  bytes: Uint8Array,
  more: Partial<ReadChoices> = {},
): Promise<FileContents> {
  const found = await readFile('file', bytes, earthModels, choices(more));
  return found.ok ? found.value : expect.fail(sentences(found.fault));
}

/** Why the bytes of a file can't be read, in sentences. */
export async function refusedFile(bytes: Uint8Array): Promise<string> {
  const found = await readFile('file', bytes, earthModels, choices());
  return found.ok ? expect.fail('it was read') : sentences(found.fault);
}

export function solution(outing: Outing): Solution {
  const found = solve(outing, earthModels);
  return found.ok ? found.value : expect.fail('it can be solved');
}

/** Names and positions of the stations of a solution that has a position. */
export const stationsOf = (solved: Solution) =>
  solved.places.stations().map((station) => ({
    name: stationName(solved, station),
    ...positionOfStation(solved.places, station)!,
  }));
