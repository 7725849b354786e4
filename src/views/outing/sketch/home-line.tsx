import { way } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import type { PreviewLeg } from '@/core/navigation/preview';
import { northShown, type Solution } from '@/core/survey/solution';
import { threeDigits } from '@/core/units/angle';
import { NORTH_LETTERS } from '@/core/units/bearing';
import { onScreen, type Size, type View } from '@/sketch/view';
import { metresText } from '@/views/shared/words/words';
import type { WayEnds } from '../way-home-strip';
import styles from './sketch-pane.module.css';

/** Shorter ways are not drawn, and on shorter lines there is no room for the plate. */
const LEAST_METRES = 0.5;
const LEAST_PLATE_PIXELS = 70;
const CHARACTER_PIXELS = 9.4;
const PLATE_HEIGHT = 30;

interface Props {
  solution: Solution;
  view: View;
  ends: WayEnds | null;
  preview: PreviewLeg | null;
  size: Size;
}

/** The way home as a stitched line, with its bearing and distance on it. */
export function HomeLine({ solution, view, ends, preview, size }: Props) {
  const { places } = solution;
  const from = ends?.from ?? solution.current;
  const to = preview ? 0 : (ends?.to ?? 0);
  const straight = preview ? preview.home : way(solution, from, to);
  if (straight.distanceMetres < LEAST_METRES) return null;
  const a = onScreen(view, preview ? preview.end : places.at(from));
  const b = onScreen(view, places.at(to));
  const { degrees, north } = shownBearing(straight.bearing, northShown(solution));
  const distance = metresText(straight.distanceMetres);
  const text = `${threeDigits(degrees)} ${NORTH_LETTERS[north]}  ${distance}`;
  const width = text.length * CHARACTER_PIXELS + 20;
  // The plate stays on the sheet, as long as the middle of its line is near it.
  const inset = width / 2 + 6;
  const x = Math.min(size.width - inset, Math.max(inset, (a.x + b.x) / 2));
  const y = (a.y + b.y) / 2;
  return (
    <g className={preview ? styles.homePreview : styles.home} data-testid="home-line">
      <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} />
      {Math.hypot(b.x - a.x, b.y - a.y) > LEAST_PLATE_PIXELS && (
        <>
          <rect
            x={x - width / 2}
            y={y - PLATE_HEIGHT / 2}
            width={width}
            height={PLATE_HEIGHT}
            rx={PLATE_HEIGHT / 2}
          />
          <text x={x} y={y + 5} textAnchor="middle" xmlSpace="preserve">
            {text}
          </text>
        </>
      )}
    </g>
  );
}
