import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import * as z from 'zod/mini';
import { ENTRIES, ENTRY_KINDS, EntryRegistry, writeEntry } from '@/core/entries/entry';
import { entryKind } from '@/core/entries/entry-kind';
import { readLines } from '@/core/log-text/read-log';
import { readMetres } from '@/core/readings/number';
import { numberUpTo, openObject } from '@/core/readings/shape';
import { solve } from '@/core/survey/solve';

/** A kind of line that the log doesn't have: `climb M`, metres climbed on the last leg. */
const climbKind = entryKind(openObject({ kind: z.literal('climb'), metres: numberUpTo(9000) }))({
  keyword: 'climb',
  takesWholeLine: false,
  read: (cursor) => ({ entry: { kind: 'climb', metres: readMetres(cursor) }, columns: {} }),
  write: ({ metres }) => `  climb ${metres}`,
  describe: ({ metres }) => `Climbed ${metres} m`,
  attachesTo: 'leg',
  station: null,
  apply: (_entry, reckoning) => reckoning.needsLeg(),
});

describe('a new kind of line', () => {
  const entries = new EntryRegistry([...ENTRY_KINDS, climbKind]);
  const read = (text: string) => readLines(text, 'test', null, entries);

  it('is one definition: it is read, written, described and applied', () => {
    const log = read('000 100m\nclimb 35');
    if (!log.ok) throw new Error(JSON.stringify(log.fault));
    const { outing } = log.value;
    const climb = outing.entries[1]!;
    expect(climb).toEqual({ kind: 'climb', metres: 35 });
    expect(writeEntry(climb, 'magnetic', entries)).toBe('  climb 35');
    expect(entries.of(climb).describe(climb, USUAL_FIGURES)).toBe('Climbed 35 m');
    const solved = solve(outing, null, { entries });
    expect(solved.ok && solved.value.walkedMetres).toBe(100);
  });

  it('says what is wrong with it, and is suggested for a word that is nearly its own', () => {
    const alone = read('climb 35');
    const outing = alone.ok ? alone.value.outing : expect.fail('it is read, though not applied');
    expect(solve(outing, null, { entries })).toMatchObject({
      ok: false,
      fault: { fault: { code: 'no-leg-yet' }, at: { entry: 0 } },
    });
    const typo = read('000 100m\nclmib 35');
    expect(!typo.ok && typo.fault[0]!.fault).toMatchObject({ nearest: ['climb'] });
  });

  it('is refused by the compiler when a part is missing', () => {
    const { schema } = climbKind;
    // @ts-expect-error: without `apply`, what the line does is not said.
    entryKind(schema)({ ...climbKind, apply: undefined });
    // @ts-expect-error: what it belongs to must be one of the things that a line can belong to.
    entryKind(schema)({ ...climbKind, attachesTo: 'tree' });
    expect(climbKind.kind).toBe('climb');
  });
});

describe('the kinds of line', () => {
  it('have names and keywords of their own', () => {
    const kinds = ENTRY_KINDS.map(({ kind }) => kind);
    expect(new Set(kinds).size).toBe(kinds.length);
    expect(ENTRIES.byKeyword.size).toBe(kinds.length - 1);
    expect(() => ENTRIES.of({ kind: 'unknown' })).toThrow(RangeError);
  });

  it('say what they belong to: with their leg they are moved and struck', () => {
    const attached = ENTRY_KINDS.flatMap(({ kind, attachesTo }) =>
      attachesTo === null ? [] : [`${kind}: ${attachesTo}`],
    );
    expect(attached).toEqual([
      'at: leg',
      'see: station',
      'height: station',
      'falls: station',
      'box: leg',
      'passed: leg',
      'halt: station',
      'remark: station',
      'route: station',
      'right: line',
      'struck: line',
    ]);
  });
});
