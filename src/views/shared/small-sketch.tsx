import { useMemo } from 'react';
import type { Solution } from '@/core/solve';

const SIZE = 96;
const MARGIN = 10;

/** The shape of an outing, to scale within itself, north up. */
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
  const { east, north, from, legs } = solution.traverse;
  let [west, right, south, top] = [0, 0, 0, 0];
  for (let k = 1; k <= legs; k++) {
    west = Math.min(west, east[k]!);
    right = Math.max(right, east[k]!);
    south = Math.min(south, north[k]!);
    top = Math.max(top, north[k]!);
  }
  const scale = (SIZE - 2 * MARGIN) / Math.max(right - west, top - south, 1);
  const left = (SIZE - (right - west) * scale) / 2;
  const above = (SIZE - (top - south) * scale) / 2;
  const x = (point: number) => left + (east[point]! - west) * scale;
  const y = (point: number) => above + (top - north[point]!) * scale;
  let path = '';
  for (let k = 1; k <= legs; k++) {
    const origin = from[k]!;
    path += `M${x(origin).toFixed(1)} ${y(origin).toFixed(1)}L${x(k).toFixed(1)} ${y(k).toFixed(1)}`;
  }
  return { path, start: { x: x(0), y: y(0) } };
}
