import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CORRECTIONS } from '@/core/model/header';
import { headerOf } from '@/core/model/outing';
import { solve } from '@/core/survey/solve';
import { northOfMethod } from '@/core/north/outing-norths';
import { draftOf, marginSum, readDraft } from '@/views/shared/declination/draft';
import { anyOuting, outingOf } from '../support/outings';

describe('the draft of the declination settings', () => {
  it('of any outing reads back as in the outing', () => {
    fc.assert(
      fc.property(anyOuting, (outing) => {
        const { header, wrong } = readDraft(draftOf(outing), outing);
        expect(wrong).toEqual({});
        expect(header!.declination).toEqual(outing.declination);
        expect(header!.convergence).toEqual(outing.convergence);
        expect(header!.show).toEqual(outing.show);
        const before = solve(outing);
        const after = solve({
          ...headerOf(outing),
          ...header!,
          id: outing.id,
          entries: outing.entries,
        });
        expect(before.ok && after.ok && after.value.places.frame.norths).toEqual(
          before.ok && before.value.places.frame.norths,
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
      margin: "19.1 W in 2019 change 9' E a year",
    };
    expect(readDraft(margin, outing).header?.declination).toMatchObject({
      source: 'margin',
      year: 2019,
    });
    const wrong = (change: object) =>
      Object.keys(readDraft({ ...margin, ...change }, outing).wrong);
    const typed = (angle: string) => wrong({ source: 'typed', angle });
    expect([typed('19.1'), typed('model'), typed('')]).toEqual([['angle'], ['angle'], ['angle']]);
    for (const margin of [
      '19.1 W',
      '19.1 W, June, 9 E a year',
      '19.1 W, 2019-13, 0 E a year',
      '',
    ]) {
      expect(wrong({ margin })).toEqual(['margin']);
    }
    expect(wrong({ margin: '19.1 W, 2019, 9 a year' })).toEqual(['margin']);
    expect(wrong({ grid: 'typed', gridAngle: '' })).toEqual(['gridAngle']);
    expect(wrong({ grid: 'projection', projection: 'EPSG:1' })).toEqual(['projection']);
  });

  it('takes a margin as the map prints it, with its sum', () => {
    // Common practice, no source: 2°18′ W in July 2009, 9′ E a year, is 0°39′ W in July 2020.
    const outing = outingOf([]);
    const draft = { ...draftOf(outing), correction: 'by-sum' as const, source: 'margin' as const };
    const margin = { ...draft, margin: '2 deg 18 min W, July 2009, 9 min E a year' };
    expect(marginSum(margin, '2020-07-01')).toBe('0°39′ W on 1 July 2020');
    expect(marginSum(margin, undefined)).toMatch(/needs its date/);
    expect(marginSum(draft, '2020-07-01')).toBeNull();
    const asAngle = { ...draft, source: 'typed' as const, angle: margin.margin };
    expect(readDraft(asAngle, outing).header?.declination.source).toBe('margin');
  });

  it('knows from which north the compass reads with each method', () => {
    const reads = CORRECTIONS.map((correction) => northOfMethod(correction, 'grid'));
    expect(reads).toEqual(['magnetic', 'magnetic', 'grid', 'grid', 'magnetic', 'magnetic']);
  });
});
