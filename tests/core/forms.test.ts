import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLine } from '@/core/log-text/read-line';
import { understand } from '@/core/log-text/understand';
import { writeEntry } from '@/core/log-text/write-log';
import { CORRECTIONS, headerOf } from '@/core/logbook';
import { solve } from '@/core/solve';
import { NO_COUNT, type Count } from '@/store/count';
import { entriesOf, lineOf, metresOf } from '@/views/counter/leg-of-count';
import { entryWords } from '@/views/shared/entry-words';
import { compassNorth, draftOf, readDraft } from '@/views/shared/norths/draft';
import { LINE_DIALOGS } from '@/views/spread/line-dialogs';
import { paletteActions } from '@/views/spread/palette-actions';
import { SHORTCUTS } from '@/views/spread/use-keys';
import { anyOuting, outingOf, solvedLog } from '../support/outings';

describe('the small forms', () => {
  const { solution } = solvedLog('pace 65 per 100 m\nstart Dock\n000 65p > A');
  const filled: Readonly<Record<string, Record<string, string>>> = {
    at: { metres: '40', side: 'left', away: '12', thing: 'water', what: 'spring' },
    see: { bearing: '305', thing: 'rock', what: 'bald summit' },
    box: { side: 'right', out: '20p', along: '40p', note: 'bog' },
    passed: { side: 'left', what: 'boulders' },
    landmark: { thing: 'tree', what: 'two birches' },
    expect: { wind: 'NE' },
    from: { station: 'A' },
  };

  it.each(LINE_DIALOGS.map((dialog) => [dialog.key, dialog] as const))(
    '%s writes a line that the log reads as its kind, and says it in words',
    (key, dialog) => {
      const line = dialog.line(filled[key]!);
      const found = understand(line, solution);
      if (found.kind !== 'entry') throw new Error(`${line}: ${found.kind}`);
      expect(found.entry.kind).toBe(key);
      const written = writeEntry(found.entry, 'magnetic').trim();
      const again = readLine(written, 'magnetic');
      expect(again.ok && again.value.entry).toEqual(found.entry);
      expect(entryWords(found.entry, null).length).toBeGreaterThan(8);
    },
  );

  it('left empty are refused or nothing, and never throw', () => {
    for (const dialog of LINE_DIALOGS) {
      expect(understand(dialog.line({}), solution).kind).toBe('fault');
      const keys = dialog.fields.map(({ key }) => key);
      fc.assert(
        fc.property(
          fc.dictionary(fc.constantFrom(...keys), fc.string({ maxLength: 12 })),
          (values) => {
            const { kind } = understand(dialog.line(values).replace(/[\n\r]/g, ' '), solution);
            expect(['entry', 'fault', 'nothing']).toContain(kind);
          },
        ),
      );
    }
  });

  it('all stand in the list of what can be done, which has no name twice', () => {
    const nothing = () => undefined;
    const keys = {
      step: nothing,
      palette: nothing,
      find: nothing,
      shortcuts: nothing,
      pad: nothing,
      counter: nothing,
    };
    const names = paletteActions('x', nothing, keys).map(({ name }) => name);
    for (const { title } of LINE_DIALOGS) expect(names).toContain(title);
    expect(new Set(names).size).toBe(names.length);
    expect(new Set(SHORTCUTS.map(({ keys: pressed, does }) => pressed + does)).size).toBe(
      SHORTCUTS.length,
    );
  });
});

describe('the draft of the norths', () => {
  it('of any outing reads back as the outing has it', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const { norths, wrong } = readDraft(draftOf(outing), outing);
        expect(wrong).toEqual({});
        expect(norths!.declination).toEqual(outing.declination);
        expect(norths!.convergence).toEqual(outing.convergence);
        expect(norths!.show).toEqual(outing.show);
        const before = solve(outing);
        const after = solve({
          ...headerOf(outing),
          ...norths!,
          id: outing.id,
          entries: outing.entries,
        });
        expect(before.ok && after.ok && after.value.norths).toEqual(
          before.ok && before.value.norths,
        );
      }),
      { numRuns: 150 },
    );
  });

  it('says which of a margin’s fields can’t be read', () => {
    const outing = outingOf([]);
    const margin = {
      ...draftOf(outing),
      correction: 'by-sum' as const,
      source: 'margin' as const,
      angle: '19.1 W',
      marginDate: '2019',
      marginChange: "9' E",
    };
    expect(readDraft(margin, outing).norths?.declination).toMatchObject({
      source: 'margin',
      year: 2019,
    });
    const wrong = (change: object) =>
      Object.keys(readDraft({ ...margin, ...change }, outing).wrong);
    expect(wrong({ angle: '19.1' })).toEqual(['angle']);
    expect(wrong({ angle: 'model' })).toEqual(['angle']);
    expect(wrong({ angle: '' })).toEqual(['angle']);
    expect(wrong({ marginDate: 'June' })).toEqual(['marginDate']);
    expect(wrong({ marginDate: '2019-13' })).toEqual(['marginDate']);
    expect(wrong({ marginChange: '9' })).toEqual(['marginChange']);
    expect(wrong({ marginChange: '' })).toEqual(['marginChange']);
    expect(wrong({ grid: 'typed', gridAngle: '' })).toEqual(['gridAngle']);
    expect(wrong({ grid: 'projection', projection: 'EPSG:1' })).toEqual(['projection']);
  });

  it('knows from which north the compass itself reads under each school', () => {
    const reads = CORRECTIONS.map((correction) => compassNorth(correction, 'grid'));
    expect(reads).toEqual(['magnetic', 'magnetic', 'grid', 'grid', 'magnetic', 'magnetic']);
  });
});

describe('the leg of a count', () => {
  const { solution } = solvedLog('pace 65 per 100 m\npace rough 80 per 100 m');
  const count = (more: Partial<Count>): Count => ({ ...NO_COUNT, ...more });
  const words = { bearing: '231', station: 'Gauge 1', note: 'under a spruce' };

  it('is written as it was counted: paces, single steps, or metres where both were tapped', () => {
    expect(lineOf(solution, count({ paces: 45 }), 'paces', words)).toBe(
      '231 45p > Gauge 1 ; under a spruce',
    );
    expect(lineOf(solution, count({ paces: 45.5, ground: 'rough' }), 'steps', words)).toBe(
      '231 91s rough > Gauge 1 ; under a spruce',
    );
    expect(
      lineOf(solution, count({ paces: 13, metres: 100, ground: 'moss' }), 'paces', words),
    ).toBe('231 120m on moss > Gauge 1 ; under a spruce');
    expect(metresOf(solution, { paces: 80, metres: 0 }, 'rough')).toBeCloseTo(100, 9);
  });

  it('takes what was seen at its metre, and refuses a bearing that is none', () => {
    const seen = [{ paces: 13, metres: 0, what: 'spring', side: 'left' as const, sideMetres: 4 }];
    const entries = entriesOf(solution, count({ paces: 45, seen }), '231 45p');
    expect(entries.ok && entries.value[1]).toEqual({
      kind: 'at',
      metres: 20,
      side: 'left',
      sideMetres: 4,
      what: 'spring',
    });
    expect(entriesOf(solution, count({ paces: 45 }), ' 45p').ok).toBe(false);
    expect(entriesOf(solution, count({ paces: 45 }), 'from Dock').ok).toBe(false);
  });
});
