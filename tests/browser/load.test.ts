import { readFileSync } from 'node:fs';
import { describe, expect, inject, it } from 'vitest';

const demo = readFileSync('demo/rain-gauges.log.txt', 'utf8');
const url = inject('url');

interface Asked {
  readonly path: string;
  readonly type?: string;
  readonly body?: string;
  readonly method?: string;
  readonly status: number;
  /** What a right answer holds. */
  readonly holds: RegExp;
}

/** A request by its number: good ones of every kind, and bad ones between them. */
function asked(n: number): Asked {
  const metres = 100 + (n % 900);
  const log = `declination 19.1 W\n000 ${metres}m\n090 ${metres}m\n`;
  switch (n % 12) {
    case 0:
      return { path: '/api/home', body: demo, status: 200, holds: /"distanceMetres":309\.\d+/ };
    case 1:
      // A square's diagonal.
      return {
        path: '/api/home',
        body: log,
        status: 200,
        holds: new RegExp(`"distanceMetres":${(metres * Math.SQRT2).toFixed(4).slice(0, -2)}`),
      };
    case 2:
      return { path: '/api/convert?to=gpx', body: demo, status: 200, holds: /<trkseg>/ };
    case 3:
      return {
        path: '/api/convert?to=geojson',
        body: demo,
        status: 200,
        holds: /"FeatureCollection"/,
      };
    case 4:
      return { path: '/api/convert?to=csv', body: demo, status: 200, holds: /^outing,number/ };
    case 5:
      return { path: '/api/convert?to=kml', body: demo, status: 200, holds: /<Placemark>/ };
    case 6:
      return {
        path: '/api/declination?lat=54.2&lon=-63.5&date=2026-08-14',
        method: 'GET',
        status: 200,
        holds: /"east":-19\.\d/,
      };
    case 7:
      return { path: '/api/home', body: `${log}22O 65m\n`, status: 400, holds: /"line":4/ };
    case 8:
      return { path: '/api/convert?to=gpx', body: '000 100m\n', status: 400, holds: /no position/ };
    case 9:
      return {
        path: '/api/home',
        body: '{"format":',
        type: 'application/json',
        status: 400,
        holds: /not JSON/,
      };
    case 10:
      return { path: '/api/home', body: 'x', type: 'image/png', status: 415, holds: /"expected"/ };
    default:
      return {
        path: '/api/home',
        body: `${' '.repeat(2_000_001)}`,
        status: 413,
        holds: /larger than 2 MB|more than 2 MB/,
      };
  }
}

describe('the endpoints under load', () => {
  it('answer 2,400 requests, sixteen at a time, each as it should be', async () => {
    const wrong: string[] = [];
    let next = 0;
    let slowest = 0;
    const ask = async () => {
      while (next < 2400) {
        const n = next++;
        const { path, type = 'text/plain', body, method = 'POST', status, holds } = asked(n);
        const began = performance.now();
        const answer = await fetch(url + path, {
          method,
          body,
          headers: body === undefined ? {} : { 'content-type': type },
        });
        const text = await answer.text();
        slowest = Math.max(slowest, performance.now() - began);
        const shaped =
          status < 400 ||
          typeof (JSON.parse(text) as { error?: { message?: unknown } }).error?.message ===
            'string';
        if (
          answer.status !== status ||
          !holds.test(text) ||
          !shaped ||
          /\bat .*\.(js|ts):\d/.test(text)
        ) {
          wrong.push(`${n} ${path}: ${answer.status} ${text.slice(0, 120)}`);
        }
      }
    };
    await Promise.all(Array.from({ length: 16 }, ask));
    expect(wrong).toEqual([]);
    expect(slowest).toBeLessThan(5000);
  });
});
