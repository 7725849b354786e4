import BlockOutlined from '@ant-design/icons-svg/es/asn/BlockOutlined';
import UnorderedListOutlined from '@ant-design/icons-svg/es/asn/UnorderedListOutlined';
import { Radio } from 'antd';
import dynamic from 'next/dynamic';
import { useCallback, useState } from 'react';
import { beThere } from '@/core/edit/back-here';
import { visibleText } from '@/core/units/visible';
import { mapPictures } from '@/store/pictures/pictures';
import { browserDatabase } from '@/store/browser-database';
import { ToolButton } from '@/ui/controls/tool-button';
import { useLive } from '@/ui/use-live';
import { WayHomeStrip, type WayEnds } from '@/views/outing/way-home-strip';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { UndoRedo } from '@/views/shared/page/document-page';
import { backToLog, ViewPage } from '@/views/shared/page/view-page';
import { stepWords } from '@/views/shared/words/history-words';
import { viewUrl } from '@/views/views';
import type { MapContext } from './layers/context';
import { MapDrawing } from './map-drawing';
import { MapPane } from './map-pane';
import styles from './map.module.css';
import { OverMap } from './over-map';
import { LayersPanel } from './panels/layers-panel';
import { ToolPanel } from './panels/tool-panel';
import { ThingPanel } from './things/thing-panel';
import { modesOf, type Mode } from './tools';
import { upsOf } from './ups';
import { isPhone, useMapState, type MapProps, type MapState } from './use-map-state';
import { WORDS } from './words';

const MapTable = dynamic(() => import('./map-table').then((it) => it.MapTable), { ssr: false });

/** Where the page of the map leads back to. */
const backFrom = ({ solution }: MapContext) =>
  solution
    ? backToLog(solution.outing)
    : { href: viewUrl('map', undefined, { pictures: '' }), words: WORDS.pictures };

/** The one map: a picture or the ground, all layers on it, and the tools of a hand. */
export function MapPage(props: MapProps) {
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

interface PanesProps extends MapProps {
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
