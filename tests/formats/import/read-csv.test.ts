import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { earthModels } from '@/core/north/loaded-earth-models';
import { readText } from '@/formats/import/read-file';
import { anyOuting } from '../../support/outings';
import { choices, contents, demo, refused, written } from '../../support/files';

describe('a table', () => {
  it('of the app gives back every line', () => {
    const { outings } = contents(written('csv', [demo.outing]));
    expect(outings).toHaveLength(1);
    expect(outings[0]!.name).toBe(demo.outing.name);
    expect({ ...outings[0]!, id: demo.outing.id }).toEqual(demo.outing);
  });

  it('of generated outings gives back the same lines (200 outings)', () => {
    let read = 0;
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const withLines = outing.entries.length > 0 && outing.name !== '';
        if (!withLines) return;
        const csv = written('csv', [outing]);
        const found = readText('x.csv', csv, earthModels, choices());
        // Without its header an outing may lack what its lines need; then it says so.
        if (found.ok) expect({ ...found.value.outings[0]!, id: outing.id }).toEqual(outing);
        else expect(found.fault.faults.length).toBeGreaterThan(0);
        read += found.ok ? 1 : 0;
      }),
      { numRuns: 200, seed: 11 },
    );
    expect(read).toBeGreaterThan(60);
  });

  it('of someone else is recognised by its columns, and can be mapped by hand', () => {
    const table =
      'Station,Azimuth (deg),Paces,Remarks\nSnag,220,65,"burnt, on the right"\n,350,"130",\n';
    const inPaces = contents(table, {}, 'x.csv');
    expect(inPaces.outings[0]!.entries.map(({ kind }) => kind)).toEqual(['leg', 'leg']);
    const paces = [{ kind: 'pace', unit: 'per-100-m', value: 65 } as const];
    const read = contents(table, { paces }, 'x.csv');
    expect(read.messages).toContain('The table counts in paces: your own pace is used.');
    expect(read.table!.mapping).toEqual(['to', 'bearing', 'distance', 'note']);
    expect(read.outings[0]!.entries).toEqual([
      ...paces,
      {
        kind: 'leg',
        bearing: { unit: 'degrees', value: 220, north: 'magnetic' },
        distance: { unit: 'paces', value: 65 },
        to: 'Snag',
        note: 'burnt, on the right',
      },
      {
        kind: 'leg',
        bearing: { unit: 'degrees', value: 350, north: 'magnetic' },
        distance: { unit: 'paces', value: 130 },
      },
    ]);
  });

  it('that can’t be read says which row, and can be mapped', () => {
    const found = readText('x.csv', 'a,b,c\n220,65m,x\n', earthModels, choices());
    expect(found.ok).toBe(false);
    if (found.ok) return;
    expect(found.fault.table!.head).toEqual(['a', 'b', 'c']);
    const mapped = contents(
      'a,b,c\n220,65m,=x\n',
      { mapping: ['bearing', 'distance', 'note'] },
      'x.csv',
    );
    expect(mapped.outings[0]!.entries).toMatchObject([
      { kind: 'leg', bearing: { value: 220 }, distance: { value: 65, unit: 'metres' }, note: '=x' },
    ]);
    // A table is recognised by its heads, whatever its separator and its name.
    for (const mark of [',', ';', '\t']) {
      const pasted = contents(`Bearing${mark}Distance${mark}"Note"\n220${mark}65m${mark}snag\n`);
      expect(pasted).toMatchObject({ kind: 'table', outings: [{ entries: [{ note: 'snag' }] }] });
    }
    expect(contents('220 65m ; snag, forked, to the left\n').kind).toBe('log');
    expect(contents('outing North, bearing, east\n220 65m\n').kind).toBe('log');
    const half = readText('pasted', 'Weg,Azimuth,Laenge\nA,220,65m\n', null, choices());
    expect(!half.ok && half.fault.table!.mapping).toEqual([null, 'bearing', null]);
    expect(refused('bearing,distance,unit\n220,65,m\n420,10,m\n', 'x.csv')).toMatch(
      /Row 3, “420 10m”/,
    );
    expect(refused('bearing,distance\n', 'x.csv')).toBe('This table has no rows.');
    expect(refused('bearing,distance\n"220,65\n', 'x.csv')).toMatch(/quotation mark/);
  });
});
