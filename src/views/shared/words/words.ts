import type { Metres } from '@/core/units/units';
import { uncertaintyText } from '@/ui/units/shown';

/** Words that several views use. */

export const SHARED_WORDS = {
  loadingLog: 'Opening the log…',
  missing: 'There is no such outing on this device.',
  untitled: 'Outing without a name',
  cancel: 'Cancel',
  save: 'Save',
  undo: 'Undo',
  redo: 'Redo',
  restore: 'Restore it',
  share: 'Share',
  zoomIn: 'Zoom in',
  zoomOut: 'Zoom out',
  fit: 'Fit',
  within: (metres: Metres, place: string) => `Within ${uncertaintyText(metres)} of ${place} (95 %)`,
} as const;

/** How far a person sees a station in open country until they say. Common practice, no source. */
export const USUAL_SIGHT_METRES = 25;
