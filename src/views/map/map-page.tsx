import { Checkbox, Radio, Select } from 'antd';
import { useState } from 'react';
import type { MapPicture } from '@/core/model/map-picture';
import type { PictureTie } from '@/core/place/picture/tie';
import { roundedPosition } from '@/core/readings/position';
import { normalised } from '@/core/units/angle';
import { outingInList } from '@/views/shared/words/outing-about';
import { visibleText } from '@/core/units/visible';
import type { Pixel, Size, View } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import { ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { LayersOnPicture } from './layers';
import styles from './map.module.css';
import { LinePanel } from './panels/line-panel';
import { MeasurePanel } from './panels/measure-panel';
import { PLATE_AT_FIRST, PlateDrawn, ProtractorPanel, type PlateState } from './panels/protractor';
import { RoutePanel } from './panels/route-panel';
import { TiePanel } from './panels/tie-panel';
import { pixelOnScreen } from './picture-plane';
import { Sheet } from './sheet';
import type { Chosen } from './use-layers';
import { MODES, useMap, type Mode, type OpenMap } from './use-map';
import type { Tiles } from './use-tiles';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  picture: MapPicture;
  tiles: Tiles;
  arrived: number;
  first: Pick<Chosen, 'route' | 'outing'>;
}

/** What was tapped, in the mode that it was tapped in. */
interface Tapped {
  readonly mode: Mode;
  readonly taps: readonly Pixel[];
  readonly plate: PlateState;
}

/** The taps after another one: some modes want one place, some two, some any number. */
function afterTap({ mode, taps, plate }: Tapped, pixel: Pixel): Tapped {
  const keeps = { look: 0, tie: 0, route: 1000, measure: 1, protractor: 1, line: 1000 }[mode];
  const before = taps.length > keeps ? [] : taps.slice(0, keeps);
  return { mode, taps: mode === 'look' ? [] : [...before, pixel], plate };
}

/** What was tapped; a tap in the mode of routes adds its point at once. */
function useTapped(open: OpenMap, first: Props['first']) {
  const [tapped, setTapped] = useState<Tapped>({
    mode: open.tie.ok ? (first.route === null ? 'measure' : 'route') : 'tie',
    taps: [],
    plate: PLATE_AT_FIRST,
  });
  const set = (change: Partial<Tapped>) => setTapped((before) => ({ ...before, ...change }));
  const forget = (kept: readonly Pixel[]) =>
    setTapped((before) => ({
      ...before,
      taps: before.taps.filter((tap) => !kept.includes(tap)),
    }));
  const tap = (pixel: Pixel) => {
    setTapped((before) => afterTap(before, pixel));
    if (tapped.mode !== 'route' || !open.tie.ok) return;
    const tie = open.tie.value;
    const position = tie.positionOf(pixel);
    if (!position) return;
    const withinMetres = Math.max(1, Math.round(2 * tie.finenessMetres(pixel)));
    // The ring stays until the point itself is drawn.
    void open
      .addPoint({ position: roundedPosition(position), withinMetres })
      .then(() => forget([pixel]));
  };
  return { tapped, set, forget, tap };
}

/** A picture of a map, tied to the earth, and what is done on it. */
export function MapPage({ picture, tiles, arrived, first }: Props) {
  const open = useMap(picture, first);
  const { tapped, set, forget, tap } = useTapped(open, first);
  return (
    <ViewPage
      view="map"
      about={visibleText(picture.name)}
      back={{ href: viewUrl('map'), words: WORDS.pictures }}
      width="window"
      plain
    >
      {open.fault && <p role="alert">{open.fault}</p>}
      <div className={styles.columns}>
        <Sheet
          tiles={tiles}
          arrived={arrived}
          ups={open.ups}
          tie={open.tie.ok ? open.tie.value : null}
          onTap={tap}
          over={(view, size) => (
            <Over open={open} picture={picture} tapped={tapped} view={view} size={size} />
          )}
        />
        <div className={styles.rooms}>
          <Radio.Group
            className={styles.modes}
            optionType="button"
            aria-label={WORDS.sheet}
            value={tapped.mode}
            options={MODES.map((value) => ({ value, label: WORDS.modes[value] }))}
            onChange={({ target }) => set({ mode: target.value as Mode, taps: [] })}
          />
          <Panel
            open={open}
            picture={picture}
            tiles={tiles}
            arrived={arrived}
            tapped={tapped}
            set={set}
            forget={forget}
          />
          <LayerChoice open={open} />
          <PressButton href={viewUrl('fix', undefined, { tab: 'orient' })}>
            {WORDS.orient}
          </PressButton>
          <p className={layout.soft}>{WORDS.caution}</p>
        </div>
      </div>
    </ViewPage>
  );
}

interface OverProps {
  open: OpenMap;
  picture: MapPicture;
  tapped: Tapped;
  view: View;
  size: Size;
}

