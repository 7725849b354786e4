import sirv from 'sirv';
import { fileHeaders } from './headers.mjs';

/** Where the build's scripts, styles and fonts are, on the disk and in addresses. */
const FOLDER = '.next/static';
const PATH = '/_next/static';
const ONE_YEAR = 31_536_000;

/**
 * Serves the files of the build as it packed them (scripts/build/pack-static.mjs). They never change
 * under their names. Gives false for a request of anything else.
 */
export function fileServer() {
  const serve = sirv(FOLDER, {
    brotli: true,
    gzip: true,
    immutable: true,
    maxAge: ONE_YEAR,
    setHeaders(response) {
      for (const [name, value] of Object.entries(fileHeaders)) response.setHeader(name, value);
    },
  });
  return (request, response) => {
    const { url, method } = request;
    if (!url.startsWith(`${PATH}/`) || (method !== 'GET' && method !== 'HEAD')) return false;
    let isServed = true;
    request.url = url.slice(PATH.length);
    serve(request, response, () => {
      isServed = false;
      request.url = url;
    });
    return isServed;
  };
}
