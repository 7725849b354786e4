import type { Size } from '@/sketch/view';
import type { Insets } from '@/views/shared/sketch/use-view';

/** How much of a phone's map a pane takes. */
export const PANE_HEIGHTS = ['low', 'half', 'whole'] as const;
export type PaneHeight = (typeof PANE_HEIGHTS)[number];

/** The widths and heights of what lies over the map, in pixels, as its style sheet has them. */
export const TOOLS = 62;
const LAYERS = 304;
const PANE = 364;
const LOW = 104;
const HALF = 0.52;

interface Over {
  /** Panes are sheets from below. */
  readonly isPhone: boolean;
  readonly hasLayers: boolean;
  /** The pane of a tool, or of what is chosen. */
  readonly hasPane: boolean;
  readonly height: PaneHeight;
}

/** What lies over the map. A sheet that covers all of it is left out: nothing would be seen. */
export function insetsOf({ isPhone, hasLayers, hasPane, height }: Over, size: Size): Insets {
  if (!isPhone) {
    const left = hasLayers ? LAYERS : 0;
    return { left, top: hasLayers ? 12 : TOOLS, right: hasPane ? PANE : 0, bottom: 0 };
  }
  const sheet = { low: LOW, half: HALF * size.height, whole: 0 }[height];
  return { left: 0, top: TOOLS, right: 0, bottom: hasPane || hasLayers ? sheet : 0 };
}
