import { USUAL_FIGURES } from '@/core/units/figures';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { describeEntry, writeEntry } from '@/core/entries/entry';
import { interpretLine } from '@/core/log-text/interpret';
import { readLine } from '@/core/log-text/read-line';
import { LINE_FORMS } from '@/views/outing/entry/line-forms';
import { logRows, rowsWith } from '@/views/outing/log/log-rows';
import { paletteActions } from '@/views/outing/palette-actions';
import { SHORTCUTS } from '@/views/outing/use-keys';
import { solvedLog } from '../support/outings';

describe('the small forms', () => {
  const { solution } = solvedLog('pace 65 per 100 m\nstart Dock\n000 65p > A');
  const filled: Readonly<Record<string, Record<string, string>>> = {
    at: { along: '40', side: 'left', away: '12', kind: 'water', what: 'spring' },
    see: { bearing: '305', kind: 'rock', what: 'bald summit' },
    box: { side: 'right', out: '20p', along: '40p', note: 'bog' },
    passed: { side: 'left', what: 'boulders' },
    landmark: { kind: 'tree', what: 'two birches' },
    mark: { kind: 'rock', what: 'three stones' },
    expect: { direction: 'NE' },
    height: { height: '412m', set: 'was set to it', what: 'trig point' },
    falls: { bearing: 'NE', degrees: '20', word: 'steep' },
    halt: { from: '11:20', until: '11:45', what: 'lunch' },
    from: { station: 'A' },
    here: { station: 'A' },
  };
  const DESCRIBED: Readonly<Record<string, string>> = {
    at: '40 paces along the last leg, 12 paces to the left: spring',
    see: 'Sighted from here at 305° magnetic: bald summit',
    box:
      'Boxed an obstacle on the right: 20 paces out and back, 40 paces along; ' +
      'only the part along counts',
    passed: 'Passed on the left, mark ahead kept: boulders',
    landmark: 'The start is marked by: two birches',
    mark: 'This station is marked by: three stones',
    expect: 'The next leg should go roughly NE',
    height: 'Altimeter set to 412 m here',
    falls: 'The ground falls to 045° magnetic, 20°',
    halt: 'Halt from 11:20 to 11:45',
    from: 'Next leg starts at A',
    here: 'At A, not counted',
  };

  it.each(LINE_FORMS.map((form) => [form.key, form] as const))(
    '%s writes a line that the log reads as its kind, with these words',
    (key, form) => {
      const line = form.line(filled[key]!);
      const found = interpretLine(line, solution);
      if (found.kind !== 'entry') throw new Error(`${line}: ${found.kind}`);
      expect(found.entry.kind).toBe(key);
      const written = writeEntry(found.entry, 'magnetic').trim();
      const again = readLine(written);
      expect(again.ok && again.value).toMatchObject({ entry: found.entry });
      expect(describeEntry(found.entry, USUAL_FIGURES)).toBe(DESCRIBED[key]);
    },
  );

  it('filled in any way are read or refused, and never throw', () => {
    for (const form of LINE_FORMS) {
      expect(interpretLine(form.line({}), solution).kind).toBe('fault');
      const keys = form.fields.map(({ key }) => key);
      fc.assert(
        fc.property(
          fc.dictionary(fc.constantFrom(...keys), fc.string({ maxLength: 12 })),
          (values) => {
            const { kind } = interpretLine(form.line(values).replace(/[\n\r]/g, ' '), solution);
            expect(['entry', 'fault', 'nothing']).toContain(kind);
          },
        ),
      );
    }
  });

  it('are all in the list of actions, which has no name twice', () => {
    const nothing = () => undefined;
    const keys = {
      step: nothing,
      palette: nothing,
      find: nothing,
      shortcuts: nothing,
      keypad: nothing,
      counter: nothing,
    };
    const names = paletteActions('x', nothing, keys).map(({ name }) => name);
    for (const { title } of LINE_FORMS) expect(names).toContain(title);
    expect(new Set(names).size).toBe(names.length);
    expect(new Set(SHORTCUTS.map(({ keys: pressed, does }) => pressed + does)).size).toBe(
      SHORTCUTS.length,
    );
  });
});

describe('the rows of the log pane', () => {
  it('hide struck lines until they are asked for, and can be searched', () => {
    const { solution } = solvedLog(
      [
        '000 10m > Ford ; ice',
        'struck 2026-08-14T10:20:00Z | slip | 090 99m',
        '090 90m',
        '  at 40 ; spring',
      ].join('\n'),
    );
    const all = logRows(solution, warningsOf(solution, USUAL_FIGURES), true);
    const folded = logRows(solution, warningsOf(solution, USUAL_FIGURES), false);
    expect(all).toHaveLength(4);
    expect(folded.map(({ index }) => index)).toEqual([0, 2, 3]);
    expect(rowsWith(folded, 'FORD ice')).toHaveLength(1);
    expect(rowsWith(folded, 'spring').map(({ index }) => index)).toEqual([3]);
    expect(rowsWith(all, '99m')).toHaveLength(1);
    expect(rowsWith(folded, 'many short legs').map(({ index }) => index)).toEqual([0]);
    expect(rowsWith(folded, ' ')).toBe(folded);
  });
});
