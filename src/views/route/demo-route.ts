import { readRouteText } from '@/core/log-text/route/route-text';
import { routeLogs } from '@/store/documents/routes';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { viewUrl } from '@/views/views';
import { WORDS } from './words';

/** The demo route: over the plateau of Ormsay Lake, as it was planned from the demo map. */
const DEMO_ROUTE = { id: 'demo-plateau', file: 'plateau.route.txt' } as const;

/** Stores the demo route, unless it is there; resolves to why that failed, or null. */
export async function storeDemoRoute(): Promise<string | null> {
  try {
    const answer = await fetch(`/demo/${DEMO_ROUTE.file}`);
    const read = readRouteText(await answer.text(), DEMO_ROUTE.id);
    if (!read.ok) throw new Error('the demo route can be read');
    const outcome = await routeLogs.add(browserDatabase(), read.value, new Date());
    return outcome.kind === 'unsaved' ? STORE_MESSAGES[outcome.fault] : null;
  } catch {
    return WORDS.noDemo;
  }
}

/** Stores the demo route and opens it; resolves to why that failed, or null. */
export async function openDemoRoute(): Promise<string | null> {
  const fault = await storeDemoRoute();
  if (fault === null) void leaveFor(viewUrl('route', DEMO_ROUTE.id));
  return fault;
}
