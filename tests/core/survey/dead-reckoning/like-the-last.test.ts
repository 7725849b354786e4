import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENTRIES, type Entry } from '@/core/entries/entry';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import { linesAhead, type Outing } from '@/core/model/outing';
import { outingNorths } from '@/core/north/outing-norths';
import { Reducer } from '@/core/survey/dead-reckoning/reducer';
import { leg, outingOf } from '../../../support/outings';

/** The columns of a log; `fresh` computes each leg on its own, as if none had been like it. */
function columns(outing: Outing, fresh: boolean) {
  const norths = outingNorths(outing, null);
  if (!norths.ok) throw new Error('no norths');
  const reducer = new Reducer(outing, norths.value, DEFAULT_ERRORS, linesAhead(outing).paces);
  for (const entry of outing.entries) {
    if (fresh) reducer.rows.forget();
    ENTRIES.of(entry).apply(entry, reducer);
  }
  const { traverse, paceOfLeg, legs, state } = reducer;
  const { bearingDegrees, lengthMetres, alongVariance, acrossVariance } = traverse;
  return {
    legs,
    means: state.means,
    rows: [bearingDegrees, lengthMetres, alongVariance, acrossVariance, paceOfLeg].map((column) =>
      Array.from(column),
    ),
  };
}

const anyLeg = fc
  .record({
    degrees: fc.constantFrom(0, 12, 12.5, 220, 359.96, 359),
    value: fc.integer({ min: 1, max: 300 }),
    north: fc.constantFrom('magnetic' as const, 'true' as const),
    unit: fc.constantFrom('metres' as const, 'paces' as const, 'feet' as const),
    ground: fc.constantFrom(undefined, 'heath', 'forest'),
    slopeDegrees: fc.constantFrom(undefined, undefined, 20),
    isAbout: fc.constantFrom(false, false, true),
  })
  .map(({ degrees, value, north, unit, ground, slopeDegrees, isAbout }): Entry => ({
    ...leg(degrees, 1),
    bearing: { unit: 'degrees', value: degrees, north },
    distance: { unit, value, ...(isAbout && { about: true }) },
    ...(ground !== undefined && { ground }),
    ...(slopeDegrees !== undefined && { slopeDegrees }),
  }));
const setting = fc.constantFrom<Entry>(
  { kind: 'pace', unit: 'per-100-m', value: 62 },
  { kind: 'pace', unit: 'per-100-m', value: 80, ground: 'heath' },
  { kind: 'aim', aim: 'needle' },
  { kind: 'aim', aim: 'landmark' },
  { kind: 'compass', name: 'spare' },
  { kind: 'read', north: 'true' },
);
const lines = fc.array(fc.oneof({ weight: 5, arbitrary: anyLeg }, setting), { maxLength: 40 });

describe('a leg like one before', () => {
  it('has the row that it has on its own, whatever lines are between', () => {
    let alike = 0;
    fc.assert(
      fc.property(lines, (entries) => {
        const outing = outingOf([{ kind: 'pace', unit: 'per-100-m', value: 65 }, ...entries], {
          declination: { source: 'typed', angle: { degrees: 19, toward: 'W' } },
        });
        const kept = columns(outing, false);
        expect(kept).toEqual(columns(outing, true));
        alike += kept.legs;
      }),
      { numRuns: 400, seed: 33 },
    );
    expect(alike).toBeGreaterThan(1500);
  });
});
