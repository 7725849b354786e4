import { areaSchema, type Area } from '../../core/model/area';
import { DocumentLogs } from './document-log';
import type { DocumentState } from './change';

/** The areas of this device. */
export const areaLogs = new DocumentLogs<Area>('area', ({ areas }) => areas, areaSchema);
export type AreaState = DocumentState<Area>;
