import { USUAL_FIGURES } from '@/core/units/figures';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { message } from '@/core/navigation/message';
import { anyOuting, solved, solvedLog } from '../../support/outings';

describe('the message', () => {
  it('says where, which way, how far, how sure and when, always in under 300 characters', () => {
    const { solution } = solvedLog(
      'declination 19.1 W\nstart Dock at 54.2 -63.5\n112 200m\n061 246m > Gauge 2',
    );
    // By hand: 364.0 m east and 173.0 m north of the dock, 244.6° and 403.0 m back to it.
    expect(message(solution, '14:05', USUAL_FIGURES)).toBe(
      '14:05 At Gauge 2 (54.2016 -63.4944, within 45 m). Going to Dock: 264 magnetic / ' +
        '245 true, 405 m, within 65 m (95%). Walked 446 m in 2 legs.',
    );
    const sender = { name: 'Anna', party: '3 people, 1 hurt', need: 'a stretcher' };
    expect(message(solution, '14:05', USUAL_FIGURES, sender)).toMatch(
      /^14:05 Anna, 3 people, 1 hurt\. At Gauge 2 .* Need: a stretcher\. Going to Dock/,
    );
    // A reference of the country's maps, where there is room for it.
    const reference = () => 'SD 8054 6605';
    expect(message(solution, '14:05', USUAL_FIGURES, undefined, reference)).toContain(
      '-63.4944, SD 8054 6605,',
    );
    const full = { name: 'n'.repeat(80), party: 'p'.repeat(80), need: 'x'.repeat(80) };
    const tooLong = () => 'X'.repeat(60);
    expect(message(solution, '14:05', USUAL_FIGURES, full, tooLong)).toBe(
      message(solution, '14:05', USUAL_FIGURES, full),
    );
    expect(message(solution, '14:05', USUAL_FIGURES, full, reference)).toContain(
      'within 65 m (95%).',
    );
    expect(message(solvedLog('start Dock').solution, '14:05', USUAL_FIGURES)).toBe(
      '14:05 At Dock.',
    );
    fc.assert(
      fc.property(anyOuting, (outing) => {
        expect(message(solved(outing), '23:59', USUAL_FIGURES).length).toBeLessThan(300);
        const long = { name: 'n'.repeat(80), party: 'p'.repeat(80), need: 'x'.repeat(200) };
        const sent = message(solved(outing), '23:59', USUAL_FIGURES, long);
        expect(sent.length).toBeLessThan(300);
        expect(sent).toContain('Need: xxx');
      }),
      { numRuns: 200 },
    );
  });
});
