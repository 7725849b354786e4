'use client';
import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { RAY_DEGREES, type Panorama } from '@/core/practice/country/panorama';
import { bearingDigits, normalised, signedDifference } from '@/core/units/angle';
import type { Degrees } from '@/core/units/units';
import { PressButton } from '@/ui/controls/press-button';
import { WORDS } from '../words';
import styles from './panorama.module.css';
import { nth } from '@/core/units/nth';

/** What one sees without turning the head. */
const FIELD_DEGREES = 60;
const WIDTH = 900;
const HEIGHT = 340;
/** Where the level is on the picture. */
const LEVEL = 235;
const PIXELS = WIDTH / FIELD_DEGREES;

interface Props {
  panorama: Panorama;
  /** Azimuth of the middle, from grid north. */
  facing: Degrees;
  /** How far magnetic north lies east of grid north: the ruler below is magnetic. */
  angleEast: Degrees;
  onTurn: (facing: Degrees) => void;
}

const heightOf = (elevation: Degrees) => LEVEL - elevation * PIXELS;

/** The rays in view of who faces an azimuth, with where each is on the picture, left to right. */
function raysInView(facing: Degrees) {
  const half = FIELD_DEGREES / 2 + 1;
  const rays: { at: number; x: number }[] = [];
  const count = 360 / RAY_DEGREES;
  const first = Math.floor((facing - half) / RAY_DEGREES);
  for (let ray = first; ray * RAY_DEGREES <= facing + half; ray++) {
    const x = (ray * RAY_DEGREES - facing) * PIXELS + WIDTH / 2;
    rays.push({ at: ((ray % count) + count) % count, x });
  }
  return rays;
}

type Rays = ReturnType<typeof raysInView>;

const pixel = (x: number, angle: Degrees) =>
  `${x.toFixed(1)} ${Math.min(HEIGHT + 20, heightOf(angle)).toFixed(1)}`;

/** The silhouette of a band, closed at the foot of the picture. */
function silhouette({ ridges, crowns }: Panorama, band: number, rays: Rays): string {
  const points = rays.flatMap(({ at, x }) => {
    const [angle, crown] = [nth(nth(ridges, band), at), nth(nth(crowns, band), at)];
    // A tree between two rays: its top, and the gap beside it.
    return crown === 0
      ? [pixel(x, angle)]
      : [pixel(x, angle + crown), pixel(x + (RAY_DEGREES * PIXELS) / 2, angle + crown / 3)];
  });
  const [left, right] = [nth(points, 0).split(' ')[0], points.at(-1)!.split(' ')[0]];
  return `M${left} ${HEIGHT + 20}L${points.join('L')}L${right} ${HEIGHT + 20}Z`;
}

/** The water of a band: each stretch of neighbouring rays, from far shore to near one. */
function waterOf({ waters }: Panorama, band: number, rays: Rays): string {
  const stretches: { far: string[]; near: string[] }[] = [];
  let isOn = false;
  for (const { at, x } of rays) {
    const shores = nth(waters, band)[at];
    if (shores && !isOn) stretches.push({ far: [], near: [] });
    isOn = Boolean(shores);
    if (!shores) continue;
    const half = (RAY_DEGREES * PIXELS) / 2;
    // As wide as its ray, so that water in one ray alone is seen too.
    for (const side of [x - half, x + half]) {
      stretches.at(-1)!.far.push(pixel(side, shores.farDegrees));
      stretches.at(-1)!.near.unshift(pixel(side, shores.nearDegrees));
    }
  }
  return stretches.map(({ far, near }) => `M${[...far, ...near].join('L')}Z`).join('');
}

/** What each band draws, the farthest first. */
function bandsInView(panorama: Panorama, facing: Degrees) {
  const rays = raysInView(facing);
  return panorama.ridges
    .map((_, band) => ({
      ridge: silhouette(panorama, band, rays),
      water: waterOf(panorama, band, rays),
    }))
    .reverse();
}

/** Nearer ground is darker: air makes far ridges pale. */
const tone = (near: number) =>
  `color-mix(in srgb, var(--rest) ${Math.round(16 + 56 * near)}%, var(--field))`;

/** Turning by a drag of the picture, and by keys. */
function useTurning(facing: Degrees, onTurn: Props['onTurn']) {
  const dragged = useRef<{ x: number; facing: Degrees } | null>(null);
  const onPointerDown = (event: PointerEvent) => {
    dragged.current = { x: event.clientX, facing };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!dragged.current) return;
    const width = event.currentTarget.getBoundingClientRect().width;
    const turn = ((dragged.current.x - event.clientX) / width) * FIELD_DEGREES;
    onTurn(normalised(dragged.current.facing + turn));
  };
  const onPointerUp = () => (dragged.current = null);
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -30, PageUp: 30 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onTurn(normalised(Math.round(facing) + by * (event.shiftKey ? 10 : 1)));
  };
  return { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: onPointerUp, onKeyDown };
}

