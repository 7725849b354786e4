// Serves the built app: `node server/serve.mjs`, with PORT (3000). In front of the framework it
// sets the headers of every response, and ends requests that never end.
import { createServer } from 'node:http';
import next from 'next';
import { fileServer } from './files.mjs';
import { securityHeaders } from './headers.mjs';

const dev = process.argv.includes('--dev');
const port = Number(process.env.PORT ?? 3000);

/** A request has to be here whole by then; a head without a body sooner. */
const LONGEST_REQUEST_MS = Number(process.env.LONGEST_REQUEST_MS ?? 20_000);
const LONGEST_HEAD_MS = LONGEST_REQUEST_MS / 2;
/** How often connections are looked at for that. */
const CHECK_MS = 1000;

const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);

/** False for a path with a percent sign that stands for nothing. */
function isAddress(url) {
  try {
    decodeURIComponent(url.split('?', 1)[0]);
    return true;
  } catch {
    return false;
  }
}

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
    const isHere = isAddress(request.url);
    if (isHere && serveFile?.(request, response)) return;
    for (const [name, value] of headers) response.setHeader(name, value);
    if (!isHere) {
      response.statusCode = 400;
      response.setHeader('Content-Type', 'application/json');
      return response.end(JSON.stringify({ error: { message: 'This address can’t be read.' } }));
    }
    // A method that nothing here knows is answered like one that nothing here has.
    if (!METHODS.has(request.method)) request.method = 'DELETE';
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
  socket.end(`HTTP/1.1 ${status}\r\n${lines}\r\n\r\n${body}`);
});

server.listen(port, () => {
  // The build’s own scripts say where it is served.
  if (dev) console.warn(`Cairn Back: http://localhost:${port}`);
});
