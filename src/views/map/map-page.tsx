import BlockOutlined from '@ant-design/icons-svg/es/asn/BlockOutlined';
import UnorderedListOutlined from '@ant-design/icons-svg/es/asn/UnorderedListOutlined';
import { Radio } from 'antd';
import dynamic from 'next/dynamic';
import { useCallback, useMemo, useState } from 'react';
import { beThere } from '@/core/edit/back-here';
import { roundedPosition } from '@/core/readings/position';
import { visibleText } from '@/core/units/visible';
import type { Pixel, Size, View } from '@/sketch/view';
import { mapPictures } from '@/store/pictures/pictures';
import { browserDatabase } from '@/store/browser-database';
import { ToolButton } from '@/ui/controls/tool-button';
import { useLive } from '@/ui/use-live';
import { WayHomeStrip, type WayEnds } from '@/views/outing/way-home-strip';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { UndoRedo } from '@/views/shared/page/document-page';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { groundOfView, useGround } from '@/views/shared/sketch/ground';
import { useSurface } from '@/views/shared/sketch/surface';
import { stepWords } from '@/views/shared/words/history-words';
import { viewUrl } from '@/views/views';
import { groundBase, groundOf, pictureBase, placedLayers } from './base';
import type { MapBase, OpenedPicture, PlacedLayer } from './base';
import { shownLayers } from './layers';
import type { MapContext } from './layers/context';
import type { MapChoices } from './map-choices';
import { insetsOf, type PaneHeight } from './insets';
import { MapDrawing, toFitOf } from './map-drawing';
import { MapPane } from './map-pane';
import styles from './map.module.css';
import { OverMap } from './over-map';
import { LayersPanel } from './panels/layers-panel';
import { PLATE_AT_FIRST } from './panels/protractor';
import { ToolPanel } from './panels/tool-panel';
import { groundOfPicture, pixelOnScreen, planeOf } from './picture-plane';
import { legKey, thingAt, thingOf } from './things/thing';
import { ThingPanel } from './things/thing-panel';
import type { Placing } from './things/thing-props';
import { afterTap, modesOf, type InHand, type Mode } from './tools';
import { upsOf } from './ups';
import { useMapActions, type MapActions } from './use-map-actions';
import { WORDS } from './words';

const MapTable = dynamic(() => import('./map-table').then((it) => it.MapTable), { ssr: false });