/** What is seen from a place, turned by drag, keys and buttons; a ruler of bearings below it. */
export function PanoramaView({ panorama, facing, angleEast, onTurn }: Props) {
  const bands = useMemo(() => bandsInView(panorama, facing), [panorama, facing]);
  const turning = useTurning(facing, onTurn);
  const magnetic = normalised(facing - angleEast);
  const inView = panorama.seen
    .map((each) => ({ ...each, aside: signedDifference(facing, each.azimuthDegrees) }))
    .filter(({ aside }) => Math.abs(aside) < FIELD_DEGREES / 2)
    .sort((one, other) => one.aside - other.aside);
  return (
    <div className={styles.holder}>
      <div
        className={styles.picture}
        role="application"
        tabIndex={0}
        aria-label={WORDS.panoramaKeys(
          bearingDigits(magnetic),
          inView.map(({ name, aside }) => WORDS.seenAt(name, Math.round(aside))),
        )}
        {...turning}
        data-testid="panorama"
      >
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT + 46}`} aria-hidden="true">
          <clipPath id="panorama-clip">
            <rect width={WIDTH} height={HEIGHT} />
          </clipPath>
          <rect width={WIDTH} height={HEIGHT} className={styles.sky} />
          <g clipPath="url(#panorama-clip)">
            {bands.map(({ ridge, water }, index) => (
              <g key={index}>
                <path
                  d={ridge}
                  className={styles.ridge}
                  style={{ fill: tone((index + 1) / bands.length) }}
                />
                {water && <path d={water} className={styles.water} data-testid="water" />}
              </g>
            ))}
            {inView.map((each) => (
              <Thing key={each.name} {...each} />
            ))}
          </g>
          <path d={`M${WIDTH / 2} 0V${HEIGHT}`} className={styles.sight} />
          <Ruler magnetic={magnetic} />
        </svg>
      </div>
      <Turns facing={facing} onTurn={onTurn} />
      <p className={styles.numbers} role="status" data-testid="facing">
        {WORDS.facing(bearingDigits(magnetic))}
      </p>
    </div>
  );
}

const Turns = ({ facing, onTurn }: Pick<Props, 'facing' | 'onTurn'>) => (
  <div className={styles.turns}>
    {[-30, -5, -1, 1, 5, 30].map((by) => (
      <PressButton
        key={by}
        aria-label={`${WORDS.body} ${WORDS.by(by)}`}
        onClick={() => onTurn(normalised(facing + by))}
      >
        {WORDS.by(by)}
      </PressButton>
    ))}
  </div>
);

interface ThingProps {
  name: string;
  kind: 'summit' | 'building';
  aside: Degrees;
  elevationDegrees: Degrees;
  widthDegrees: Degrees;
}

function Thing({ name, kind, aside, elevationDegrees, widthDegrees }: ThingProps) {
  const x = WIDTH / 2 + aside * PIXELS;
  const y = heightOf(elevationDegrees);
  const size = Math.max(7, widthDegrees * PIXELS);
  return (
    <g className={styles.thing}>
      {kind === 'building' && (
        <path
          d={
            `M${x - size / 2} ${y}v${-size * 0.6}l${size / 2} ` +
            `${-size * 0.4}l${size / 2} ${size * 0.4}v${size * 0.6}z`
          }
        />
      )}
      <line x1={x} x2={x} y1={y - (kind === 'building' ? size : 2)} y2={Math.max(34, y - 40)} />
      <text x={x} y={Math.max(28, y - 46)} textAnchor="middle">
        {name}
      </text>
    </g>
  );
}

/** Magnetic bearings along the foot of the picture. */
function Ruler({ magnetic }: { magnetic: Degrees }) {
  const ticks: { bearing: number; x: number }[] = [];
  const from = Math.ceil((magnetic - FIELD_DEGREES / 2) / 5) * 5;
  for (let at = from; at <= magnetic + FIELD_DEGREES / 2; at += 5) {
    ticks.push({ bearing: normalised(at), x: WIDTH / 2 + (at - magnetic) * PIXELS });
  }
  return (
    <g className={styles.ruler}>
      {ticks.map(({ bearing, x }) => (
        <g key={bearing}>
          <line x1={x} x2={x} y1={HEIGHT} y2={HEIGHT + (bearing % 10 === 0 ? 14 : 7)} />
          {bearing % 10 === 0 && (
            <text x={x} y={HEIGHT + 38} textAnchor="middle">
              {bearingDigits(bearing)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
