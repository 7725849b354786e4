import { way } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import type { PreviewLeg } from '@/core/navigation/preview';
import { northShown, type Solution } from '@/core/survey/solution';
import { NORTH_LETTERS } from '@/core/units/bearing';
import type { Box } from '@/sketch/labels';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import type { WayEnds } from '../way-home-strip';
import { bearingText, distanceText } from '@/ui/units/shown';
import styles from './sketch-pane.module.css';

/** Shorter ways are not drawn, and on shorter lines there is no room for the plate. */
const LEAST_METRES = 0.5;
const LEAST_PLATE_PIXELS = 70;
const CHARACTER_PIXELS = 9.4;
const PLATE_HEIGHT = 30;

/** The way home as it is drawn. */
export interface HomeDrawing {
  readonly a: Pixel;
  readonly b: Pixel;
  readonly isPreview: boolean;
  /** Its bearing and distance, and where they are; null where there is no room. */
  readonly plate: { readonly text: string; readonly box: Box } | null;
}

/** Where the way home, or the way between two stations, is drawn; null for one too short. */
export function homeDrawing(
  solution: Solution,
  view: View,
  ends: WayEnds | null,
  preview: PreviewLeg | null,
  size: Size,
): HomeDrawing | null {
  const { places } = solution;
  const from = ends?.from ?? solution.current;
  const to = preview ? 0 : (ends?.to ?? 0);
  const straight = preview ? preview.home : way(solution, from, to);
  if (straight.distanceMetres < LEAST_METRES) return null;
  const a = onScreen(view, preview ? preview.end : places.at(from));
  const b = onScreen(view, places.at(to));
  const { degrees, north } = shownBearing(straight.bearing, northShown(solution));
  const distance = distanceText(straight.distanceMetres);
  const text = `${bearingText(degrees)} ${NORTH_LETTERS[north]}  ${distance}`;
  const width = text.length * CHARACTER_PIXELS + 20;
  // The plate stays on the sheet, as long as the middle of its line is near it.
  const inset = width / 2 + 6;
  const x = Math.min(size.width - inset, Math.max(inset, (a.x + b.x) / 2));
  const y = (a.y + b.y) / 2;
  const box = {
    left: x - width / 2,
    right: x + width / 2,
    top: y - PLATE_HEIGHT / 2,
    bottom: y + PLATE_HEIGHT / 2,
  };
  const hasRoom = Math.hypot(b.x - a.x, b.y - a.y) > LEAST_PLATE_PIXELS;
  return { a, b, isPreview: preview !== null, plate: hasRoom ? { text, box } : null };
}

/** The way home as a stitched line, with its bearing and distance on it. */
export const HomeLine = ({ drawing: { a, b, isPreview, plate } }: { drawing: HomeDrawing }) => (
  <g className={isPreview ? styles.homePreview : styles.home} data-testid="home-line">
    <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} />
    {plate && (
      <>
        <rect
          x={plate.box.left}
          y={plate.box.top}
          width={plate.box.right - plate.box.left}
          height={PLATE_HEIGHT}
          rx={PLATE_HEIGHT / 2}
        />
        <text
          x={(plate.box.left + plate.box.right) / 2}
          y={plate.box.top + PLATE_HEIGHT / 2 + 5}
          textAnchor="middle"
          xmlSpace="preserve"
        >
          {plate.text}
        </text>
      </>
    )}
  </g>
);
