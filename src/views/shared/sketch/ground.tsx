'use client';
import AreaChartOutlined from '@ant-design/icons-svg/es/asn/AreaChartOutlined';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Position } from '@/core/readings/position';
import { boundsOf, type Bounds } from '@/core/units/plane';
import type { Layer } from '@/sketch/layer';
import type { LayerName } from '@/sketch/layers';
import { onPlane, type Size, type View } from '@/sketch/view';
import { browserDatabase } from '@/store/browser-database';
import { ToolButton } from '@/ui/controls/tool-button';
import { lengthUnit } from '@/ui/units/shown';
import { useLive } from '@/ui/use-live';
import { viewUrl } from '@/views/views';
import { useKept } from '@/views/shared/data/use-kept';
import type { GroundAnswer, GroundRequest, HeightsWorker } from '@/workers/heights/heights-run';
import type { WorkerCalls } from '@/workers/worker-call';
import styles from './ground.module.css';
import type { GroundProps } from './ground-drawn';
import { GROUND_WORDS as WORDS, LAYER_WORDS } from './ground-words';

/** The part of the earth that a drawing shows: in metres about a position, true north up. */
export interface GroundSeen {
  readonly origin: Position;
  readonly visible: Bounds;
  readonly metresPerPixel: number;
}

/** What a drawing in the plane about a position shows; null where it has none. */
export function groundOfView(origin: Position | null, view: View, size: Size): GroundSeen | null {
  if (!origin) return null;
  const corners = [0, size.width].flatMap((x) => [0, size.height].map((y) => ({ x, y })));
  const visible = boundsOf(corners.map((corner) => onPlane(view, corner)));
  return { origin, visible, metresPerPixel: 1 / view.k };
}

type Choices = Record<LayerName, boolean>;
const KEY = 'cairn-ground';
const NAMES = Object.keys(LAYER_WORDS) as LayerName[];
const remembered = (kept: Record<string, unknown>) =>
  Object.fromEntries(NAMES.map((name) => [name, kept[name] === true])) as Choices;

/** What is asked for is so much larger than what is seen, so that little moves ask nothing. */
const BEYOND = 0.5;
/** At another scale than this the ground is drawn for that. */
const SCALE_CHANGE = 1.7;
const STILL_MS = 150;

type GroundWorker = WorkerCalls<HeightsWorker>;

interface Drawn {
  readonly request: GroundRequest;
  readonly answer: GroundAnswer;
}

const grown = ({ west, south, east, north }: Bounds): Bounds => {
  const [x, y] = [BEYOND * (east - west), BEYOND * (north - south)];
  return { west: west - x, east: east + x, south: south - y, north: north + y };
};

const hasSize = ({ visible: { west, east } }: GroundSeen) => east > west;

/** True where what was drawn still does for what is seen. */
function stillDoes({ request }: Drawn, seen: GroundSeen): boolean {
  const { bounds, origin } = request;
  const scale = request.metresPerPixel / seen.metresPerPixel;
  return (
    origin.latitude === seen.origin.latitude &&
    origin.longitude === seen.origin.longitude &&
    scale < SCALE_CHANGE &&
    scale > 1 / SCALE_CHANGE &&
    bounds.west <= seen.visible.west &&
    bounds.east >= seen.visible.east &&
    bounds.south <= seen.visible.south &&
    bounds.north >= seen.visible.north
  );
}

/** Asks the worker for the ground that is seen, once it lies still; keeps the last until then. */
function useDrawnGround(seen: GroundSeen | null, layers: readonly LayerName[]): Drawn | null {
  const [drawn, setDrawn] = useState<{ sheets: string; found: Drawn } | null>(null);
  const worker = useRef<Promise<GroundWorker> | null>(null);
  useEffect(
    () => () => {
      void worker.current?.then((calls) => calls.stop());
      worker.current = null;
    },
    [],
  );
  // Drawn again when heights are added or removed, by this tab or another.
  const live = useLive(
    useCallback(
      async () => (await browserDatabase().heightSheets.toCollection().keys()).join(),
      [],
    ),
  );
  const sheets = live && 'value' in live ? live.value : null;
  const isIn = drawn && seen && drawn.sheets === sheets && stillDoes(drawn.found, seen);
  const wanted = JSON.stringify(
    !seen || isIn || layers.length === 0 || sheets === null || !hasSize(seen)
      ? null
      : {
          layers,
          origin: seen.origin,
          bounds: grown(seen.visible),
          metresPerPixel: seen.metresPerPixel,
          unitMetres: lengthUnit().metres,
        },
  );
  useEffect(() => {
    const request = JSON.parse(wanted) as GroundRequest | null;
    if (!request || sheets === null) return;
    let isOld = false;
    const timer = setTimeout(() => {
      // Its code is loaded when it is first asked: most logs are opened without.
      worker.current ??= import('@/workers/heights/heights').then((it) => it.groundWorker());
      void worker.current
        .then((calls) => calls.ask((remote) => remote.draw(request) as Promise<GroundAnswer>))
        .then(
          (answer) => !isOld && setDrawn({ sheets, found: { request, answer } }),
          // A worker that stopped is made again for the next part that is seen.
          () => (worker.current = null),
        );
    }, STILL_MS);
    return () => {
      isOld = true;
      clearTimeout(timer);
    };
  }, [wanted, sheets]);
  return layers.length > 0 ? (drawn?.found ?? null) : null;
}

/** The ground below a drawing: what is drawn of it, and the tools that choose it. */
export function useGround(seen: GroundSeen | null) {
  const [chosen, choose] = useKept(KEY, remembered);
  const layers = useMemo(() => NAMES.filter((name) => chosen[name]), [chosen]);
  const drawn = useDrawnGround(seen, layers);
  const found = drawn?.answer.kind === 'drawn' ? drawn.answer.layers : NO_LAYERS;
  return { chosen, choose, layers: found, drawn, hasPlace: seen !== null };
}
export type Ground = ReturnType<typeof useGround>;
const NO_LAYERS: readonly Layer[] = [];

/** The switches of the layers, for the bar of a surface. */
export function GroundTools({ ground: { chosen, choose, hasPlace } }: { ground: Ground }) {
  return (
    <>
      {NAMES.map((name) => {
        const { label, about, noPlace } = LAYER_WORDS[name];
        return (
          <ToolButton
            key={name}
            icon={AreaChartOutlined}
            label={label}
            about={hasPlace ? about : noPlace}
            pressed={hasPlace && chosen[name]}
            disabled={!hasPlace}
            onClick={() => void choose({ [name]: !chosen[name] })}
          />
        );
      })}
    </>
  );
}

/** Why nothing is drawn where a layer is chosen, and what to do about it. */
export function GroundNote({ ground: { drawn } }: { ground: Ground }) {
  const kind = drawn?.answer.kind ?? 'drawn';
  return (
    <p role="status" className={styles.note}>
      {kind !== 'drawn' && WORDS[kind]}{' '}
      {(kind === 'no-heights' || kind === 'none-here') && (
        <a href={`${viewUrl('files')}#heights`}>{WORDS.add}</a>
      )}
    </p>
  );
}

// Its code is loaded with the first contours.
const LayersOfGround = dynamic(() => import('./ground-drawn').then((it) => it.LayersOfGround), {
  ssr: false,
});

/** The lines of the ground, and the heights on them. */
export function GroundDrawn({
  ground: { layers },
  ...rest
}: Omit<GroundProps, 'layers'> & { ground: Ground }) {
  return layers.length > 0 && <LayersOfGround layers={layers} {...rest} />;
}
