import { describe, expect, it } from 'vitest';
import { outstanding } from '@/core/survey/party/outstanding';
import { surveyOf } from '../../../support/survey/surveys';

describe('an outing that closes worse than the others', () => {
  const square = (last: string) => `start A\npace 1 m\n000 200p\n090 200p\n180 200p\n${last}p > A`;
  const of = (...lasts: string[]) => outstanding(surveyOf(lasts.map(square)));

  it('is pointed at where it is three times as far off, and by 2 %', () => {
    expect(of('270 202', '270 236', '270 204')).toEqual({
      outing: 1,
      ofWalked: expect.closeTo(36 / 836, 6),
      others: expect.closeTo(4 / 804, 6),
    });
    expect(of('270 212', '270 233', '270 204')).toBeNull();
    expect(of('270 200', '270 214', '270 200')).toBeNull();
  });

  it('is none among fewer than three', () => {
    expect(of('270 202', '270 236')).toBeNull();
  });
});
