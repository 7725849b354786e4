import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import * as fix from '@/app/api/fix/route';

interface Answer {
  readonly place: Record<string, number> | null;
  readonly ellipse: { semiMajor: number } | null;
  readonly bearings: readonly { to: string; true: number; residual: number; metres: number }[];
  readonly leastCut: number | null;
  readonly bias: { degrees: number; sigma: number } | null;
  readonly crossings: readonly { place: Record<string, number> }[];
  readonly warnings: readonly { code: string; message: string }[];
  readonly declination: { source: string; east: number | null; model: number | null };
  readonly error?: { message: string; path?: string };
}

async function ask(body: unknown, type = 'application/json') {
  const answer = await fix.POST(
    new Request('http://localhost/api/fix', {
      method: 'POST',
      headers: { 'content-type': type },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    }),
  );
  return { status: answer.status, ...((await answer.json()) as Answer) };
}

const square = [
  { name: 'Church', x: 0, y: 1000 },
  { name: 'Mast', x: 1000, y: 0 },
  { name: 'Tarn', x: -900, y: -1200 },
];

describe('POST /api/fix', () => {
  it('says which declination it went by, and warns of one that can’t be right there', async () => {
    const known = [
      { name: 'Hill', latitude: 54.21, longitude: -63.52 },
      { name: 'Hut', latitude: 54.205, longitude: -63.49 },
    ];
    const bearings = [
      { to: 'Hill', bearing: '321' },
      { to: 'Hut', bearing: '074' },
    ];
    const asked = { known, bearings, date: '2026-07-30' };
    const typed = await ask({ ...asked, declination: '12 E' });
    expect(typed.declination).toMatchObject({ source: 'typed', east: 12 });
    expect(typed.declination.model).toBeCloseTo(-19, 0);
    expect(typed.warnings.map(({ code }) => code)).toContain('declination-doubtful');
    const modelled = await ask({ ...asked, declination: 'model' });
    expect(modelled.declination.source).toBe('model');
    expect(modelled.declination.east).toBe(modelled.declination.model);
    expect(modelled.warnings.map(({ code }) => code)).not.toContain('declination-doubtful');
  });

  it('answers in the plane of its places', async () => {
    const bearings = [
      { to: 'church', bearing: '000' },
      { to: 'Mast', bearing: 'E' },
    ];
    const found = await ask({ known: square, bearings, declination: 'none' });
    expect(found.status).toBe(200);
    expect(found.place!.x).toBeCloseTo(0, 3);
    expect(found.place!.y).toBeCloseTo(0, 3);
    expect(found.leastCut).toBeCloseTo(90, 3);
    expect(found.bearings.map(({ to, metres }) => [to, Math.round(metres)])).toEqual([
      ['Church', 1000],
      ['Mast', 1000],
    ]);
    expect(found.bias).toBeNull();
    // A wind is so coarse that the place is open along the other line.
    expect(found.warnings.map(({ code }) => code)).toEqual(['no-bound']);
  });

  // Sums of the trade: 280 magnetic with 13° E is 293 true; 336 is 349; 315 is 328 (by hand some
  // write 324); 82 with 3° W is 79. Common practice, no source.
  it.each([
    ['280', '13 E', 293],
    ['336', '13 E', 349],
    ['315', '13 E', 328],
    ['82', '3 W', 79],
  ])('turns %s with declination %s to %i', async (bearing, declination, wanted) => {
    const from = (name: string, azimuth: number) => {
      const end = geodesic.Geodesic.WGS84.Direct(54.2, -63.5, azimuth, 3000);
      return { name, latitude: end.lat2!, longitude: end.lon2! };
    };
    const known = [from('A', wanted), from('B', wanted + 90)];
    const other = { to: 'B', bearing: `${(wanted + 90) % 360}T` };
    const found = await ask({ known, bearings: [{ to: 'A', bearing }, other], declination });
    expect(found.bearings[0]!.true).toBeCloseTo(wanted, 9);
  });

  it('uses the model of the day at the place, and says the place in every notation', async () => {
    const known = [
      { name: 'A', latitude: 54.25, longitude: -63.5 },
      { name: 'B', latitude: 54.2, longitude: -63.4 },
    ];
    const bearings = [
      { to: 'A', bearing: '019' },
      { to: 'B', bearing: '109' },
    ];
    const asked = { known, bearings, declination: 'model', date: '2026-08-14' };
    const found = await ask(asked);
    expect(Math.cos((found.bearings[0]!.true * Math.PI) / 180)).toBeGreaterThan(0.999);
    expect(found.place!.notations).toMatchObject({
      UTM: expect.stringMatching(/^20U \d{6} \d{7}$/),
    });
    expect((await ask({ ...asked, date: undefined })).error!.message).toMatch(/date/);
  });

  it('solves for the compass, and offers all crossings of a line', async () => {
    const off = (x: number, y: number) => ((Math.atan2(x, y) * 180) / Math.PI + 366) % 360;
    const bearings = square.map(({ name, x, y }) => ({ to: name, bearing: off(x, y).toFixed(3) }));
    const turned = await ask({ known: square, bearings, declination: 'none', solveBias: true });
    expect(turned.bias!.degrees).toBeCloseTo(6, 1);
    expect(Math.hypot(turned.place!.x!, turned.place!.y!)).toBeLessThan(2);

    const line = [
      [-500, -100],
      [500, -100],
      [500, -700],
      [-500, -700],
    ];
    const one = [{ to: 'Church', bearing: '000' }];
    const found = await ask({ known: square, bearings: one, declination: 'none', line });
    expect(found.crossings.map(({ place }) => Math.round(place.y!)).sort()).toEqual([-100, -700]);
    const none = await ask({ known: square, bearings: [{ to: 'Church', bearing: '180' }], line });
    expect(none.place).toBeNull();
    expect(none.warnings.map(({ code }) => code)).toEqual(['no-crossing']);
  });

  it('says what a fix lacks as a warning, and what can’t be read as an error', async () => {
    const flat = await ask({
      known: [square[0], { name: 'Hut', x: 60, y: 1400 }],
      bearings: [
        { to: 'Church', bearing: '000' },
        { to: 'Hut', bearing: '002' },
      ],
    });
    expect(flat).toMatchObject({ status: 200, place: null });
    expect(flat.warnings[0]!.code).toMatch(/cut-flat|behind/);

    const to = [{ to: 'Church', bearing: '082' }];
    for (const [body, path] of [
      [{ known: square, bearings: [{ to: 'Chapel', bearing: '082' }] }, 'bearings.0.to'],
      [{ known: square, bearings: [{ to: 'Church', bearing: '482' }] }, 'bearings.0.bearing'],
      [{ known: square, bearings: to, declination: '3' }, 'declination'],
      [{ known: square, bearings: [{ to: 'Church', bearing: '082T' }] }, 'bearings.0.bearing'],
      [
        {
          known: [{ name: 'A', latitude: 54, longitude: 5 }],
          bearings: [{ to: 'A', bearing: '1' }],
        },
        'declination',
      ],
      [{ known: [...square, { name: 'A', latitude: 54, longitude: 5 }], bearings: to }, 'known'],
      [{ known: [...square, { name: 'A', x: 90_000, y: 0 }], bearings: to }, 'known'],
      [{ known: square, bearings: to, date: '2026-02-31' }, 'date'],
      [{ bearings: to }, 'known'],
    ] as const) {
      const found = await ask(body);
      expect(found.status, JSON.stringify(body)).toBe(400);
      expect(found.error!.path, JSON.stringify(body)).toBe(path);
    }
    expect((await ask('{')).error!.message).toBe('The body is not JSON.');
    expect((await ask('known', 'text/plain')).status).toBe(415);
    expect((await ask(`"${'x'.repeat(300_000)}"`)).status).toBe(413);
  });

  it('tries a line that winds over many sights at its likeliest stretches', async () => {
    // By true bearings one is at the origin; the line passes there, and crosses each sight often.
    const known = Array.from({ length: 12 }, (_, i) => ({
      name: `M${i}`,
      x: 2000 * Math.sin(i / 2),
      y: 2000 * Math.cos(i / 2),
    }));
    const bearings = known.map(({ name }, i) => ({
      to: name,
      bearing: ((((i / 2) * 180) / Math.PI) % 360).toFixed(1),
    }));
    const line = Array.from({ length: 400 }, (_, i) => [i % 2 ? 900 : -900, 5 * (i - 200) + 2]);
    const found = await ask({ known, bearings, line });
    expect(found.status).toBe(200);
    expect(found.crossings.length).toBeLessThanOrEqual(30);
    const [best] = found.crossings;
    expect(Math.hypot(best!.place.x!, best!.place.y!)).toBeLessThan(5);
  });
});
