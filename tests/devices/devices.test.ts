import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { circularMean, signedDifference } from '@/core/units/angle';
import { uniform } from '@/core/errors/random';
import { StepDetector } from '@/core/pacing/step-detector';
import { realHeading } from '@/devices/real-heading';
import { realMotion } from '@/devices/real-motion';
import { realPosition } from '@/devices/real-position';
import { simulatedHeading } from '@/devices/simulated-heading';
import { simulatedMotion } from '@/devices/simulated-motion';
import { world, type SimulatedWorld } from '@/devices/simulated-world';

/** A window that only carries events, as much of a browser as the sensors need. */
const sensors = new EventTarget();
const tell = (kind: string, fields: object) =>
  sensors.dispatchEvent(Object.assign(new Event(kind), fields));

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('window', sensors);
  vi.stubGlobal('DeviceMotionEvent', class {});
  vi.stubGlobal('DeviceOrientationEvent', class {});
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the phone’s own motion', () => {
  const sample = { accelerationIncludingGravity: { x: 0, y: 3, z: 4 } };

  it('is reported as the size of the acceleration, until it is stopped', async () => {
    const heard: number[] = [];
    const starting = realMotion.start(({ size }) => heard.push(size));
    await vi.advanceTimersByTimeAsync(10);
    tell('devicemotion', sample);
    const started = await starting;
    if (!started.ok) throw new Error(started.fault);
    tell('devicemotion', sample);
    started.value();
    tell('devicemotion', sample);
    expect(heard).toEqual([5, 5]);
  });

  it('that says nothing, or nothing of use, is absent', async () => {
    const starting = realMotion.start(() => undefined);
    await vi.advanceTimersByTimeAsync(100);
    tell('devicemotion', { accelerationIncludingGravity: { x: null, y: null, z: null } });
    await vi.advanceTimersByTimeAsync(3000);
    expect(await starting).toEqual({ ok: false, fault: 'absent' });
    vi.stubGlobal('DeviceMotionEvent', undefined);
    Reflect.deleteProperty(globalThis, 'DeviceMotionEvent');
    expect(await realMotion.start(() => undefined)).toEqual({ ok: false, fault: 'absent' });
  });

  it.each([
    ['denied', () => Promise.resolve('denied')],
    ['an error', () => Promise.reject(new Error('not by a tap'))],
  ])('asked for and answered with %s is refused', async (_name, requestPermission) => {
    vi.stubGlobal('DeviceMotionEvent', { requestPermission });
    expect(await realMotion.start(() => undefined)).toEqual({ ok: false, fault: 'refused' });
  });
});

describe('the phone’s own compass', () => {
  it.each([
    ['deviceorientationabsolute', { absolute: true, alpha: 129 }, 231],
    ['deviceorientationabsolute', { absolute: true, alpha: 0 }, 0],
    ['deviceorientation', { absolute: false, alpha: 5, webkitCompassHeading: 17 }, 17],
  ])('%s %o points to %d', async (kind, fields, expected) => {
    const heard: number[] = [];
    const starting = realHeading.start((heading) => heard.push(heading));
    await vi.advanceTimersByTimeAsync(10);
    tell(kind, fields);
    const started = await starting;
    expect(heard).toEqual([expected]);
    if (started.ok) started.value();
  });

  it('that is not against north is no compass', async () => {
    const starting = realHeading.start(() => undefined);
    await vi.advanceTimersByTimeAsync(10);
    tell('deviceorientation', { absolute: false, alpha: 90 });
    tell('deviceorientationabsolute', { absolute: true, alpha: null });
    await vi.advanceTimersByTimeAsync(3000);
    expect(await starting).toEqual({ ok: false, fault: 'absent' });
  });
});

describe('the browser’s own position', () => {
  const answering = (
    answer: (found: (fix: unknown) => void, failed: (error: unknown) => void) => void,
  ) => vi.stubGlobal('navigator', { geolocation: { getCurrentPosition: answer } });

  it('is reported with its accuracy', async () => {
    answering((found) => found({ coords: { latitude: 54.2, longitude: -63.5, accuracy: 9 } }));
    expect(await realPosition.read()).toEqual({
      ok: true,
      value: { position: { latitude: 54.2, longitude: -63.5 }, accuracyMetres: 9 },
    });
  });

  it.each([
    [1, 'refused'],
    [2, 'no-answer'],
    [3, 'no-answer'],
    [99, 'no-answer'],
  ])('failing with code %d is %s', async (code, fault) => {
    answering((_found, failed) => failed({ code }));
    expect(await realPosition.read()).toEqual({ ok: false, fault });
  });

  it('that is not there is absent', async () => {
    vi.stubGlobal('navigator', {});
    expect(await realPosition.read()).toEqual({ ok: false, fault: 'absent' });
  });
});

describe('the simulated devices', () => {
  const still: SimulatedWorld = { ...world, walking: false };

  it('walk at the rate that the panel sets, and stand when it says so', async () => {
    const land: SimulatedWorld = { ...still, walking: true, stepsPerSecond: 2, dropouts: 0.02 };
    const detector = new StepDetector();
    let steps = 0;
    const started = await simulatedMotion(land, uniform(1)).start(({ seconds, size }) => {
      if (detector.feed(seconds, size)) steps++;
    });
    await vi.advanceTimersByTimeAsync(60_000);
    expect(Math.abs(steps - 120)).toBeLessThanOrEqual(6);
    land.walking = false;
    await vi.advanceTimersByTimeAsync(2000);
    const before = steps;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(steps - before).toBeLessThanOrEqual(1);
    if (started.ok) started.value();
    await vi.advanceTimersByTimeAsync(5000);
    expect(vi.getTimerCount()).toBe(0);
  });

  it('point about the heading that the panel sets, losing the share that it says', async () => {
    const land: SimulatedWorld = {
      ...still,
      headingDegrees: 358,
      headingNoiseDegrees: 4,
      dropouts: 0.25,
    };
    const heard: number[] = [];
    const started = await simulatedHeading(land, uniform(2)).start((heading) =>
      heard.push(heading),
    );
    await vi.advanceTimersByTimeAsync(200_000);
    if (started.ok) started.value();
    expect(heard.length).toBeGreaterThan(1400);
    expect(heard.length).toBeLessThan(1600);
    expect(heard.every((heading) => heading >= 0 && heading < 360)).toBe(true);
    expect(Math.abs(signedDifference(358, circularMean(heard)!))).toBeLessThan(0.5);
    const spread = Math.sqrt(
      heard.reduce((sum, each) => sum + signedDifference(358, each) ** 2, 0) / heard.length,
    );
    expect(Math.abs(spread - 4)).toBeLessThan(0.4);
  });
});
