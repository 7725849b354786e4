import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { logbookOf } from '@/core/model/logbook';
import { earthModels } from '@/core/north/loaded-earth-models';
import { writeZip } from '@/formats/zip';
import {
  contents,
  contentsOfFile,
  demo,
  demoText,
  EXPORTED_AT,
  refused,
  refusedFile,
  written,
} from '../../support/files';

describe('a file is recognised by its contents', () => {
  it('each format of the app is read back', async () => {
    expect(contents(demoText)).toMatchObject({
      kind: 'log',
      outings: [{ entries: demo.outing.entries }],
    });
    expect(contents(written('json', [demo.outing]))).toMatchObject({
      kind: 'logbook',
      outings: [demo.outing],
    });
    expect(contents(written('csv', [demo.outing])).kind).toBe('table');
    expect(contents(written('gpx', [demo.outing])).kind).toBe('gpx');
    expect(contents(written('geojson', [demo.outing])).kind).toBe('geojson');
    const all = writeZip(logbookOf([demo.outing], EXPORTED_AT), earthModels);
    expect(await contentsOfFile(all)).toMatchObject({ kind: 'archive', outings: [demo.outing] });
  });

  it('anything else is refused in words', async () => {
    expect(refused('')).toBe('This file is empty.');
    expect(refused('<kml/>')).toMatch(/a map for globes \(KML\)/);
    expect(refused('<osm/>')).toMatch(/XML, but not GPX/);
    expect(refused('{"type":"Topology"}')).toMatch(/Topology|type|Invalid/);
    expect(refused('{"format":"cairn-back/logbook"')).toMatch(/not JSON/);
    expect(await refusedFile(Uint8Array.of(0xff, 0xfe, 0x00))).toMatch(
      /^This file is not text in UTF-8\. /,
    );
    expect(await refusedFile(Uint8Array.of(0x50, 0x4b, 3, 4, 9))).toBe('This archive is damaged.');
    expect(await refusedFile(new Uint8Array(32_000_001))).toMatch(/more than 32 MB/);
  });
});

describe('hostile files', () => {
  it('XML with a document type or entities is refused before it is parsed', () => {
    const bomb = [
      '<?xml version="1.0"?>',
      '<!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>',
      '<gpx><wpt lat="1" lon="1"><name>&b;</name></wpt></gpx>',
    ].join('\n');
    expect(refused(bomb)).toBe(
      'This file declares a document type or entities, which are not read.',
    );
    expect(refused('<!doctype gpx SYSTEM "file:///etc/passwd"><gpx/>')).toMatch(/document type/);
    expect(refused(`${'<a>'.repeat(5000)}${'</a>'.repeat(5000)}`)).toMatch(/damaged|not GPX/);
    expect(refused('<gpx><wpt lat="1" lon="1"><__proto__>x</__proto__></wpt>')).toMatch(/damaged/);
  });

  it('an archive over its limits is refused before it is unpacked', async () => {
    const zeros = zipSync({ 'a.log.txt': new Uint8Array(70_000_000) });
    expect(zeros.length).toBeLessThan(200_000);
    expect(await refusedFile(zeros)).toMatch(/more than 2000 files or 64 MB/);
    const many = Object.fromEntries(
      Array.from({ length: 2001 }, (_, i) => [`${i}.txt`, strToU8('x')]),
    );
    expect(await refusedFile(zipSync(many))).toMatch(/2000 files/);
    // One that states less than it holds unpacks to no more than it states.
    const small = zipSync({ 'a.log.txt': new Uint8Array(1_000_000) });
    const view = new DataView(small.buffer);
    const central = small.findIndex(
      (_, i) => i + 4 < small.length && view.getUint32(i) === 0x504b0102,
    );
    view.setUint32(central + 24, 10, true);
    expect(await refusedFile(small)).toMatch(/damaged|line|log/i);
    expect(await refusedFile(zipSync({ 'in.zip.json': zipSync({ a: strToU8('x') }) }))).toMatch(
      /archive in an archive/,
    );
    expect(await refusedFile(zipSync({ 'readme.md': strToU8('x') }))).toBe(
      'No file in this archive can be read.',
    );
  });

  it('an archive of another packing is reported by its name, and not as damaged', async () => {
    const zip = zipSync({ 'a.log.txt': strToU8('220 65m\n') });
    const view = new DataView(zip.buffer);
    const central = zip.findIndex((_, i) => i + 4 < zip.length && view.getUint32(i) === 0x504b0102);
    for (const [method, name] of [
      [12, 'bzip2'],
      [14, 'LZMA'],
      [9, 'Deflate64'],
      [61, 'method 61'],
    ] as const) {
      view.setUint16(8, method, true);
      view.setUint16(central + 10, method, true);
      expect(await refusedFile(zip)).toMatch(new RegExp(`is packed by ${name}`));
    }
  });

  it('an empty file in an archive is passed over, and not the whole archive', async () => {
    const zip = zipSync({ 'a.log.txt': strToU8('220 65m\n'), 'all.csv': new Uint8Array(0) });
    const read = await contentsOfFile(zip);
    expect(read.outings).toHaveLength(1);
    expect(read.messages.join(' ')).toMatch(/Passed over in the archive: all\.csv/);
  });
});
