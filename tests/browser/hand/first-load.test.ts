import { describe, expect, it } from 'vitest';
import { viewUrl, type ViewId } from '@/views/views';
import { PHONE, sharedVisitor, type Visitor } from '../../support/browser/visitor';

/** Scripts of a first visit to a page, packed as they come over the wire, in kilobytes. */
async function firstLoad({ context, url }: Visitor, view: ViewId, id: string): Promise<number> {
  const page = await context.newPage();
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  await session.send('Network.setBypassServiceWorker', { bypass: true });
  /** What came before the contents of each script: its headers. */
  const before = new Map<string, number>();
  let bytes = 0;
  session.on('Network.responseReceived', ({ requestId, response }) => {
    const isScript = /^\/_next\/.*\.js$/.test(new URL(response.url).pathname);
    if (isScript) before.set(requestId, response.encodedDataLength);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    bytes += encodedDataLength - (before.get(requestId) ?? encodedDataLength);
  });
  await page.goto(url + viewUrl(view, id), { waitUntil: 'networkidle0' });
  await page.close();
  return bytes / 1000;
}

// Of each, some 120 kB are the framework’s own.
const MOST: readonly (readonly [ViewId, number])[] = [
  ['outings', 260],
  ['outing', 330],
  ['home-now', 200],
];

describe('the scripts of a first visit', () => {
  const shared = sharedVisitor(PHONE);

  it('stay within their budgets', async () => {
    const { visitor } = shared;
    const id = await visitor.open([
      'date 2026-08-14 09:40',
      'start Dock at 54.2 -63.5',
      'declination 19.1 W',
      '048 200m',
    ]);
    for (const [view, most] of MOST) {
      const kilobytes = await firstLoad(visitor, view, id);
      expect(kilobytes, view).toBeGreaterThan(150);
      expect(kilobytes, view).toBeLessThan(most);
    }
  });
});
