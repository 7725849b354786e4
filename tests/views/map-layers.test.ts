import { describe, expect, it } from 'vitest';
import type { KnownPlace } from '@/core/model/known-place';
import { positionAt } from '@/core/place/geodesic';
import { shownBearing } from '@/core/north/norths';
import { polar } from '@/core/units/plane';
import { onPlaneOfMetres } from '@/sketch/paths';
import { groundBase, groundOf, placedLayers } from '@/views/map/base';
import { SURE, shownLayers } from '@/views/map/layers';
import type { MapContext } from '@/views/map/layers/context';
import { thingAt, thingOf, thingsOf, wayFromYou } from '@/views/map/things/thing';
import { afterTap, modesOf, type InHand } from '@/views/map/tools';
import { upsOf } from '@/views/map/ups';
import { solvedLog } from '../support/outings';

const DOCK = { latitude: 54.2, longitude: -63.5 };
const LOG = ['start Dock at 54.2 -63.5', 'declination 19 W', '109 300m > Gauge 1', '199 400m'];

/** A known place at a true bearing and a length from the dock. */
const known = (id: string, bearing: number, metres: number): KnownPlace => ({
  id,
  name: id,
  positions: [positionAt(DOCK, polar(bearing, metres))],
});

const contextOf = (lines: readonly string[], places: KnownPlace[] = []): MapContext => ({
  there: { outings: [], routes: [], areas: [], known: places },
  solution: solvedLog(lines.join('\n')).solution,
  route: null,
  plan: null,
  area: null,
  survey: null,
  others: [],
  fixed: null,
  count: null,
});

const laid = (context: MapContext, off: readonly string[] = []) => {
  const base = groundBase(groundOf(context));
  return { base, placed: placedLayers(base, shownLayers(context, off)) };
};
const VIEW = { k: 1, x: 0, y: 0, turn: 0 };

describe('the layers of the map', () => {
  const context = contextOf(LOG, [known('bald summit', 45, 800), known('north end', 0, 500)]);

  it('lie on the earth about the start; what is about another place is projected there', () => {
    const { base, placed } = laid(context);
    expect(base.origin).toEqual(DOCK);
    expect(placed.find(({ id }) => id === 'log')?.place).toBe(onPlaneOfMetres);
    // The known places are in metres about the first of them, 800 m to the north-east.
    const layer = placed.find(({ id }) => id === 'known')!;
    const [summit, end] = layer.marks.marks;
    expect(summit!.east).toBeCloseTo(800 * Math.SQRT1_2, 0);
    expect(summit!.north).toBeCloseTo(800 * Math.SQRT1_2, 0);
    expect(end!.east).toBeCloseTo(0, 0);
    expect(end!.north).toBeCloseTo(500, 0);
  });

  it('are switched off one by one, and how sure they are apart from them', () => {
    const ids = (off: readonly string[]) => new Set(laid(context, off).placed.map(({ id }) => id));
    expect([...ids([])]).toEqual(['known', 'log', 'home']);
    expect([...ids(['home'])]).toEqual(['known', 'log']);
    const home = laid(context, [SURE]).placed.find(({ id }) => id === 'home')!;
    expect(home.layer.ellipses).toEqual([]);
    expect(home.layer.lines).toHaveLength(1);
  });

  it('of an outing that is nowhere on the earth are its own alone', () => {
    const { base, placed } = laid(contextOf(['090 100m', '180 50m'], [known('a', 0, 100)]));
    expect(base.origin).toBeNull();
    expect(placed.map(({ id }) => id)).toEqual(['log', 'home']);
    expect(modesOf(base)).not.toContain('route');
    expect(modesOf(base)).toContain('measure');
  });

  it('give what is tapped: a mark before a line, also where it was projected', () => {
    const { placed } = laid(context);
    // 109° magnetic at 19° W is true east: the first leg lies along y 0.
    expect(thingAt(placed, VIEW, { x: 150, y: 3 })).toBe('log#1');
    expect(thingAt(placed, VIEW, { x: 297, y: 4 })).toBe('log:s0');
    expect(thingAt(placed, VIEW, { x: 2, y: -495 })).toBe('known:north end');
    expect(thingAt(placed, VIEW, { x: -300, y: -300 })).toBeNull();
    expect(thingOf(context, placed, 'log#1')).toMatchObject({ name: 'Leg 1 to Gauge 1' });
    expect(thingOf(context, placed, 'log#2')).toMatchObject({ name: 'Leg 2' });
    expect(thingOf(context, placed, 'known:gone')).toBeNull();
    const names = thingsOf(context, placed).map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Dock', 'Gauge 1', 'bald summit', 'Leg 2']));
  });

  it('tell the way to anything from where one is, on the compass', () => {
    const { base } = laid(context);
    // One stands 300 m east and 400 m south of the dock.
    const way = wayFromYou(context.solution!, base, { x: 0, y: 0 })!;
    expect(way.distanceMetres).toBeCloseTo(500, 0);
    // True 323.13°, and the needle points 19° west of that north.
    expect(shownBearing(way.bearing, 'magnetic').degrees).toBeCloseTo(342.13, 1);
  });

  it('turn each north that is known up', () => {
    const { base } = laid(context);
    const ups = new Map(upsOf(base, context).map(({ key, turn }) => [key, turn]));
    expect(ups.get('true')).toBe(0);
    expect(ups.get('magnetic')).toBeCloseTo(341, 6);
    expect(ups.has('picture')).toBe(false);
  });
});

describe('a tool', () => {
  const hand = (mode: InHand['mode']): InHand => ({
    mode,
    taps: [],
    plate: { edge: 0, dial: 0 },
    chosen: null,
    placing: null,
  });
  const tapped = (mode: InHand['mode'], count: number) => {
    let now = hand(mode);
    for (let x = 0; x < count; x++) now = afterTap(now, { x, y: 0 });
    return now.taps.map(({ x }) => x);
  };

  it('keeps as many taps as it is made of, and then begins anew', () => {
    expect(tapped('look', 2)).toEqual([]);
    expect(tapped('point', 3)).toEqual([2]);
    expect(tapped('measure', 2)).toEqual([0, 1]);
    expect(tapped('measure', 3)).toEqual([2]);
    expect(tapped('line', 4)).toEqual([0, 1, 2, 3]);
  });
});
