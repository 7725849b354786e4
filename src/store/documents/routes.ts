import { routeSchema, type Route } from '../../core/model/route';
import { DocumentLogs } from './document-log';
import type { DocumentState } from './change';

/** The routes of this device. */
export const routeLogs = new DocumentLogs<Route>('route', ({ routes }) => routes, routeSchema);
export type RouteState = DocumentState<Route>;
