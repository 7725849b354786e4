import { readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { connect } from 'node:net';
import { describe, expect, inject, it } from 'vitest';

const url = inject('url');

/** A request as it is written, which `fetch` would tidy up or refuse. */
function asked(method: string, path: string) {
  return new Promise<{ status: number; headers: Record<string, unknown>; body: string }>(
    (resolve, reject) => {
      const { hostname, port } = new URL(url);
      const sent = httpRequest({ hostname, port, method, path }, (answer) => {
        let body = '';
        answer.setEncoding('utf8');
        answer.on('data', (part: string) => (body += part));
        answer.on('end', () =>
          resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body }),
        );
      });
      sent.on('error', reject);
      sent.end();
    },
  );
}
const messageOf = (body: string) =>
  (JSON.parse(body) as { error: { message: string } }).error.message;

describe('every response', () => {
  it('has a strict policy and the usual headers', async () => {
    for (const path of [
      '/',
      '/outing?id=1',
      '/api/start',
      '/demo/rain-gauges.log.txt',
      '/serwist/sw.js',
      '/icons/cairn.svg',
      '/nowhere',
    ]) {
      const { headers } = await fetch(url + path);
      const policy = headers.get('content-security-policy') ?? '';
      expect(policy).toContain("default-src 'self'");
      expect(/script-src [^;]*/.exec(policy)![0]).not.toContain('unsafe');
      expect(headers.get('x-content-type-options')).toBe('nosniff');
      expect(headers.get('x-frame-options')).toBe('DENY');
      expect(headers.get('referrer-policy')).toBe('no-referrer');
      expect(headers.get('x-powered-by')).toBeNull();
    }
  });

  it('whose address stays from build to build is asked for again by every cache', async () => {
    for (const path of ['/', '/outing', '/serwist/sw.js', '/demo/rain-gauges.log.txt']) {
      const { headers } = await fetch(url + path);
      expect([path, headers.get('cache-control')]).toEqual([path, 'no-cache']);
    }
    const [script] = /\/_next\/static\/[^"]+\.js/.exec(await (await fetch(url)).text())!;
    expect((await fetch(url + script)).headers.get('cache-control')).toMatch(/immutable/);
  });

  it('that is a redirect stays on this server, whatever host was asked', async () => {
    for (const path of ['http://elsewhere/api/start/', '//elsewhere/api/start/', '/api/start/']) {
      const answer = await rawAnswer(
        `GET ${path} HTTP/1.1\r\nHost: elsewhere\r\nConnection: close\r\n\r\n`,
      );
      const [, to] = /^location: (.*)$/im.exec(answer) ?? [];
      expect([path, to?.trim()]).toEqual([path, expect.stringMatching(/^\/(?!\/)/)]);
    }
  });

  it('of the endpoints over HTTP is that of their handlers', async () => {
    const log = readFileSync('demo/rain-gauges.log.txt', 'utf8');
    const answer = await fetch(`${url}/api/home`, {
      method: 'POST',
      body: log,
      headers: { 'content-type': 'text/plain' },
    });
    expect(
      Math.round(((await answer.json()) as { home: { magnetic: number } }).home.magnetic),
    ).toBe(184);
    expect((await fetch(`${url}/api/home`)).status).toBe(405);
    const large = await fetch(`${url}/api/home`, {
      method: 'POST',
      body: 'x'.repeat(2_100_000),
      headers: { 'content-type': 'text/plain' },
    });
    expect(large.status).toBe(413);
  });

  it('has them for methods, addresses and requests that are none, in one shape', async () => {
    const rows: readonly [string, string, number, RegExp | null][] = [
      ['TRACE', '/api/home', 405, /Use POST here/],
      ['PROPFIND', '/api/declination', 405, /Use GET here/],
      ['DELETE', '/api/start', 405, /Use GET here/],
      ['GET', '/api/nowhere', 404, /no such endpoint/],
      ['GET', '/%zz', 400, /address can’t be read/],
      ['GET', '//a', 308, null],
      ['TRACE', '/', 405, null],
      ['OPTIONS', '/api/home', 204, null],
    ];
    for (const [method, path, status, message] of rows) {
      const answer = await asked(method, path);
      expect([method, path, answer.status]).toEqual([method, path, status]);
      expect(answer.headers['content-security-policy']).toContain("default-src 'self'");
      expect(answer.headers['x-content-type-options']).toBe('nosniff');
      expect(answer.headers['permissions-policy']).toContain('microphone=()');
      if (message) expect(messageOf(answer.body)).toMatch(message);
    }
    expect((await asked('OPTIONS', '/api/home')).headers.allow).toBe('POST, OPTIONS');
    const raw = await rawAnswer('NO SUCH THING\r\n\r\n');
    expect(raw).toMatch(/^HTTP\/1\.1 400 [^]*Content-Security-Policy: [^]*can be read\."\}\}$/);
  });

  it('of 300 bodies that never end delays no other', async () => {
    const { hostname, port } = new URL(url);
    const dripping = Array.from({ length: 300 }, () => {
      const socket = connect(Number(port), hostname);
      socket.on('error', () => undefined);
      const head = ['POST /api/home HTTP/1.1', 'Host: x', 'Content-Type: text/plain'];
      socket.write([...head, 'Content-Length: 1000000', '', '220 65m\n'].join('\r\n'));
      return socket;
    });
    const ends = dripping.map((socket) => {
      let text = '';
      socket.setEncoding('utf8').on('data', (part: string) => (text += part));
      return new Promise<string>((resolve) => socket.on('close', () => resolve(text)));
    });
    const answers: number[] = [];
    for (let n = 0; n < 20; n++) answers.push((await fetch(`${url}/api/start`)).status);
    expect(answers).toEqual(Array(20).fill(200));
    // None is waited for longer than the server's limit, and each is reported so.
    for (const text of await Promise.all(ends)) expect(text).toMatch(/^HTTP\/1\.1 408 /);
  });
});

/** What the server writes to bytes that are no request. */
function rawAnswer(text: string): Promise<string> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve) => {
    let answer = '';
    const socket = connect(Number(port), hostname, () => socket.write(text));
    socket.setEncoding('utf8').on('data', (part: string) => (answer += part));
    socket.on('close', () => resolve(answer));
  });
}
