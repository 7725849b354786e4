import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { warningsOf } from '@/core/checks';
import { writeLog } from '@/core/log-text/write-log';
import { placeOnMap, positionErrorEllipse } from '@/core/navigation/position-error';
import { wayHome } from '@/core/navigation/ways/way';
import { placesBy } from '@/core/survey/party/places-by';
import { asWalked } from '@/core/survey/solution';
import { partyOf } from '../../support/survey/surveys';
import { solvedLog } from '../../support/outings';

const BODY = '048 130p > A\n140 200m\n235 95p\n330 180m > Dock\nfrom A\n060 90m';
const log = (method: string) => `start Dock\n${method}pace 65 per 100 m\n${BODY}`;

describe('an outing with a method', () => {
  it('has the places of the survey that it is, and its readings as they were', () => {
    const { solution } = solvedLog(log('adjust least-squares\n'));
    const { places } = placesBy(partyOf([log('')]), 'least-squares');
    expect(solution.method).toBe('least-squares');
    for (const station of solution.places.stations()) {
      // Legs that came back to a station make none: nodes are numbered without them.
      const node = solution.places.stations().indexOf(station);
      expect(solution.places.at(station)).toEqual(places.at(node));
    }
    const walked = asWalked(solution);
    expect(walked.method).toBeUndefined();
    for (const leg of solution.legs) {
      const { bearingDegrees, metres, reading } = walked.legs.leg(leg.number);
      expect(leg).toMatchObject({ bearingDegrees, metres, reading });
      expect(leg.start).toEqual(solution.places.at(leg.from));
      expect(leg.end).toEqual(solution.places.at(leg.to));
      expect(solution.legs.atEntry(leg.entry)).toEqual(leg);
    }
    expect(solution.legs.pathTo(3)).toHaveLength(3);
    expect(solution.closures).toEqual(walked.closures);
  });

  it('gives another way home, and a surer one', () => {
    const walked = solvedLog(log('')).solution;
    const adjusted = solvedLog(log('adjust least-squares\n')).solution;
    const ruled = solvedLog(log('adjust compass-rule\n')).solution;
    expect(wayHome(adjusted).distanceMetres).not.toBeCloseTo(wayHome(walked).distanceMetres, 1);
    expect(wayHome(ruled).distanceMetres).not.toBeCloseTo(wayHome(walked).distanceMetres, 1);
    const sure = (solution: typeof walked) =>
      positionErrorEllipse(solution, solution.current, 0).semiMajorMetres;
    expect(sure(adjusted)).toBeLessThan(sure(walked));
    // The rule does not tell how sure it is: as walked.
    const place = (solution: typeof walked) => placeOnMap(solution, 1).semiMajorMetres;
    expect(place(ruled)).toBeCloseTo(place(walked), 3);
  });

  it('warns of the same things as walked', () => {
    const wrong = BODY.replace('330', '150');
    const [one, other] = ['', 'adjust least-squares\n'].map((method) =>
      warningsOf(
        solvedLog(`start Dock\n${method}pace 65 per 100 m\n${wrong}`).solution,
        USUAL_FIGURES,
      ),
    );
    expect(one!.map(({ code }) => code)).toContain('misclosure-unexplained');
    expect(other).toEqual(one);
  });

  it('stays as walked without a loop, and where the log is too long', () => {
    const open = 'adjust least-squares\n000 100m\n090 100m';
    expect(solvedLog(open).solution.method).toBeUndefined();
    const legs = Array.from({ length: 3000 }, (_, i) => `${i % 360} 50m`);
    const long = ['start A', 'adjust least-squares', ...legs, '000 10m > A'].join('\n');
    expect(solvedLog(long).solution.method).toBeUndefined();
  });

  it('writes its method and its person into the log, and reads them back', () => {
    const { outing } = solvedLog('by Ann Bee\nadjust compass-rule ; as the party does\n000 100m');
    expect(outing).toMatchObject({
      by: 'Ann Bee',
      adjust: { method: 'compass-rule', note: 'as the party does' },
    });
    expect(solvedLog(writeLog(outing)).outing).toEqual(outing);
  });

  it('takes a landmark that the map has at the start for the start itself', () => {
    const log =
      'start Dock at 54.2 -63.5\ndeclination 19 W\nadjust least-squares\n' +
      'known Pier at 54.2 -63.5\nknown Knoll at 54.21 -63.51\nsee 013 ; Pier\n' +
      '013 50m back 203\nsee 200 ; Pier\nsee 320 ; Knoll\n110 70m back 300 > End\n';
    const { places } = solvedLog(log).solution;
    for (const station of places.stations()) {
      expect(Number.isFinite(places.at(station).east + places.at(station).north)).toBe(true);
    }
  });
});
