import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { csvFormat } from '@/formats/csv';
import { geoJsonFormat } from '@/formats/geojson';
import { homeAnswer } from '@/formats/home-answer';
import { sketchSvg } from '@/formats/svg';
import { warningsOf } from '@/core/checks';
import { interpretLine } from '@/core/log-text/interpret';
import { logbookOf } from '@/core/model/logbook';
import { paceOn } from '@/core/survey/log-state';
import { earthModels } from '@/core/north/loaded-earth-models';
import { refusal, solvedLog } from '../../support/outings';

const LEGS = '220 65p\n350 130p > Birch\nat 40 ; spring\n140 30s\n080 131p';
const answerOf = (log: string) => {
  const { solution } = solvedLog(log);
  return homeAnswer(solution, solution.current, 0, () => undefined);
};

describe('an outing whose lengths are all in paces', () => {
  it('needs no pace: it is worked in them, and metres are null', () => {
    const answer = answerOf(LEGS);
    // The same legs at a metre a pace, a single step half of one: by hand as in a traverse table.
    const legs = [
      [220, 65],
      [350, 130],
      [140, 15],
      [80, 131],
    ] as const;
    const sum = (f: (radians: number) => number) =>
      legs.reduce((all, [bearing, paces]) => all + paces * f((bearing * Math.PI) / 180), 0);
    const [east, north] = [sum(Math.sin), sum(Math.cos)];
    expect(answer.stations.at(-1)!.x).toBeCloseTo(east, 9);
    expect(answer.stations.at(-1)!.y).toBeCloseTo(north, 9);
    expect(answer).toMatchObject({ unit: 'pace', walkedMetres: null });
    expect(answer.walked).toBeCloseTo(65 + 130 + 15 + 131, 9);
    const { home } = answer;
    expect(home.distance).toBeCloseTo(Math.hypot(east, north), 9);
    expect(home).toMatchObject({ distanceMetres: null, paces: home.distance });
    expect(home.magnetic).toBeCloseTo((Math.atan2(-east, -north) * 180) / Math.PI + 360, 9);
  });

  it('is as sure of the way back as with a pace of a metre, and surer of its sketch', () => {
    const [inPaces, inMetres] = [answerOf(LEGS), answerOf(`pace 1 m\n${LEGS}`)];
    expect(inMetres).toMatchObject({ unit: 'metre', walkedMetres: inPaces.walked });
    // Going back in the paces that one came by, their length cancels.
    expect(inPaces.missAtHome.semiMajor).toBeCloseTo(inMetres.missAtHome.semiMajor, 9);
    // In paces the sketch has no error of their length: it has no other scale.
    expect(inPaces.placeOnMap.semiMajor).toBeLessThan(0.99 * inMetres.placeOnMap.semiMajor);
  });

  it('is in metres once a pace is given, also afterwards', () => {
    const before = answerOf(`pace 65 per 100 m\n${LEGS}`);
    expect(answerOf(`${LEGS}\npace 65 per 100 m`)).toEqual(before);
    expect(before.home.distanceMetres).toBeCloseTo((answerOf(LEGS).home.distance * 100) / 65, 9);
    // What is counted after a second pace line is of that one; what is before the first, of that.
    const changed = answerOf('000 65p\npace 65 per 100 m\npace 50 per 100 m\n000 50p');
    expect(changed.walkedMetres).toBeCloseTo(200, 9);
  });

  it('asks for the pace at the first length that is no count, whichever comes first', () => {
    expect(refusal('220 65p\n140 50m')).toMatchObject({
      fault: { code: 'metres-beside-paces' },
      line: 2,
    });
    expect(refusal('220 65p\nbox left 5m along 4p')?.fault.code).toBe('metres-beside-paces');
    expect(refusal('140 50m\n220 65p')).toMatchObject({ fault: { code: 'no-pace' }, line: 2 });
    expect(refusal('140 50m\nat 4p ; spring')).toMatchObject({ fault: { code: 'no-pace' } });
    expect(refusal('220 65p\n140 50m\npace 65 per 100 m')).toMatchObject({ line: 2 });
    expect(refusal('220 65p\npace 65 per 100 m\n140 50m')).toBeNull();
    // Right where the leg began is there in any unit.
    expect(refusal('220 65p\nat 0m ; stile')).toBeNull();
  });

  it('has a misclosure, a sketch and warnings in paces, and no place on the earth', () => {
    const log = 'start Dock at 54.2 -63.5\ndeclination 19 W\n000 100p\n120 100p\n240 97p > Dock';
    const { solution, outing } = solvedLog(log);
    const answer = homeAnswer(solution, 2, 0, () => undefined);
    expect(answer.closures[0]).toMatchObject({ metres: null });
    expect(Math.hypot(answer.closures[0]!.dx, answer.closures[0]!.dy)).toBeCloseTo(3, 9);
    expect(answer.stations[1]).not.toHaveProperty('latitude');
    const book = logbookOf([outing], '2026-08-14T09:40:00Z');
    const table = csvFormat.write(book, earthModels);
    const rows = table.ok ? String(table.value).trim().split('\r\n') : [];
    const column = (name: string) => rows[0]!.split(',').indexOf(name);
    const last = rows.at(-1)!.split(',');
    expect([last[column('metres')], last[column('unit')]]).toEqual(['', 'pace']);
    const map = geoJsonFormat.write(book, earthModels);
    expect(!map.ok && JSON.stringify(map.fault)).toMatch(/no length of a pace is given/);
    const drawn = sketchSvg(solvedLog('000 100p\n090 100p').solution);
    expect(drawn).toMatch(/141 paces/);
    expect(drawn).not.toMatch(/\d m\b/);
    const short = warningsOf(
      solvedLog('000 3p\n090 4p @10:00\n000 9p @10:01').solution,
      USUAL_FIGURES,
    );
    expect(short.map(({ code }) => code)).toEqual([]);
  });

  it('is read so from its first leg on, while that is typed', () => {
    const empty = solvedLog('cairn-back log 1').solution;
    const typed = interpretLine('220 65p', empty);
    expect(typed.kind === 'entry' && typed.preview).toMatchObject({
      unit: 'pace',
      home: { distanceMetres: 65, paces: null },
    });
    // Whatever was asked of a ground before: the counter asks, and nothing is known there.
    expect(paceOn(empty.end, 'rough').paceLength).toBeNaN();
    const rough = interpretLine('220 65p rough', empty);
    expect(rough.kind === 'entry' && rough.preview).toMatchObject({ unit: 'pace' });
    const metres = interpretLine('220 65m', empty);
    expect(metres.kind === 'entry' && metres.preview).toMatchObject({ unit: 'metre' });
    const beside = interpretLine('140 50m', solvedLog('220 65p').solution);
    expect(beside).toMatchObject({ kind: 'fault', fault: { code: 'metres-beside-paces' } });
    // Asking changed nothing: the next line is read as before.
    expect(interpretLine('140 50p', solvedLog('220 65p').solution).kind).toBe('entry');
  });
});
