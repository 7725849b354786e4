import type { OpenOuting } from '@/views/shared/data/use-outing';
import type { WayEnds } from '@/views/outing/way-home-strip';
import type { MapBase } from '../base';
import type { MapContext } from '../layers/context';
import type { MapActions } from '../use-map-actions';
import type { Thing } from './thing';

/** What the next tap on the map does, where the panel of a thing asked for one. */
export type Placing =
  | { readonly does: 'move'; readonly point: number }
  | { readonly does: 'insert'; readonly after: number };

/** What the panel of a thing is given. */
export interface ThingProps {
  readonly thing: Thing;
  readonly base: MapBase;
  readonly context: MapContext;
  /** Null where no outing is in hand. */
  readonly open: OpenOuting | null;
  readonly actions: MapActions;
  /** Chooses another thing by its key, or nothing. */
  readonly onChoose: (key: string | null) => void;
  /** Asks for a tap; null asks for none. */
  readonly onPlacing: (placing: Placing | null) => void;
  /** Between which stations the way at the foot is. */
  readonly onEnds: (ends: WayEnds | null) => void;
}
