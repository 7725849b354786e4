import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_LOGS } from '@/views/outings/demo-logs';

/** The text files of the demo. */
const TEXTS = [...DEMO_LOGS.map(({ file }) => file), 'plateau.route.txt', 'ormsay-lake.asc'];
const PICTURE = 'ormsay-lake.png';

export const dynamic = 'force-static';
export const dynamicParams = false;
export const generateStaticParams = () => [...TEXTS, PICTURE].map((file) => ({ file }));

/** The demo: outings and a route as the text that a user could have typed, a map, heights. */
export async function GET(_request: Request, { params }: { params: Promise<{ file: string }> }) {
  const { file } = await params;
  const type = file === PICTURE ? 'image/png' : 'text/plain; charset=utf-8';
  const bytes = readFileSync(join(process.cwd(), 'demo', file));
  return new Response(new Uint8Array(bytes), { headers: { 'Content-Type': type } });
}
