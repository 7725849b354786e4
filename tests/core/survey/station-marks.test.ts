import { describe, expect, it } from 'vitest';
import { chanceByMarks } from '@/core/navigation/ways/by-marks';
import { passedFeatures } from '@/core/navigation/ways/passed-features';
import { stationMarks } from '@/core/survey/station-marks';
import { stationName } from '@/core/survey/solution';
import { writeLog } from '@/core/log-text/write-log';
import { solvedLog } from '../../support/outings';

const LOG = [
  'mark ; blue drum',
  '000 100m',
  'mark tree ; tape on a birch',
  '000 100m > Gauge',
  'mark ; three stones',
  'see 090 ; hill',
  'mark ; orange flag',
  '090 100m',
  'here Gauge',
];

describe('the marks of stations', () => {
  const { solution, outing } = solvedLog(LOG.join('\n'));

  it('belong to the station where one was, and are written as they were read', () => {
    const named = [...stationMarks(solution)].map(([station, what]) => [
      stationName(solution, station),
      what,
    ]);
    expect(named).toEqual([
      ['Start', 'blue drum'],
      ['1', 'tape on a birch'],
      ['Gauge', 'three stones; orange flag'],
    ]);
    expect(writeLog(outing)).toContain('mark tree ; tape on a birch\n');
    expect(stationMarks(solvedLog('000 100m').solution).size).toBe(0);
  });

  it('are passed on the way back, named or not', () => {
    expect(passedFeatures(solution, solution.current, 0).map(({ what }) => what)).toEqual([
      '1: tape on a birch',
    ]);
    const unmarked = LOG.filter((line) => !line.startsWith('mark'));
    const { solution: plain } = solvedLog(unmarked.join('\n'));
    expect(passedFeatures(plain, plain.current, 0)).toEqual([]);
  });

  it('begin the way again where they are recognised', () => {
    expect(chanceByMarks(solution, 30)?.last).toBe('1');
    const unmarked = LOG.filter((line) => !line.startsWith('mark'));
    expect(chanceByMarks(solvedLog(unmarked.join('\n')).solution, 30)?.last).not.toBe('1');
  });
});
