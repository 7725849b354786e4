import { way } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import type { PreviewLeg } from '@/core/navigation/preview';
import { northShown, type Solution } from '@/core/survey/solution';
import { NORTH_LETTERS } from '@/core/units/bearing';
import type { Obstacles, Segment } from '@/sketch/labels';
import { stretchesOf, type Layer } from '@/sketch/layer';
import { onScreen, type Size, type View } from '@/sketch/view';
import type { WayEnds } from '../way-home-strip';
import { bearingText, distanceText } from '@/ui/units/shown';
import styles from './sketch-pane.module.css';

/** On shorter lines there is no room for the plate. */
const LEAST_PLATE_PIXELS = 70;
const CHARACTER_PIXELS = 9.4;
const PLATE_HEIGHT = 30;

/** What the way home takes of the sheet: its line, and the plate with its bearing and distance. */
interface Plate extends Obstacles {
  readonly text: string;
}

/** The plate on the way home, or on the way between two stations; no box where it has no room. */
export function homePlate(
  solution: Solution,
  { lines }: Layer,
  view: View,
  ends: WayEnds | null,
  preview: PreviewLeg | null,
  size: Size,
): Plate {
  const { from, to } = ends ?? { from: solution.current, to: 0 };
  const straight = preview ? preview.home : way(solution, from, to);
  const { degrees, north } = shownBearing(straight.bearing, northShown(solution));
  const distance = distanceText(straight.distanceMetres);
  const text = `${bearingText(degrees)} ${NORTH_LETTERS[north]}  ${distance}`;
  const width = text.length * CHARACTER_PIXELS + 20;
  // The plate stays on the sheet, as long as the middle of its line is near it.
  const inset = width / 2 + 6;
  const drawn = lines
    .flatMap(stretchesOf)
    .map(({ from: a, to: b }): Segment => [onScreen(view, a), onScreen(view, b)]);
  const roomy = drawn.filter(([a, b]) => Math.hypot(b.x - a.x, b.y - a.y) > LEAST_PLATE_PIXELS);
  const boxes = roomy.map(([a, b]) => {
    const x = Math.min(size.width - inset, Math.max(inset, (a.x + b.x) / 2));
    const y = (a.y + b.y) / 2;
    const [half, high] = [width / 2, PLATE_HEIGHT / 2];
    return { left: x - half, right: x + half, top: y - high, bottom: y + high };
  });
  return { text, lines: drawn, boxes };
}

/** Its bearing and distance, on the line of the way home. */
export const HomePlate = ({ plate: { text, boxes } }: { plate: Plate }) =>
  boxes.map(({ left, right, top }) => (
    <g key={left} className={styles.plate}>
      <rect x={left} y={top} width={right - left} height={PLATE_HEIGHT} rx={PLATE_HEIGHT / 2} />
      <text
        x={(left + right) / 2}
        y={top + PLATE_HEIGHT / 2 + 5}
        textAnchor="middle"
        xmlSpace="preserve"
      >
        {text}
      </text>
    </g>
  ));
