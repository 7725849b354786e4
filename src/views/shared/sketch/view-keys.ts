import type { KeyboardEvent } from 'react';
import type { ViewControls } from './use-view';

export const ZOOM_STEP = 1.5;
const PAN_PIXELS = 60;

export type KeyActions = Readonly<Record<string, () => void>>;

/** What the keys of every sketch do: zoom, fit, and move. */
export const viewKeys = ({ zoomBy, panBy, fit }: ViewControls): KeyActions => ({
  '+': () => zoomBy(ZOOM_STEP),
  '=': () => zoomBy(ZOOM_STEP),
  '-': () => zoomBy(1 / ZOOM_STEP),
  '0': fit,
  ArrowLeft: () => panBy(PAN_PIXELS, 0),
  ArrowRight: () => panBy(-PAN_PIXELS, 0),
  ArrowUp: () => panBy(0, PAN_PIXELS),
  ArrowDown: () => panBy(0, -PAN_PIXELS),
});

/** Does what a key does, where it does anything. */
export const onKeyOf = (actions: KeyActions) => (event: KeyboardEvent) => {
  const act = event.ctrlKey || event.metaKey ? undefined : actions[event.key];
  if (!act) return;
  event.preventDefault();
  act();
};
