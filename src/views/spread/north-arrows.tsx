import type { NorthsOfOuting } from '@/core/norths-of';
import type { Spot } from '@/formats/sketch/geometry';
import styles from './sketch-leaf.module.css';

const LENGTH = 74;
/** Below this angle the arrows would lie on each other. */
const SMALLEST_DRAWN = 0.5;

/** An arrow turned clockwise from the top of the sheet, with its name beside its head. */
function Arrow({
  turn,
  name,
  className,
  side,
}: {
  turn: number;
  name: string;
  className?: string;
  side: number;
}) {
  const angle = (turn * Math.PI) / 180;
  const x = LENGTH * Math.sin(angle);
  const y = -LENGTH * Math.cos(angle);
  return (
    <g className={className}>
      <g transform={`rotate(${turn})`}>
        <line x1="0" y1="0" x2="0" y2={-LENGTH + 8} />
        <path d={`M-5 ${-LENGTH + 12}L0 ${-LENGTH}L5 ${-LENGTH + 12}Z`} />
      </g>
      <text
        x={x + side * 8}
        y={y - 4}
        textAnchor={side < 0 ? 'end' : side > 0 ? 'start' : 'middle'}
      >
        {name}
      </text>
    </g>
  );
}

/** All norths that are known, with the angle between them; the sheet's top is the working north. */
export function NorthArrows({ norths, place }: { norths: NorthsOfOuting; place: Spot }) {
  const { declinationEast, convergenceEast } = norths;
  const transform = `translate(${place.x} ${place.y})`;
  if (declinationEast === null) {
    return (
      <g transform={transform}>
        <Arrow turn={0} name="needle" className={styles.needle} side={0} />
      </g>
    );
  }
  const letter = declinationEast < 0 ? 'W' : 'E';
  const needle = `needle ${Math.abs(declinationEast).toFixed(1)}° ${letter}`;
  const drawsNeedle = Math.abs(declinationEast) >= SMALLEST_DRAWN;
  return (
    <g transform={transform}>
      {drawsNeedle && (
        <Arrow
          turn={declinationEast}
          name={needle}
          className={styles.needle}
          side={declinationEast < 0 ? -1 : 1}
        />
      )}
      {Math.abs(convergenceEast) >= SMALLEST_DRAWN && (
        <Arrow
          turn={convergenceEast}
          name="grid"
          className={styles.grid}
          side={convergenceEast < 0 ? -1 : 1}
        />
      )}
      <Arrow
        turn={0}
        name={drawsNeedle ? 'true' : 'true and needle'}
        className={styles.true}
        side={0}
      />
    </g>
  );
}