interface Props {
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
function useInHand({ opened, forRoute, firstLeg }: Props) {
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
const isPhone = () => matchMedia('(max-width: 860px)').matches;

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
function useMapState(props: Props, hasLayers: boolean) {
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
type MapState = ReturnType<typeof useMapState>;

/** Where the page of the map leads back to. */
const backFrom = ({ solution }: MapContext) =>
  solution
    ? backToLog(solution.outing)
    : { href: viewUrl('map', undefined, { pictures: '' }), words: WORDS.pictures };

/** The one map: a picture or the ground, all layers on it, and the tools of a hand. */
export function MapPage(props: Props) {
  const { context, open, opened } = props;
  const [hasLayers, setHasLayers] = useState(() => !isPhone());
  const state = useMapState(props, hasLayers);
  const { base, placed, inHand, actions } = state;
  const { solution } = context;
  const [isListed, setListed] = useState(false);
  const [ends, setEnds] = useState<WayEnds | null>(null);
  const panes = {
    ...props,
    state,
    onEnds: setEnds,
    hasLayers,
    onLayers: () => setHasLayers(!hasLayers),
    isListed,
    onListed: () => setListed(!isListed),
  };
  return (
    <ViewPage
      view="map"
      about={visibleText(solution?.outing.name ?? opened?.picture.name ?? '')}
      back={backFrom(context)}
      width="full"
      plain
      head={open && <LogSteps open={open} />}
    >
      {actions.fault && <p role="alert">{actions.fault}</p>}
      <div className={styles.room}>
        <Drawing {...panes} />
        <Tools state={state} />
        <Panes {...panes} />
      </div>
      {isListed && (
        <MapTable {...{ base, context, placed }} chosen={inHand.chosen} onChoose={state.choose} />
      )}
      {solution && open && (
        <WayHomeStrip
          solution={solution}
          compact
          ends={ends}
          preview={null}
          onChoose={() => setListed(true)}
          onStraightHome={() => setEnds(null)}
          onThere={() => void open.run(beThere)}
        />
      )}
    </ViewPage>
  );
}

/** Undo and redo of the outing in hand. */
const LogSteps = ({ open }: { open: OpenOuting }) => (
  <UndoRedo
    canUndo={(open.state?.undoable.length ?? 0) > 0}
    canRedo={(open.state?.redoable.length ?? 0) > 0}
    onStep={async (step) => outcomeMessage(await open[step]())}
    words={(step) => stepWords(step, open.state)}
  />
);

interface PanesProps extends Props {
  state: MapState;
  onEnds: (ends: WayEnds | null) => void;
  hasLayers: boolean;
  onLayers: () => void;
  isListed: boolean;
  onListed: () => void;
}

function Drawing({ context, choices, arrived, state, ...panes }: PanesProps) {
  const { surface, base, placed, ground, chosen, inHand, insets } = state;
  return (
    <MapDrawing
      {...{ surface, base, placed, context, choices, ground, chosen, arrived, insets }}
      ups={upsOf(base, context)}
      onTap={state.tap}
      onHold={state.hold}
      onEscape={() => state.choose(null)}
      tools={
        <>
          <ToolButton
            icon={BlockOutlined}
            label={WORDS.layers}
            pressed={panes.hasLayers}
            onClick={panes.onLayers}
          />
          <ToolButton
            icon={UnorderedListOutlined}
            label={WORDS.table.button}
            about={WORDS.table.about}
            pressed={panes.isListed}
            onClick={panes.onListed}
          />
        </>
      }
      over={<OverMap {...{ base, placed, inHand }} view={surface.view} onDragged={state.put} />}
    />
  );
}

/** The tools, one of which is in hand. */
const Tools = ({ state: { base, inHand, set } }: { state: MapState }) => (
  <Radio.Group
    className={styles.modes}
    optionType="button"
    aria-label={WORDS.tools}
    value={inHand.mode}
    options={modesOf(base).map((value) => ({ value, label: WORDS.modes[value] }))}
    onChange={({ target }) =>
      set({ mode: target.value as Mode, taps: [], chosen: null, placing: null })
    }
  />
);

/** The layers at one side; at the other what is chosen, or what the tool in hand found. */
function Panes(props: PanesProps) {
  const { context, open, arrived, choices, choose, show, state, hasLayers, onEnds } = props;
  const { base, placed, ground, inHand, set, actions, chosen, surface, forget } = state;
  const { height, setHeight } = state;
  const live = useLive(useCallback(() => mapPictures(browserDatabase()), []));
  const pictures = live && 'value' in live ? live.value : [];
  const asks = inHand.placing !== null;
  const shared = { base, context, actions, onChoose: state.choose };
  return (
    <>
      {hasLayers && (
        <MapPane side="left" label={WORDS.layers} height={height} onHeight={setHeight}>
          <LayersPanel {...{ base, context, choices, choose, show, ground, pictures }} />
        </MapPane>
      )}
      {(chosen !== null || inHand.mode !== 'look' || asks) && (
        <MapPane side="right" label={WORDS.tools} height={height} onHeight={setHeight}>
          {asks && <p role="status">{WORDS.tapPlace}</p>}
          {chosen ? (
            <ThingPanel
              thing={chosen}
              open={open}
              {...shared}
              onPlacing={(placing) => set({ placing })}
              onEnds={onEnds}
            />
          ) : (
            <ToolPanel
              {...{ ...shared, placed, inHand, arrived, set, forget }}
              withinMetres={state.withinMetres}
              view={surface.view}
            />
          )}
        </MapPane>
      )}
    </>
  );
}
