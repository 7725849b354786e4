import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isRouteText,
  readLegText,
  readRouteText,
  writeRouteText,
} from '@/core/log-text/route/route-text';
import { blankRoute, routeSchema, type Route } from '@/core/model/route';
import { faultMessage } from '@/core/faults/messages';
import { ROUTE_TEXT, routeOf } from '../../support/route/demo-route';

/** The first fault of a text: its line, its column and its words. */
function faultOf(text: string) {
  const read = readRouteText(text, 'x');
  if (read.ok) throw new Error('it can be read');
  const { line, column, fault } = read.fault[0]!;
  return { line, column, words: faultMessage(fault) };
}
const START = 'point Dock at 54.2 -63.5\n';

describe('the text of a route', () => {
  it('is read, and written as it was', () => {
    const route = routeOf(ROUTE_TEXT);
    expect(route.points.map(({ name }) => name)).toEqual(['Dock', 'Gauge 1', 'Cairn', 'Gauge 2']);
    expect(route.points[1]).toMatchObject({
      withinMetres: 10,
      note: 'in the hollow',
      leg: {
        ground: 'bog',
        upMetres: 40,
        downMetres: 5,
        expect: { point: 'NW', slope: 'uphill' },
        catching: { beyondMetres: 120, what: 'the shore of the upper pond' },
        ticks: [
          { metres: 200, side: 'left', what: 'big boulder' },
          { metres: 450, what: 'path' },
        ],
      },
    });
    expect(route.points[2]).toMatchObject({ isAttack: true, paper: { length: 24, scale: 25_000 } });
    expect(route).toMatchObject({ kilometresPerHour: 4, timing: 'langmuir', backBy: '17:30' });
    expect(writeRouteText(route)).toBe(ROUTE_TEXT);
    expect(isRouteText(ROUTE_TEXT)).toBe(true);
    expect(isRouteText('cairn-back log 1\n')).toBe(false);
  });

  it.each([
    ['point B by S40W 2in on 1:63360', { unit: 'in', length: 2, scale: 63_360 }],
    ['point B by 045 4.5cm on 1:50 000', { unit: 'cm', length: 4.5, scale: 50_000 }],
    ['point B by 1200milM 30 mm on 1/10,000', { unit: 'mm', length: 30, scale: 10_000 }],
  ])('takes what people write of a measure on paper: %s', (line, wanted) => {
    expect(routeOf(START + line).points[1]?.paper).toMatchObject(wanted);
  });

  it('takes a bearing off the map for a grid bearing, unless a letter says otherwise', () => {
    const of = (bearing: string) =>
      routeOf(`${START}point B by ${bearing} 10mm on 1:10000`).points[1]?.paper?.bearing.north;
    expect([of('100'), of('100T'), of('100M')]).toEqual(['grid', 'true', 'magnetic']);
  });

  it('takes places by the grid and in degrees', () => {
    const of = (place: string) => routeOf(`point B at ${place}`).points[0]?.position;
    expect(of('20U 467383 6005890')?.latitude).toBeCloseTo(54.2, 5);
    expect(of('20U MF 67383 05890')?.longitude).toBeCloseTo(-63.5, 4);
  });

  it.each([
    ['tick 100m rock', 1, 1, /Expected a line such as point Dock/],
    [`${START}tick rock`, 2, 6, /number of metres/],
    [`${START}aim 040 shore`, 2, 5, /a side, the bearing of a line/],
    [`${START}ground bog\nground rough`, 3, 1, /“ground” may be there once; it is on line 2/],
    [`${START}point B by 040 45 on 1:25000`, 2, 16, /length on the map with its unit/],
    [`${START}point B by 040 45mm`, 2, 20, /scale of the map/],
    [`${START}point B by 040 45mm on 1:5`, 2, 26, /must be 100 to 10000000/],
    ['point B by 040 45mm on 1:25000', 1, 7, /latitude and a longitude/],
    ['speed 4', 1, 7, /speed with its unit/],
    ['speed 90 kmh', 1, 7, /at most 20/],
    ['timing fast', 1, 8, /naismith, langmuir or level/],
    ['turn-back 25:00', 1, 11, /time as HH:MM/],
    ['cairn-back route 2', 1, 12, /cairn-back route 1/],
    ['pont Dock at 54.2 -63.5', 1, 1, /Did you mean point/],
    [`${START}expect uphill`, 2, 8, /rough direction/],
    [`${START}climb 12000m`, 2, 7, /must be 0 to 9000/],
  ])('says where %j can’t be read', (text, line, column, words) => {
    const found = faultOf(text);
    expect(found.words).toMatch(words);
    expect([found.line, found.column]).toEqual([line, column]);
  });

  it('tells the faults of all lines, and guesses none', () => {
    const read = readRouteText(`${START}tick x\nclimb y\npoint Z`, 'x');
    expect(read.ok ? [] : read.fault.map(({ line }) => line)).toEqual([2, 3, 4]);
  });

  it('reads lines about one leg by themselves', () => {
    const read = readLegText('handrail the burn; on the left\ndanger cliffs\ndanger bog');
    expect(read.ok && read.value).toEqual({
      handrail: 'the burn; on the left',
      dangers: ['cliffs', 'bog'],
    });
    expect(readLegText('tick 0m x').ok).toBe(false);
  });
});

const words = fc
  .stringMatching(/^[a-z][a-z0-9 ,;'"()-]{0,30}[a-z]$/)
  .filter((text) => !/\s{2}/.test(text));
const name = fc.stringMatching(/^[A-Za-z][A-Za-z0-9 ]{0,12}[a-z0-9]$/).map((text) => text.trim());
const metres = fc.integer({ min: 1, max: 5000 });
const optional = <Value>(value: fc.Arbitrary<Value>) => fc.option(value, { nil: undefined });
const position = fc.record({
  latitude: fc.integer({ min: -800_000, max: 800_000 }).map((n) => n / 10_000),
  longitude: fc.integer({ min: -1_799_999, max: 1_799_999 }).map((n) => n / 10_000),
});
const leg = fc.record(
  {
    ground: fc.constantFrom('bog', 'rough', 'snow'),
    upMetres: metres,
    expect: fc.record({ point: fc.constantFrom('N', 'SE', 'WNW') }),
    handrail: words,
    catching: fc.record({ beyondMetres: metres, what: words }),
    dangers: fc.array(words, { minLength: 1, maxLength: 3 }),
  },
  { requiredKeys: ['upMetres'] },
);
const point = fc
  .record({ name, position, isAttack: optional(fc.constant(true)), leg: optional(leg) })
  .map((each) => JSON.parse(JSON.stringify(each)) as Route['points'][number]);

describe('every route', () => {
  it('is read back from its text as it was', () => {
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 1, maxLength: 8 }),
        words,
        fc.integer({ min: 1, max: 20 }),
        (points, party, speed) => {
          const route: Route = {
            ...blankRoute('x', 'A route', '2026-08-14'),
            party,
            kilometresPerHour: speed,
            points,
          };
          expect(routeSchema.safeParse(route).success).toBe(true);
          const text = writeRouteText(route);
          const read = readRouteText(text, 'x');
          expect(read.ok ? read.value : read.fault).toEqual(route);
          expect(read.ok && writeRouteText(read.value)).toBe(text);
        },
      ),
      { seed: 19, numRuns: 300 },
    );
  });
});