/** What is drawn over the picture: the layers, the points that tie it, and what was tapped. */
function Over({ open: { tie, layers }, picture, tapped, view, size }: OverProps) {
  const { mode, taps, plate } = tapped;
  const screen = taps.map((tap) => pixelOnScreen(view, tap));
  const [first] = screen;
  const suspect = tie.ok ? tie.value.suspect?.index : undefined;
  const up = tie.ok ? tie.value.upDegrees : 0;
  return (
    <>
      {tie.ok && <LayersOnPicture layers={layers.layers} tie={tie.value} view={view} size={size} />}
      {mode === 'tie' &&
        picture.controls.map(({ x, y, label }, index) => {
          const at = pixelOnScreen(view, { x, y });
          return (
            <g key={index} className={styles.control} data-suspect={suspect === index}>
              <path d={`M${at.x - 11} ${at.y}h22M${at.x} ${at.y - 11}v22`} />
              <text x={at.x + 8} y={at.y - 8}>
                {visibleText(label)}
              </text>
            </g>
          );
        })}
      {screen.length > 1 && (
        <polyline
          className={styles.tappedLine}
          points={screen.map(({ x, y }) => `${x},${y}`).join(' ')}
        />
      )}
      {screen.map(({ x, y }, index) => (
        <circle key={index} className={styles.tapped} cx={x} cy={y} r={7} />
      ))}
      {mode === 'protractor' && first && (
        <PlateDrawn state={plate} at={first} turn={normalised(plate.edge - up - view.turn)} />
      )}
    </>
  );
}

interface PanelProps extends Omit<Props, 'first'> {
  open: OpenMap;
  tapped: Tapped;
  set: (change: Partial<Tapped>) => void;
  /** Takes away what was tapped and is kept; what was tapped while it was written stays. */
  forget: (kept: readonly Pixel[]) => void;
}

/** What the mode is for. */
function Panel(props: PanelProps) {
  const { open, picture, tiles, arrived, tapped, set } = props;
  if (tapped.mode === 'tie') {
    return (
      <TiePanel
        picture={picture}
        tie={open.tie}
        known={open.layers.there?.known ?? []}
        tiles={tiles}
        arrived={arrived}
        at={tapped.taps.at(-1) ?? null}
        onAt={(pixel) => set({ taps: pixel ? [pixel] : [] })}
        change={open.change}
      />
    );
  }
  if (!open.tie.ok) return <p>{WORDS.needsTie}</p>;
  return <TiedPanel {...props} tie={open.tie.value} />;
}

/** What a picture that is tied is for. */
function TiedPanel({ open, tie, tapped, set, forget }: PanelProps & { tie: PictureTie }) {
  const { layers, keepPlace } = open;
  const { mode, taps, plate } = tapped;
  const [from, to] = taps;
  switch (mode) {
    case 'measure':
      return (
        <MeasurePanel
          tie={tie}
          taps={taps}
          gridMagnetic={open.gridMagnetic}
          onAgain={() => forget(taps)}
          onKeep={keepPlace}
        />
      );
    case 'route':
      return (
        <RoutePanel
          route={layers.route}
          plan={layers.plan}
          onName={open.nameLast}
          onUndo={() => void open.undoPoint()}
          onStart={() => void open.startRoute()}
        />
      );
    case 'line':
      return (
        <LinePanel
          tie={tie}
          taps={taps}
          onBack={() => set({ taps: taps.slice(0, -1) })}
          onDone={() => forget(taps)}
          onKeep={keepPlace}
        />
      );
    case 'protractor': {
      const measured = from && to ? tie.measured(from, to) : null;
      const wanted = measured?.gridDegrees ?? null;
      return (
        <ProtractorPanel
          state={plate}
          onState={(changed) => set({ plate: changed })}
          wanted={wanted}
        />
      );
    }
    default:
      return null;
  }
}

/** What is shown on the picture. */
function LayerChoice({ open: { chosen, choose, layers } }: { open: OpenMap }) {
  const { there } = layers;
  const named = (list: readonly { id: string; name: string }[] = []) =>
    list.map(({ id, name }) => ({ id, name: visibleText(name) || id }));
  const outings = (there?.outings ?? []).map((outing) => ({
    id: outing.id,
    name: outingInList(outing, outing.id),
  }));
  const rows = [
    ['route', WORDS.layerRoute, named(there?.routes)],
    ['outing', WORDS.layerOuting, outings],
    ['area', WORDS.layerArea, named(there?.areas)],
  ] as const;
  return (
    <section aria-labelledby="layers" className={styles.layerChoice}>
      <h2 id="layers">{WORDS.layers}</h2>
      {rows.map(([key, label, list]) => (
        <Select
          key={key}
          className={styles.wide}
          aria-label={label}
          placeholder={label}
          allowClear
          showSearch={{ optionFilterProp: 'label' }}
          value={chosen[key]}
          options={list.map(({ id, name }) => ({
            value: id,
            label: `${label}: ${name}`,
          }))}
          onChange={(id: string | null | undefined) => choose({ [key]: id ?? null })}
        />
      ))}
      <Checkbox checked={chosen.known} onChange={({ target }) => choose({ known: target.checked })}>
        {WORDS.known}
      </Checkbox>
    </section>
  );
}
