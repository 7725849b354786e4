import { describe, expect, it } from 'vitest';
import { normals, uniform } from '@/core/errors/random';
import { StepDetector } from '@/core/pacing/step-detector';
import { walkingAcceleration } from '@/devices/simulated-world';

/** Counts a synthetic walk: steps and samples each second, noise in m/s², share of samples lost. */
function counted(rate: number, samples: number, noise: number, lost = 0, steps = 200, seed = 7) {
  const next = uniform(seed);
  const normal = normals(next);
  const detector = new StepDetector();
  let found = 0;
  const standing = 2;
  const seconds = steps / rate;
  for (let i = 0; i < (seconds + 2 * standing) * samples; i++) {
    const time = i / samples;
    const walked = (time - standing) * rate;
    const walking = walked > 0 && walked < steps;
    const size = (walking ? walkingAcceleration(walked) : 9.81) + noise * normal();
    if (next() < lost) continue;
    if (detector.feed(time, size)) found++;
  }
  return found;
}

describe('steps counted in synthetic motion', () => {
  const off: number[] = [];
  for (const rate of [1.4, 1.6, 1.8, 2, 2.3])
    for (const samples of [25, 50, 100])
      for (const noise of [0, 0.5, 1]) {
        // Few samples and much noise err by 6 %, everything else by 2 %.
        const most = samples === 25 && noise === 1 ? 6 : 2;
        it(`${rate} a second, ${samples} samples, noise ${noise} m/s²: within ${most} %`, () => {
          const found = counted(rate, samples, noise);
          off.push(Math.abs(found - 200));
          expect(Math.abs(found - 200)).toBeLessThanOrEqual(2 * most);
        });
      }

  it('the mean error over all of these is below 1 %', () => {
    expect(off.length).toBe(45);
    expect(off.reduce((sum, each) => sum + each, 0) / off.length).toBeLessThan(2);
  });

  it('with noise of half the swing, or a tenth of the samples lost: within 6 %', () => {
    for (const seed of [1, 2, 3]) {
      expect(Math.abs(counted(1.8, 50, 1.5, 0, 200, seed) - 200)).toBeLessThanOrEqual(12);
      expect(Math.abs(counted(1.8, 50, 0.5, 0.1, 200, seed) - 200)).toBeLessThanOrEqual(12);
    }
  });

  it('counts nothing in a hand that trembles, and starts again after a gap', () => {
    const normal = normals(uniform(3));
    const detector = new StepDetector();
    let found = 0;
    for (let i = 0; i < 3000; i++) if (detector.feed(i / 50, 9.81 + 0.3 * normal())) found++;
    expect(found).toBe(0);
    expect(detector.feed(500, 30)).toBe(false);
    expect(detector.feed(499, 30)).toBe(false);
  });
});
