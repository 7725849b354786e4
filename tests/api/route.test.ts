import proj4 from 'proj4';
import { describe, expect, it } from 'vitest';
import * as route from '@/app/api/route/route';

interface Answer {
  readonly legs: readonly {
    from: string;
    to: string;
    grid: number;
    true: number;
    magnetic: number | null;
    metres: number;
    gridMetres: number;
    paces: number | null;
    minutes: number;
  }[];
  readonly metres: number;
  readonly minutes: number;
  readonly error?: { message: string; path?: string; expected?: string };
}

async function ask(body: unknown, type = 'application/json') {
  const answer = await route.POST(
    new Request('http://localhost/api/route', {
      method: 'POST',
      headers: { 'content-type': type },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    }),
  );
  return { status: answer.status, ...((await answer.json()) as Answer) };
}

const points = [
  { name: 'Dock', at: '54.2 -63.5' },
  { name: 'Gauge 2', at: '54.2023 -63.4926' },
  { name: 'Esker top', at: '20U 467752 6006376' },
];

describe('POST /api/route', () => {
  it('answers bearings, metres, paces and minutes of each leg', async () => {
    const found = await ask({
      points,
      date: '2026-08-14',
      declination: '19.1 W',
      grid: 'utm',
      pace: '65 per 100 m',
      speed: 4,
      climb: [
        [120, 0],
        [25, 0],
      ],
    });
    expect(found.status).toBe(200);
    const [first, second] = found.legs;
    expect([first!.from, first!.to, second!.to]).toEqual(['Dock', 'Gauge 2', 'Esker top']);
    const grid = proj4('+proj=utm +zone=20 +ellps=WGS84');
    const [e0, n0] = grid.forward([-63.5, 54.2]);
    const [e1, n1] = grid.forward([-63.4926, 54.2023]);
    expect(first!.gridMetres).toBeCloseTo(Math.hypot(e1! - e0!, n1! - n0!), 3);
    expect(first!.magnetic! - first!.true).toBeCloseTo(19.1, 9);
    expect(first!.paces).toBeCloseTo(first!.metres * 0.65, 6);
    expect(first!.minutes).toBeCloseTo(60 * (first!.metres / 4000 + 120 / 600), 9);
    expect(found.metres).toBeCloseTo(first!.metres + second!.metres, 9);
    expect(found.minutes).toBeCloseTo(first!.minutes + second!.minutes, 9);
  });

  it('takes the declination of the day from the model, and one climb for one leg', async () => {
    const found = await ask({
      points: points.slice(0, 2),
      date: '2026-08-14',
      declination: 'model',
      climb: [60, 0],
    });
    const [leg] = found.legs;
    expect(leg!.magnetic! - leg!.true).toBeGreaterThan(18);
    expect(leg!.minutes).toBeCloseTo(60 * (leg!.metres / 5000 + 60 / 600), 9);
    expect(leg!.paces).toBeNull();
  });

  it('answers no magnetic bearing without a declination', async () => {
    const found = await ask({ points });
    expect(found.legs[0]).toMatchObject({ magnetic: null });
  });

  it.each([
    ['{', 'JSON'],
    [{}, 'points'],
    [{ points: points.slice(0, 1) }, 'points'],
    [{ points: [{ name: 'A', at: 'nowhere' }, points[0]] }, 'points.0.at'],
    [{ points: [{ name: 'A;B', at: '0 0' }, points[0]] }, 'points.0.name'],
    [{ points, date: '2026-02-30' }, 'date'],
    [{ points, declination: '200 Q' }, 'declination'],
    [{ points, declination: 'model' }, 'declination'],
    [{ points, declination: '3 W\npoint X at 0 0' }, 'declination'],
    [{ points, grid: '+proj=nothing; rm' }, 'grid'],
    [{ points, pace: 'long' }, 'pace'],
    [{ points, speed: 0 }, 'speed'],
    [
      {
        points,
        climb: [
          [1, 1],
          [1, 1],
          [1, 1],
        ],
      },
      'climb',
    ],
  ])('says what is wrong with %j', async (body, path) => {
    const { status, error } = await ask(body);
    expect(status).toBe(400);
    expect(error?.path ?? error?.expected).toBe(path);
    expect(error?.message).not.toBe('');
  });

  it('refuses a grid that is no map’s, other bodies and other methods', async () => {
    expect((await ask({ points, grid: '+proj=moll +lon_0=0' })).status).toBe(400);
    expect((await ask('x', 'text/plain')).status).toBe(415);
    expect((await ask(`"${'x'.repeat(300_000)}"`)).status).toBe(413);
    expect(route.GET().status).toBe(405);
    expect(route.OPTIONS().headers.get('Allow')).toBe('POST, OPTIONS');
  });
});
