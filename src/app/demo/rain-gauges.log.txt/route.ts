import { readFileSync } from 'node:fs';
import { join } from 'node:path';

export const dynamic = 'force-static';

/** The demo outing, as the plain text that a user could have typed. */
export const GET = () =>
  new Response(readFileSync(join(process.cwd(), 'demo', 'rain-gauges.log.txt'), 'utf8'), {
    headers: { 'Content-Type': 'text/plain; charset=utf-8' },
  });
