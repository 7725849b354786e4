import { describe, expect, it } from 'vitest';
import { isInsideEllipse } from '@/core/errors/ellipse';
import { planePointOf } from '@/core/place/geodesic';
import { fixOnEarth } from '@/core/survey/fix/on-earth';
import type { Sight } from '@/core/survey/fix/sights';
import { asked, markAt, sightOf } from '../../../support/survey/sights';
import { randomSource } from '../../../support/walks/random-source';

/** Metres of a degree, near enough for a country of some kilometres: nothing of the core's. */
const METRES_A_DEGREE = 111_195;
const LATITUDE = 10;

interface Plain {
  readonly x: number;
  readonly y: number;
}

const positionOf = ({ x, y }: Plain) => ({
  latitude: LATITUDE + y / METRES_A_DEGREE,
  longitude: 20 + x / (METRES_A_DEGREE * Math.cos((LATITUDE * Math.PI) / 180)),
});

/** The direction from the traveller at the middle, by the same plain sums, in degrees. */
const directionTo = ({ x, y }: Plain) => (Math.atan2(x, y) * 180) / Math.PI;

/** Marks round the traveller whose lines cross at 40° at least. */
function geometry(random: ReturnType<typeof randomSource>, count: number): Plain[] {
  for (;;) {
    const marks = Array.from({ length: count }, () => {
      const [azimuth, metres] = [2 * Math.PI * random.uniform(), 500 + 4000 * random.uniform()];
      return { x: metres * Math.sin(azimuth), y: metres * Math.cos(azimuth) };
    });
    const cut = marks.every((one, i) =>
      marks.slice(0, i).every((other) => {
        const turn = Math.abs(directionTo(one) - directionTo(other)) % 180;
        return Math.min(turn, 180 - turn) > 40;
      }),
    );
    if (cut) return marks;
  }
}

describe('the ellipse of a fix', () => {
  it.each([2, 3])(
    'by %i bearings holds the traveller 94 to 96 times in 100, over 200 geometries',
    (count) => {
      const random = randomSource(100 + count);
      const normal = () => {
        const radius = Math.sqrt(-2 * Math.log(1 - random.uniform()));
        return radius * Math.cos(2 * Math.PI * random.uniform());
      };
      const each = 5;
      let [held, all] = [0, 0];
      for (let i = 0; i < 200; i++) {
        const marks = geometry(random, count);
        for (let j = 0; j < each; j++) {
          // One compass and one declination for all bearings of a fix; its own error for each.
          const shared = 1.5 * normal() + 0.5 * normal();
          const sights = marks.map((mark, k): Sight => {
            const read = directionTo(mark) + shared + 2 * normal() + random.uniform() - 0.5;
            const sigma = 30;
            const drawn = { x: mark.x + sigma * normal(), y: mark.y + sigma * normal() };
            const { latitude, longitude } = positionOf(drawn);
            return sightOf(markAt(`m${k}`, latitude, longitude, sigma), (read + 720) % 360);
          });
          const { found } = fixOnEarth(asked(sights));
          all++;
          if (!found) continue;
          const off = planePointOf(found.position, positionOf({ x: 0, y: 0 }));
          if (isInsideEllipse(found.fix.covariance, off)) held++;
        }
      }
      expect(held / all).toBeGreaterThan(0.933);
      expect(held / all).toBeLessThan(0.967);
    },
  );

  it.each([false, true])(
    'holds where marks are 0.2 to 20 km away, 2 to 6 of them; compass in question: %s',
    (solveCompass) => {
      const random = randomSource(solveCompass ? 11 : 12);
      const { normal, uniform } = random;
      let [held, all] = [0, 0];
      for (let i = 0; i < 300; i++) {
        const count = (solveCompass ? 3 : 2) + Math.floor((solveCompass ? 4 : 5) * uniform());
        const marks = Array.from({ length: count }, () => {
          const [azimuth, metres] = [2 * Math.PI * uniform(), 200 * 100 ** uniform()];
          return { x: metres * Math.sin(azimuth), y: metres * Math.cos(azimuth) };
        });
        for (let j = 0; j < 2; j++) {
          // Iron turns all bearings of a place alike, by up to 20°.
          const iron = solveCompass ? 40 * (uniform() - 0.5) : 0;
          const shared = 1.5 * normal() + 0.5 * normal() + iron;
          const sights = marks.map((mark, k): Sight => {
            const read = directionTo(mark) + shared + 2 * normal() + uniform() - 0.5;
            const drawn = { x: mark.x + 5 * normal(), y: mark.y + 5 * normal() };
            const { latitude, longitude } = positionOf(drawn);
            return sightOf(markAt(`m${k}`, latitude, longitude, 5), (read + 720) % 360);
          });
          const { found, warnings } = fixOnEarth(asked(sights, solveCompass));
          // A place that is said to be open, or not there at all, states no 95 %.
          if (!found || warnings.some(({ code }) => UNSURE.has(code))) continue;
          all++;
          const off = planePointOf(found.position, positionOf({ x: 0, y: 0 }));
          if (isInsideEllipse(found.fix.covariance, off)) held++;
        }
      }
      expect(all).toBeGreaterThan(350);
      expect(held / all).toBeGreaterThan(0.93);
      expect(held / all).toBeLessThan(0.97);
    },
    120_000,
  );
});

const UNSURE: ReadonlySet<string> = new Set(['no-bound', 'danger-circle', 'bearing-disagrees']);
