import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { writeEntry } from '@/core/entries/entry';
import { isHeadingLine } from '@/core/log-text/notebook-page';
import { earthModels } from '@/core/north/loaded-earth-models';
import { readFile, readText } from '@/formats/import/read-file';
import { choices, contents, sentences } from '../../support/files';

const lines = (text: string, name = 'page.txt') =>
  contents(text, {}, name).outings.map(({ entries }) =>
    entries.map((entry) => writeEntry(entry, 'magnetic').trim()),
  );

describe('a page as it was written', () => {
  it('numbers its lines, which is no reading', () => {
    expect(lines('1. 045 120\n2. 090 60p burnt snag\n3) at 40 ; spring\n 12. N 40 E 30\n')).toEqual(
      [['045 120p', '090 60p ; burnt snag', 'at 40p ; spring', 'N40E 30p']],
    );
  });

  it('has heads over its columns, and a title over those', () => {
    expect(lines('No. Bearing Paces Notes\n1. 045 120\n2. N 40 E 60 snag\n')).toEqual([
      ['045 120p', 'N40E 60p ; snag'],
    ]);
    expect(lines('Soil pits of June\ndate 2026-06-03\nBearing Paces\n045 120\n')).toEqual([
      ['; Soil pits of June', '045 120p'],
    ]);
    // In these words a line may be a note or a fault: never a head.
    for (const line of ['bearing 220 65p', 'Bearing of the mast', 'Paces Bearing', 'Bearing m']) {
      expect(isHeadingLine(line), line).toBe(false);
    }
  });

  it('is a table where its heads say another unit, another order, or more columns', () => {
    expect(lines('Bearing Metres\n045 120\n090 60\n')).toEqual([['045 120m', '090 60m']]);
    expect(lines('No  Paces  Azm (deg)\n1.  120  045\n2.  60  090\n')).toEqual([
      ['045 120p', '090 60p'],
    ]);
    expect(
      lines(
        'Soil pits\nNo  Azm (deg)  Paces walked  Reached  Observations\n' +
          '1  045  120  Pit 1  wet ground\n',
      ),
    ).toEqual([['; Soil pits', '045 120p > Pit 1 ; wet ground']]);
  });

  it('between commas keeps what stands above its heads, and tells its rows by their lines', () => {
    const table = 'Soil pits,,\nNo;Azm (deg);Paces walked;Reached\n'.replaceAll(';', ',');
    expect(lines(`${table}1,045,120,Pit 1\n`, 'own.csv')).toEqual([
      ['; Soil pits', '045 120p > Pit 1'],
    ]);
    expect(() => lines(`${table}1,045,120,Pit 1\n2,x,60,\n`, 'own.csv')).toThrow(/Row 4/);
  });

  it('may hold several logs, distinguished by the lines that name them', () => {
    expect(lines('outing A\n220 65p\n\nouting B\n100 30p\n')).toEqual([['220 65p'], ['100 30p']]);
    const both = 'cairn-back log 1\nouting A\n220 65p\n';
    expect(lines(both + both.replace('220', '100'))).toEqual([['220 65p'], ['100 65p']]);
    const wrong = readText('x', 'outing A\n220 65p\nouting B\n10O 30p\n', null, choices());
    expect(!wrong.ok && wrong.fault.faults.map(({ line }) => line)).toEqual([4]);
  });
});

describe('a file of another kind', () => {
  const read = async (name: string, bytes: Uint8Array) => {
    const found = await readFile(name, bytes, earthModels, choices());
    return found.ok ? 'read' : sentences(found.fault);
  };

  it.each([
    ['x.png', [0x89, 0x50, 0x4e, 0x47, 13, 10], /a picture \(PNG\)\. .*Route/],
    ['x.jpg', [0xff, 0xd8, 0xff, 0xe0], /a picture \(JPEG\)/],
    ['x.pdf', [...'%PDF-1.7'].map((c) => c.charCodeAt(0)), /a PDF\. Copy its lines/],
    ['x.xls', [0xd0, 0xcf, 0x11, 0xe0, 1], /a spreadsheet or a document\. Save its table as CSV/],
    ['x.fit', [14, 16, 0, 0, 9, 9, 9, 9, 0x2e, 0x46, 0x49, 0x54], /a recording \(FIT\)/],
    ['x.gz', [0x1f, 0x8b, 8], /packed \(gzip\)/],
  ] as const)('%s is named, with what would work', async (name, bytes, says) => {
    const said = await read(name, new Uint8Array([...bytes, ...new Array(40).fill(0)]));
    expect(said).toMatch(says);
    expect(said).toMatch(/Outings are read from a log as text/);
  });

  it('is reported by its text or its name, too', async () => {
    const text = (words: string) => new TextEncoder().encode(words);
    expect(await read('x.txt', text('<?xml version="1.0"?>\n<kml xmlns="k"></kml>'))).toMatch(
      /KML/,
    );
    expect(await read('x.asc', text('ncols 4\nnrows 3\n'))).toMatch(/heights \(an ASCII grid\)/);
    expect(await read('x', text('<!DOCTYPE html><p>'))).toMatch(/a page of the web/);
    const sheet = zipSync({ 'xl/workbook.xml': strToU8('<workbook/>') });
    expect(await read('sheet.xlsx', sheet)).toMatch(/a spreadsheet/);
  });

  it('of text in UTF-16, as some spreadsheets save it, is read', async () => {
    const utf16 = new Uint8Array([
      0xff,
      0xfe,
      ...[...'220 65p'].flatMap((c) => [c.charCodeAt(0), 0]),
    ]);
    expect(await read('log.txt', utf16)).toBe('read');
    expect(await read('log.txt', new Uint8Array([0xe9, 0x20, 0x32]))).toMatch(/not text in UTF-8/);
  });
});
