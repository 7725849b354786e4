import { BUILD } from '@/ui/version/build';
import { onlyMethod } from '../answering/refusal';

export const dynamic = 'force-dynamic';

/**
 * GET /api/start: whether this server was started to show the demo outing to a new visitor, and
 * which build it serves.
 */
export const GET = () =>
  Response.json(
    { withDemo: process.env.CAIRN_DEMO === '1', build: BUILD },
    { headers: { 'Cache-Control': 'no-store' } },
  );

const { refuse, options } = onlyMethod('GET');
export { refuse as POST, refuse as PUT, refuse as PATCH, refuse as DELETE, options as OPTIONS };
