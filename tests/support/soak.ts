import { readFileSync } from 'node:fs';

const demo = readFileSync('demo/rain-gauges.log.txt', 'utf8');

interface Asked {
  readonly path: string;
  readonly type?: string;
  readonly body?: string;
  readonly method?: string;
  readonly status: number;
  /** What is in a right answer. */
  readonly holds: RegExp;
}

/** A request by its number: good ones of every kind, and bad ones between them. */
function asked(n: number): Asked {
  const metres = 100 + (n % 900);
  const log = `declination 19.1 W\n000 ${metres}m\n090 ${metres}m\n`;
  switch (n % 12) {
    case 0:
      return { path: '/api/home', body: demo, status: 200, holds: /"distanceMetres":306\.\d+/ };
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

/** The result of many requests. */
export interface SoakTally {
  readonly wrong: readonly string[];
  readonly seconds: number;
  /** Memory of the server after each tenth; not known where the system doesn't tell. */
  readonly megabytes: readonly number[];
  /** True unless the memory of the last tenths is well above that of the first ones. */
  readonly isFlat: boolean;
}

/** Resident memory of a process in megabytes; NaN where the system has no such file. */
function megabytesOf(pid: number): number {
  try {
    const status = readFileSync(`/proc/${pid}/status`, 'utf8');
    return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024;
  } catch {
    return NaN;
  }
}

/** Sixteen requests at a time; every answer is checked. */
export async function soak(url: string, pid: number, requests: number): Promise<SoakTally> {
  const wrong: string[] = [];
  const megabytes: number[] = [];
  const began = performance.now();
  let next = 0;
  const ask = async () => {
    while (next < requests) {
      const n = next++;
      if (n > 0 && n % Math.ceil(requests / 10) === 0) megabytes.push(megabytesOf(pid));
      const fault = await faultOf(url, n);
      if (fault) wrong.push(fault);
    }
  };
  await Promise.all(Array.from({ length: 16 }, ask));
  megabytes.push(megabytesOf(pid));
  const seconds = (performance.now() - began) / 1000;
  // The first tenths warm up: the engine compiles, and its heap grows to what it needs.
  const [early = NaN, late = NaN] = [megabytes[3], megabytes.at(-1)];
  return { wrong, seconds, megabytes, isFlat: !(late > early * MOST_GROWTH) };
}
const MOST_GROWTH = 1.3;

/** What is wrong with the answer to a request; null for a right one. */
export async function faultOf(url: string, n: number): Promise<string | null> {
  const { path, type = 'text/plain', body, method = 'POST', status, holds } = asked(n);
  const answer = await fetch(url + path, {
    method,
    body,
    headers: body === undefined ? {} : { 'content-type': type },
  });
  const text = await answer.text();
  const isRight =
    answer.status === status &&
    holds.test(text) &&
    (status < 400 || typeof messageOf(text) === 'string') &&
    !/\bat .*\.(js|ts):\d/.test(text);
  return isRight ? null : `${n} ${path}: ${answer.status} ${text.slice(0, 120)}`;
}

const messageOf = (text: string) =>
  (JSON.parse(text) as { error?: { message?: unknown } }).error?.message;
