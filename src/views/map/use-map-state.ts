import { useCallback, useMemo, useState } from 'react';
import { roundedPosition } from '@/core/readings/position';
import type { Pixel, Size, View } from '@/sketch/view';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { groundOfView, useGround } from '@/views/shared/sketch/ground';
import { useSurface } from '@/views/shared/sketch/surface';
import { groundBase, groundOf, pictureBase, placedLayers } from './base';
import type { MapBase, OpenedPicture, PlacedLayer } from './base';
import { shownLayers } from './layers';
import type { MapContext } from './layers/context';
import type { MapChoices } from './map-choices';
import { insetsOf, type PaneHeight } from './insets';
import { toFitOf } from './map-drawing';
import { PLATE_AT_FIRST } from './panels/protractor';
import { groundOfPicture, pixelOnScreen, planeOf } from './picture-plane';
import { legKey, thingAt, thingOf } from './things/thing';
import type { Placing } from './things/thing-props';
import { afterTap, type InHand, type Mode } from './tools';
import { useMapActions, type MapActions } from './use-map-actions';

export interface MapProps {
  context: MapContext;
  /** The outing in hand; null for none. */
  open: OpenOuting | null;
  /** The picture that lies below; null for none. */
  opened: OpenedPicture | null;
  /** Changes when tiles of the picture have come. */
  arrived: number;
  choices: MapChoices;
  choose: (change: Partial<MapChoices>) => unknown;
  show: (layer: string, isShown: boolean) => unknown;
  /** True where the map was opened to draw a route. */
  forRoute: boolean;
  /** The leg of the log that is chosen at first; null for none. */
  firstLeg: string | null;
}

/** The tool that a map begins with: a picture without a position is positioned first. */
function firstMode(opened: OpenedPicture | null, forRoute: boolean): Mode {
  if (opened && !opened.tie.ok) return 'tie';
  return forRoute ? 'route' : 'look';
}

/** What the hand holds, and what changes it. */
function useInHand({ opened, forRoute, firstLeg }: MapProps) {
  const [inHand, setInHand] = useState<InHand>({
    mode: firstMode(opened, forRoute),
    taps: [],
    plate: PLATE_AT_FIRST,
    chosen: firstLeg === null ? null : legKey(firstLeg),
    placing: null,
  });
  const set = useCallback(
    (change: Partial<InHand>) => setInHand((before) => ({ ...before, ...change })),
    [],
  );
  const forget = useCallback(
    (kept: readonly Pixel[]) =>
      setInHand((before) => ({
        ...before,
        taps: before.taps.filter((tap) => !kept.includes(tap)),
      })),
    [],
  );
  const tapped = (pixel: Pixel) => setInHand((before) => afterTap(before, pixel));
  return { inHand, set, forget, tapped };
}

/** True where panes are sheets from below. */
export const isPhone = () => matchMedia('(max-width: 860px)').matches;

/** What the layers lie on, and where they lie on it. */
function usePlaced(context: MapContext, opened: OpenedPicture | null, off: readonly string[]) {
  // Where the ground is doesn't change with what lies on it: what is drawn there stays drawn.
  const ground = JSON.stringify(groundOf(context));
  const base = useMemo(
    () => (opened ? pictureBase(opened) : groundBase(JSON.parse(ground))),
    [opened, ground],
  );
  const shown = useMemo(() => shownLayers(context, off), [context, off]);
  const placed = useMemo(() => placedLayers(base, shown), [base, shown]);
  return { base, placed };
}

/** What taps of the tool in hand do. */
function useTaps(
  { inHand, set, forget, tapped }: ReturnType<typeof useInHand>,
  context: MapContext,
  base: MapBase,
  placed: readonly PlacedLayer[],
  view: View,
  actions: MapActions,
) {
  const withinMetres = (pixel: Pixel) =>
    Math.max(1, Math.round(2 * (base.tie?.finenessMetres(pixel, 1 / view.k) ?? 1)));
  /** What a place of the map is as a point of a route; null where it is nowhere. */
  const pointAt = (pixel: Pixel) => {
    const position = base.tie?.positionOf(pixel);
    return position
      ? { position: roundedPosition(position), withinMetres: withinMetres(pixel) }
      : null;
  };
  /** The same where something is that has a name: there, and called that. */
  const namedPointAt = (pixel: Pixel) => {
    const key = thingAt(placed, view, pixelOnScreen(view, pixel));
    const thing = key === null ? null : thingOf(context, placed, key);
    if (!thing || thing.mark === null || thing.mark === 'you') return pointAt(pixel);
    const point = pointAt(thing.at);
    return point && { ...point, name: thing.name };
  };
  const put = async (placing: Placing, pixel: Pixel) => {
    const point = pointAt(pixel);
    if (!point) return;
    if (placing.does === 'move') await actions.movePoint(placing.point, point);
    else await actions.insertPoint(placing.after, point);
  };
  const tap = (pixel: Pixel) => {
    const { mode, placing } = inHand;
    if (placing) {
      set({ placing: null });
      void put(placing, pixel);
    } else if (mode === 'look') {
      set({ chosen: thingAt(placed, view, pixelOnScreen(view, pixel)) });
    } else {
      tapped(pixel);
      const point = mode === 'route' ? namedPointAt(pixel) : null;
      // The ring stays until the point itself is drawn.
      if (point) void actions.addPoint(point).then(() => forget([pixel]));
    }
  };
  return { withinMetres, put, tap };
}

/** Everything that a map is worked with. */
export function useMapState(props: MapProps, hasLayers: boolean) {
  const { context, opened, choices, choose: chooseLayers } = props;
  const { base, placed } = usePlaced(context, opened, choices.off);
  const hand = useInHand(props);
  const { inHand, set } = hand;
  const [height, setHeight] = useState<PaneHeight>('half');
  // What is chosen later is moved into sight alone: the map doesn't jump under the hand.
  const hasTool = inHand.mode !== 'look' || (props.firstLeg !== null && inHand.chosen !== null);
  const insetsIn = useCallback(
    (all: Size) => insetsOf({ isPhone: isPhone(), hasLayers, hasPane: hasTool, height }, all),
    [hasLayers, hasTool, height],
  );
  const toFit = useMemo(() => toFitOf(base, placed, insetsIn), [base, placed, insetsIn]);
  const surface = useSurface(toFit);
  const { view, size, show } = surface;
  const insets = useMemo(() => insetsIn(size), [insetsIn, size]);
  const ground = useGround(
    base.opened
      ? groundOfPicture(base.tie, base.origin, view, size)
      : groundOfView(base.origin, view, size),
  );
  const actions = useMapActions(context, opened?.picture ?? null, chooseLayers);
  const taps = useTaps(hand, context, base, placed, view, actions);
  const chosen = inHand.chosen === null ? null : thingOf(context, placed, inHand.chosen);
  /** Chooses a thing by its key, and shows it; null for nothing. */
  const choose = (key: string | null) => {
    set({ mode: 'look', taps: [], chosen: key, placing: null });
    const thing = key === null ? null : thingOf(context, placed, key);
    if (!thing) return;
    const over = { isPhone: isPhone(), hasLayers: hasLayers && !isPhone(), hasPane: true, height };
    show(planeOf(thing.at), insetsOf(over, size));
  };
  const hold = (pixel: Pixel) => set({ mode: 'point', taps: [pixel], chosen: null });
  const shown = { base, placed, insets, surface, ground, chosen, height, setHeight };
  return { ...shown, actions, choose, hold, ...hand, ...taps };
}
export type MapState = ReturnType<typeof useMapState>;
