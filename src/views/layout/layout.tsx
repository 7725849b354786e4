'use client';
import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { signedDifference, threeDigits } from '@/core/angle';
import { groundLayout, layoutScale } from '@/core/ground-layout';
import { way } from '@/core/home';
import { stationName, type Solution } from '@/core/solve';
import { PlainPage } from '@/views/shared/plain-page';
import { useNamedSolution } from '@/views/shared/use-solution';
import { ViewHeader } from '@/views/shared/view-header';
import { NumberField } from '@/views/shared/number-field';
import styles from './layout.module.css';

const UNITS = ['hand span', 'centimetre', 'inch', 'notebook edge', 'boot'] as const;
const SIZE = 300;
const MARGIN = 26;

/** The same answer with pegs and string, for when there is no screen. */
export function Layout() {
  const found = useNamedSolution();
  return 'solution' in found ? <LayoutPage solution={found.solution} /> : <PlainPage {...found} />;
}

function LayoutPage({ solution }: { solution: Solution }) {
  const [unit, setUnit] = useState<string>(UNITS[0]);
  const [space, setSpace] = useState(12);
  const [ownBearing, setOwnBearing] = useState<number | null>(null);
  const [ownUnits, setOwnUnits] = useState<number | null>(null);
  const scale = layoutScale(solution, space);
  const layout = useMemo(() => groundLayout(solution, scale), [solution, scale]);
  const home = way(solution, solution.current, 0);
  const computed = home.bearing.magnetic ?? 0;
  const { closing } = layout;
  return (
    <div className={styles.page}>
      <ViewHeader
        title="Pegs and string"
        about={solution.outing.name}
        back={{
          href: `/way?id=${encodeURIComponent(solution.outing.id)}`,
          words: 'Back to the way home',
        }}
      />
      <main className={styles.paper}>
        <p>
          Lay the route out on the ground with the same compass. Set a peg for the start; from each
          peg set the bearing, measure the units, set the next. Measure every mark from centre to
          centre, and take no iron pegs. The string from the last peg to the first is the way home.
        </p>
        <div className={styles.asks}>
          <div>
            <label htmlFor="unit">Unit</label>
            <Input
              id="unit"
              value={unit}
              list="units"
              onChange={(event) => setUnit(event.target.value)}
              autoComplete="off"
            />
            <datalist id="units">
              {UNITS.map((name) => (
                <option key={name} value={name} />
              ))}
            </datalist>
          </div>
          <NumberField
            id="space"
            label="Room on the ground, in units"
            value={space}
            least={2}
            most={1000}
            help={`One ${unit.trim() || 'unit'} is ${scale} m`}
            onChange={setSpace}
          />
        </div>
        <div className={styles.columns}>
          <table className={styles.table} data-testid="pegs">
            <thead>
              <tr>
                {['from', 'set', 'units', 'to'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {layout.pegs.map((peg, index) => (
                <tr key={index}>
                  <td>{peg.from}</td>
                  <td>{threeDigits(peg.bearingDegrees)}</td>
                  <td>{peg.units}</td>
                  <td>{peg.name}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Drawing layout={layout} start={stationName(solution, 0)} />
        </div>
        <p className={styles.answer} data-testid="closing">
          The string should give {threeDigits(closing.bearingDegrees)} and{' '}
          {closing.units.toFixed(1)} units: {Math.round(closing.metres)} m. Worked out in full it is{' '}
          {threeDigits(computed)} and {Math.round(home.distanceMetres)} m.
        </p>
        <h2>What did your layout give?</h2>
        <div className={styles.asks}>
          <NumberField
            id="own-bearing"
            label="Bearing of the string"
            value={ownBearing}
            least={0}
            most={360}
            onChange={setOwnBearing}
          />
          <NumberField
            id="own-units"
            label="Its units"
            value={ownUnits}
            least={0}
            most={10_000}
            onChange={setOwnUnits}
          />
        </div>
        {ownBearing !== null && ownUnits !== null && (
          <p data-testid="own">
            {ownWords(ownBearing, ownUnits * scale, computed, home.distanceMetres)}
          </p>
        )}
      </main>
    </div>
  );
}

/** How far off a layout was: in angle, in length, and where one would have ended. */
function ownWords(bearing: number, metres: number, computed: number, distance: number): string {
  const turn = signedDifference(computed, bearing);
  const b = (turn * Math.PI) / 180;
  const off = Math.hypot(metres * Math.sin(b), metres * Math.cos(b) - distance);
  return `${Math.abs(turn).toFixed(0)}° ${turn < 0 ? 'left' : 'right'} and ${Math.abs(Math.round(metres - distance))} m ${metres < distance ? 'short' : 'long'}: you would have ended ${Math.round(off)} m from home.`;
}

function Drawing({ layout, start }: { layout: ReturnType<typeof groundLayout>; start: string }) {
  const xs = [0, ...layout.pegs.map(({ x }) => x)];
  const ys = [0, ...layout.pegs.map(({ y }) => y)];
  const [west, east] = [Math.min(...xs), Math.max(...xs)];
  const [south, north] = [Math.min(...ys), Math.max(...ys)];
  const k = (SIZE - 2 * MARGIN) / Math.max(east - west, north - south, 1);
  const at = (index: number) => ({
    x: SIZE / 2 + (xs[index]! - (west + east) / 2) * k,
    y: SIZE / 2 - (ys[index]! - (south + north) / 2) * k,
  });
  const points = xs.map((_, index) => at(index));
  const last = points.at(-1)!;
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className={styles.drawing}
      role="img"
      aria-label="The layout from above"
    >
      <polyline
        points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
        className={styles.string}
      />
      <line
        x1={last.x}
        y1={last.y}
        x2={points[0]!.x}
        y2={points[0]!.y}
        className={styles.closing}
      />
      {points.map(({ x, y }, index) => (
        <g key={index}>
          <circle cx={x} cy={y} r="5" className={styles.peg} />
          <text x={x + 8} y={y + 4}>
            {index === 0 ? start : layout.pegs[index - 1]!.name}
          </text>
        </g>
      ))}
    </svg>
  );
}
