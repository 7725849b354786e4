import { useMemo } from 'react';
import type { Solution } from '@/core/survey/solution';
import { boundsOf, ORIGIN, type PlanePoint } from '@/core/units/plane';
import { sizeOf } from '@/sketch/scene';

const SIZE = 96;
const MARGIN = 10;

/** The shape of an outing, to scale, north up. */
export function SmallSketch({ solution }: { solution: Solution }) {
  const { path, start } = useMemo(() => drawn(solution), [solution]);
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} width={SIZE} height={SIZE} aria-hidden="true">
      <path
        d={path}
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <circle cx={start.x} cy={start.y} r="5" fill="var(--rowan)" />
    </svg>
  );
}

function drawn(solution: Solution) {
  const legs = Array.from(solution.legs);
  const bounds = boundsOf([ORIGIN, ...legs.map(({ end }) => end)]);
  const { width, height } = sizeOf(bounds);
  const scale = (SIZE - 2 * MARGIN) / Math.max(width, height, 1);
  const [left, top] = [(SIZE - width * scale) / 2, (SIZE - height * scale) / 2];
  const onPicture = ({ east, north }: PlanePoint) => ({
    x: left + (east - bounds.west) * scale,
    y: top + (bounds.north - north) * scale,
  });
  const pair = (point: PlanePoint) => {
    const { x, y } = onPicture(point);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  };
  const path = legs.map(({ start, end }) => `M${pair(start)}L${pair(end)}`).join('');
  return { path, start: onPicture(solution.places.at(0)) };
}
