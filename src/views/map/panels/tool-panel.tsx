import type { Pixel, View } from '@/sketch/view';
import { northsOf, type MapContext } from '../layers/context';
import type { MapBase, PlacedLayer } from '../base';
import { pixelOnScreen } from '../picture-plane';
import { thingAt, thingOf, type Thing } from '../things/thing';
import type { InHand } from '../tools';
import type { MapActions } from '../use-map-actions';
import { WORDS } from '../words';
import { LinePanel } from './line-panel';
import { MeasurePanel } from './measure-panel';
import { PlacePanel } from './place-panel';
import { ProtractorPanel } from './protractor';
import { RoutePanel } from './route-panel';
import { TiePanel } from './tie-panel';
import layout from '@/views/shared/page/layout.module.css';

export interface ToolProps {
  base: MapBase;
  context: MapContext;
  placed: readonly PlacedLayer[];
  actions: MapActions;
  inHand: InHand;
  /** Changes when tiles of the picture have come. */
  arrived: number;
  /** How finely a place was tapped. */
  withinMetres: (pixel: Pixel) => number;
  set: (change: Partial<InHand>) => void;
  /** Takes away what was tapped and is kept; what was tapped while it was written stays. */
  forget: (kept: readonly Pixel[]) => void;
  view: View;
  onChoose: (key: string | null) => void;
}

/** What the tool in hand is for, and what it found. */
export function ToolPanel(props: ToolProps) {
  const { base, context, actions, inHand, set, forget } = props;
  const { mode, taps, plate } = inHand;
  const { tie, opened } = base;
  const [from, to] = taps;
  if (mode === 'look') return <p className={layout.soft}>{WORDS.lookHow}</p>;
  if (mode === 'tie') return opened && <Positioning {...props} />;
  if (!tie) return <p>{WORDS.needsTie}</p>;
  switch (mode) {
    case 'measure':
      return (
        <MeasurePanel
          tie={tie}
          taps={taps}
          norths={northsOf(context)}
          onAgain={() => forget(taps)}
        />
      );
    case 'point':
      return from ? (
        <ThisPlace {...props} at={from} />
      ) : (
        <p className={layout.soft}>{WORDS.pointHow}</p>
      );
    case 'route':
      return (
        <RoutePanel
          route={context.route}
          plan={context.plan}
          onName={(name) => actions.namePoint((context.route?.points.length ?? 0) - 1, name)}
          onUndo={() => void actions.undoPoint()}
          onStart={() => void actions.startRoute()}
        />
      );
    case 'line':
      return (
        <LinePanel
          tie={tie}
          taps={taps}
          onBack={() => set({ taps: taps.slice(0, -1) })}
          onDone={() => forget(taps)}
          onKeep={actions.keepPlace}
        />
      );
    case 'protractor':
      return (
        <ProtractorPanel
          state={plate}
          onState={(changed) => set({ plate: changed })}
          wanted={(from && to && tie.measured(from, to)?.degrees) ?? null}
        />
      );
  }
}

const ThisPlace = ({ at, set, ...props }: ToolProps & { at: Pixel }) => (
  <PlacePanel
    {...props}
    at={at}
    thing={thingUnder({ ...props, set }, at)}
    withinMetres={props.withinMetres(at)}
    onMeasure={() => set({ mode: 'measure' })}
    onClose={() => set({ mode: 'look', taps: [] })}
  />
);

/** What is at the place that was tapped. */
function thingUnder({ context, placed, view }: ToolProps, at: Pixel): Thing | null {
  const key = thingAt(placed, view, pixelOnScreen(view, at));
  return key === null ? null : thingOf(context, placed, key);
}

/** Where the picture is: the points that say so. */
function Positioning({ base: { opened }, context, actions, arrived, inHand, set }: ToolProps) {
  return (
    opened && (
      <TiePanel
        picture={opened.picture}
        tie={opened.tie}
        known={context.there.known}
        tiles={opened.tiles}
        arrived={arrived}
        at={inHand.taps.at(-1) ?? null}
        onAt={(pixel) => set({ taps: pixel ? [pixel] : [] })}
        change={actions.changePicture}
      />
    )
  );
}
