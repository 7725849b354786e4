import { stationName, type Solution } from '@/core/solve';

const WIDTH = 400;
const HEIGHT = 300;
const MARGIN = 34;
const MOST_NAMES = 40;

/** The route in black on white, north up: for paper, where nothing can be zoomed. */
export function PlainSketch({ solution }: { solution: Solution }) {
  const { east, north, from, legs } = solution.traverse;
  let [west, right, south, top] = [0, 0, 0, 0];
  for (let k = 1; k <= legs; k++) {
    west = Math.min(west, east[k]!);
    right = Math.max(right, east[k]!);
    south = Math.min(south, north[k]!);
    top = Math.max(top, north[k]!);
  }
  const scale = Math.min(
    (WIDTH - 2 * MARGIN) / Math.max(right - west, 1),
    (HEIGHT - 2 * MARGIN) / Math.max(top - south, 1),
  );
  const x = (point: number) => WIDTH / 2 + (east[point]! - (west + right) / 2) * scale;
  const y = (point: number) => HEIGHT / 2 - (north[point]! - (south + top) / 2) * scale;
  const points = Array.from({ length: legs + 1 }, (_, k) => k);
  const named = points
    .filter(
      (k) =>
        k === 0 ||
        k === solution.current ||
        (solution.stationOfLeg[k] === k && stationName(solution, k) !== String(k)),
    )
    .slice(0, MOST_NAMES);
  const bar = 10 ** Math.floor(Math.log10(90 / scale));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label="Sketch of the route"
    >
      <g fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round">
        {points.slice(1).map((k) => (
          <line key={k} x1={x(from[k]!)} y1={y(from[k]!)} x2={x(k)} y2={y(k)} strokeWidth="1.5" />
        ))}
        <line
          x1={x(solution.current)}
          y1={y(solution.current)}
          x2={x(0)}
          y2={y(0)}
          strokeWidth="2"
          strokeDasharray="7 6"
        />
        <path
          d={`M14 ${HEIGHT - 12}h${(bar * scale).toFixed(1)}M14 ${HEIGHT - 16}v8M${(14 + bar * scale).toFixed(1)} ${HEIGHT - 16}v8`}
        />
        <path d="M18 46V16M12 24L18 14L24 24" />
      </g>
      <g fill="currentColor" fontSize="11" stroke="#ffffff" strokeWidth="3" paintOrder="stroke">
        {named.map((k) => (
          <g key={k}>
            <circle cx={x(k)} cy={y(k)} r={k === 0 ? 5 : 3} />
            <text x={x(k) + 7} y={y(k) + 4}>
              {stationName(solution, k)}
            </text>
          </g>
        ))}
        <text x="14" y={HEIGHT - 20}>{`${bar} m`}</text>
        <text x="28" y="24">
          {solution.working === 'true' ? 'true north' : 'needle'}
        </text>
      </g>
    </svg>
  );
}
