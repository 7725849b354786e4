import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_LOGS } from '@/views/outings/demo-logs';

export const dynamic = 'force-static';
export const dynamicParams = false;
export const generateStaticParams = () => DEMO_LOGS.map(({ file }) => ({ file }));

/** A demo outing, as the plain text that a user could have typed. */
export async function GET(_request: Request, { params }: { params: Promise<{ file: string }> }) {
  const { file } = await params;
  const text = readFileSync(join(process.cwd(), 'demo', file), 'utf8');
  return new Response(text, { headers: { 'Content-Type': 'text/plain; charset=utf-8' } });
}
