import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logbookOf } from '@/core/model/logbook';
import { jsonFormat } from '@/formats/json';
import { logFormat } from '@/formats/log';
import { anyOuting, leg, solvedLog } from '../support/outings';

const at = '2026-08-14T09:40:00.000Z';
const book = logbookOf([solvedLog('pace 65 per 100 m\n220 65p > Gauge 1 ; snag').outing], at);
const read = (value: unknown) => jsonFormat.read(JSON.stringify(value), null);

const textOf = (written: ReturnType<typeof jsonFormat.write>) =>
  written.ok ? written.value : expect.fail('it can’t be written');

/** The path of the first fault, or 'read'. */
const pathOf = (value: unknown) => {
  const found = read(value);
  return found.ok ? 'read' : found.fault[0]!.path;
};

describe('the logbook file', () => {
  it('gives back every generated logbook, field by field', () => {
    fc.assert(
      fc.property(fc.array(anyOuting, { maxLength: 3 }), (outings) => {
        const written = textOf(jsonFormat.write(logbookOf(outings, at), null));
        const back = jsonFormat.read(written, null);
        expect(back.ok && back.value).toEqual(logbookOf(outings, at));
        expect(back.ok && textOf(jsonFormat.write(back.value, null))).toBe(written);
      }),
      { numRuns: 100, seed: 7 },
    );
  });

  it('keeps fields that it does not know, at every depth', () => {
    const later = structuredClone(book) as unknown as Record<string, unknown>;
    later.weather = 'fog';
    const outing = (later.outings as Record<string, unknown>[])[0]!;
    outing.party = ['A', 'B'];
    const entry = (outing.entries as Record<string, unknown>[])[1]!;
    entry.ground = 'rough';
    (entry.bearing as Record<string, unknown>).readings = [219, 221];
    const back = read(later);
    expect(back.ok && back.value).toEqual(later);
  });

  it('says where it is wrong', () => {
    const broken = (change: (copy: typeof book) => void) => {
      const copy = structuredClone(book);
      change(copy);
      return copy;
    };
    expect(pathOf({ ...book, version: 0 })).toBe('version');
    expect(pathOf({ ...book, format: 'other' })).toBe('format');
    expect(pathOf([])).toBe('');
    expect(pathOf(broken((copy) => (copy.outings[0]!.start.name = 'a;b')))).toBe(
      'outings[0].start.name',
    );
    expect(pathOf(broken((copy) => (copy.outings[0]!.name = 'two\nlines')))).toBe(
      'outings[0].name',
    );
    const infinite = JSON.stringify(book).replace('"value":220', '"value":1e999');
    const found = jsonFormat.read(infinite, null);
    expect(!found.ok && found.fault[0]!.path).toBe('outings[0].entries[1].bearing.value');
    expect(pathOf(broken((copy) => copy.outings[0]!.entries.splice(0, 1, leg(10, 5))))).toBe(
      'outings[0].entries[1]',
    );
  });

  it('refuses what is not JSON, and what is too large', () => {
    const cut = jsonFormat.read('{"format":', null);
    expect(!cut.ok && cut.fault[0]!.fault).toMatchObject({ code: 'schema' });
    const large = jsonFormat.read('x'.repeat(32_000_001), null);
    expect(!large.ok && large.fault[0]!.fault).toMatchObject({ code: 'too-large' });
  });

  it('turns into a log and back without losing an entry', () => {
    const log = textOf(logFormat.write(book, null));
    const back = logFormat.read(log, null);
    expect(back.ok && back.value.outings[0]!.entries).toEqual(book.outings[0]!.entries);
    const wrong = logFormat.read('220', null);
    expect(!wrong.ok && wrong.fault[0]).toMatchObject({ line: 1, column: 4 });
  });
});
