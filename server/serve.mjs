// Serves the built app: `node server/serve.mjs`, with PORT (3000). In front of the framework it
// sets the headers of every response, ends requests that never end, and ends itself in order.
import './node-version.mjs';
import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import { resolve } from 'node:path';
import { listenFault, portWanted } from './port.mjs';

const dev = process.argv.includes('--dev');
const port = portWanted();

/** A request has to be here whole by then; a head without a body sooner. */
const LONGEST_REQUEST_MS = Number(process.env.LONGEST_REQUEST_MS ?? 20_000);
const LONGEST_HEAD_MS = LONGEST_REQUEST_MS / 2;
/** How often connections are looked at for that. */
const CHECK_MS = 1000;
/** Requests in hand may end by then, once the server is asked to end. */
const LONGEST_END_MS = Number(process.env.LONGEST_END_MS ?? 5000);
const CLOSE_MS = 100;
/** A connection that is kept alive may have sent its next request, which is not read yet. */
const IDLE_MS = 2000;

const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);

/** The path of an address, which some clients send with a host of their choice; null for none. */
function pathOf(url) {
  try {
    const path = url.startsWith('/') ? url : url.replace(/^[a-z][a-z0-9+.-]*:\/\/[^/?#]*/i, '');
    decodeURIComponent(path.split('?', 1)[0]);
    return path.startsWith('/') ? path : `/${path}`;
  } catch {
    return null;
  }
}

/**
 * Pages, the offline worker and the demo files keep their addresses from one build to the next, so
 * that no cache may hand them out unasked. A redirect stays on this server, whatever host was asked.
 */
function headerOfOurs(name, value) {
  const text = String(value);
  if (/^cache-control$/i.test(name) && text.includes('s-maxage')) return 'no-cache';
  if (/^location$/i.test(name)) return text.replace(/^([a-z][a-z0-9+.-]*:)?\/\/[^/]*(?=\/|$)/i, '');
  return value;
}

process.env.CAIRN_ENDPOINTS = resolve('.next/endpoints.mjs');
if (dev) {
  const { bundleEndpoints } = await import('../scripts/build/endpoints.mjs');
  await bundleEndpoints({ watch: true });
} else if (!existsSync(process.env.CAIRN_ENDPOINTS)) {
  console.error('Cairn Back is not built yet. Run `npm run build` first.');
  process.exit(1);
}
const { default: next } = await import('next');
const { fileServer } = await import('./files.mjs');
const { securityHeaders } = await import('./headers.mjs');

const app = next({ dev, port });
await app.prepare();
const handle = app.getRequestHandler();
const headers = Object.entries(securityHeaders(dev));

const serveFile = dev ? null : fileServer();

const server = createServer(
  {
    requestTimeout: LONGEST_REQUEST_MS,
    headersTimeout: LONGEST_HEAD_MS,
    connectionsCheckingInterval: CHECK_MS,
  },
  (request, response) => {
    const path = pathOf(request.url);
    if (path !== null) request.url = path;
    if (path !== null && serveFile?.(request, response)) return;
    const setHeader = response.setHeader.bind(response);
    response.setHeader = (name, value) => setHeader(name, headerOfOurs(name, value));
    for (const [name, value] of headers) response.setHeader(name, value);
    if (path === null) {
      response.statusCode = 400;
      response.setHeader('Content-Type', 'application/json');
      return response.end(JSON.stringify({ error: { message: 'This address can’t be read.' } }));
    }
    // A method that nothing here knows is answered like one that nothing here has.
    if (!METHODS.has(request.method)) request.method = 'DELETE';
    if (isEnding) response.setHeader('Connection', 'close');
    void handle(request, response);
  },
);

/** What can't be read as a request, or never became one, gets an error of the usual shape. */
server.on('clientError', (error, socket) => {
  if (!socket.writable || socket.bytesWritten > 0) return socket.destroy();
  const late = error.code === 'ERR_HTTP_REQUEST_TIMEOUT';
  const status = late ? '408 Request Timeout' : '400 Bad Request';
  const message = late
    ? `The request was not complete after ${LONGEST_REQUEST_MS / 1000} seconds.`
    : 'This is not a request that can be read.';
  const body = JSON.stringify({ error: { message } });
  const head = [
    ['Content-Type', 'application/json'],
    ['Content-Length', Buffer.byteLength(body)],
    ['Connection', 'close'],
    ...headers,
  ];
  const lines = head.map(([name, value]) => `${name}: ${value}`).join('\r\n');
  // A client that keeps its side open would keep the connection for ever.
  socket.end(`HTTP/1.1 ${status}\r\n${lines}\r\n\r\n${body}`, () => socket.destroy());
});

server.on('error', (error) => {
  console.error(listenFault(error, port));
  process.exit(1);
});

let isEnding = false;
/** Takes no more connections, lets requests in hand be answered, and ends. */
function end() {
  if (isEnding) return process.exit(0);
  isEnding = true;
  setTimeout(() => process.exit(0), LONGEST_END_MS).unref();
  // Connections that the system has taken already are not seen yet: closing at once cuts them.
  setTimeout(() => {
    server.close(() => process.exit(0));
    // One that is answered from now on becomes idle, and holds the server no longer.
    setInterval(() => server.closeIdleConnections(), IDLE_MS);
  }, CLOSE_MS);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, end);

server.listen(port, () => {
  const url = `http://localhost:${port}`;
  console.warn(`Cairn Back: ${url}`);
  // A script that started it must not take another server on this port for it.
  process.send?.({ url });
  process.channel?.unref();
});
