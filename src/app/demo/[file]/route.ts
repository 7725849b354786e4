import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_FILES } from '@/views/outings/demo-logs';

export const dynamic = 'force-static';
export const dynamicParams = false;
export const generateStaticParams = () => DEMO_FILES.map((file) => ({ file }));

/** The demo: outings and a route as the text that a user could have typed, a map, heights. */
export async function GET(_request: Request, { params }: { params: Promise<{ file: string }> }) {
  const { file } = await params;
  const type = file.endsWith('.png') ? 'image/png' : 'text/plain; charset=utf-8';
  const bytes = readFileSync(join(process.cwd(), 'demo', file));
  return new Response(new Uint8Array(bytes), { headers: { 'Content-Type': type } });
}
