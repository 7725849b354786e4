import type { ReactNode, Ref } from 'react';
import { polar } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';

/** The parts of a compass face, about its middle with N up: each drawing of one is made of them. */

interface TicksProps {
  /** Degrees from one to the next. */
  every: Degrees;
  /** Where they end, in pixels from the middle; they grow inward, or outward from there. */
  rim: number;
  /** How long each is; 0 leaves it out. Negative ones grow outward. */
  length: (turn: Degrees) => number;
  className?: string | undefined;
}

export const FaceTicks = ({ every, rim, length, className }: TicksProps) =>
  Array.from({ length: Math.round(360 / every) }, (_, index) => index * every)
    .filter((turn) => length(turn) !== 0)
    .map((turn) => (
      <line
        key={turn}
        transform={`rotate(${turn})`}
        y1={length(turn) - rim}
        y2={-rim}
        className={className}
      />
    ));

const LETTERS = ['N', 'E', 'S', 'W'] as const;

/** The four letters, upright, so far from the middle; `down` moves them onto their middle. */
export const FaceLetters = (props: { radius: number; down: number; className?: string }) =>
  LETTERS.map((letter, index) => {
    const { east, north } = polar(90 * index, props.radius);
    return (
      <text
        key={letter}
        className={props.className}
        textAnchor="middle"
        x={east}
        y={props.down - north}
      >
        {letter}
      </text>
    );
  });

interface ScaleProps {
  /** Marks to the right of N, negative to its left. */
  marks: readonly Degrees[];
  rim: number;
  length: (turn: Degrees) => number;
  /** Whether a mark has its figure. */
  isNamed: (turn: Degrees) => boolean;
  className?: string | undefined;
}

/** Marks left and right of N within the housing, for the declination. */
export const FaceScale = ({ marks, rim, length, isNamed, className }: ScaleProps) =>
  marks.map((turn) => (
    <g key={turn} transform={`rotate(${turn})`} className={className}>
      <line y1={-rim} y2={length(turn) - rim} />
      {isNamed(turn) && (
        <text y={22 - rim} textAnchor="middle">
          {Math.abs(turn)}
        </text>
      )}
    </g>
  ));

interface NeedleProps {
  length: number;
  /** Half its width at the middle. */
  half: number;
  /** How long its other end is; as long as the first unless it says so. */
  tail?: number;
  turn?: Degrees;
  north?: string | undefined;
  south?: string | undefined;
  className?: string | undefined;
  ref?: Ref<SVGGElement>;
  testId?: string;
  children?: ReactNode;
}

/** A needle: its north end is the marked one. */
export function FaceNeedle({ length, half, tail = length, turn, ref, ...props }: NeedleProps) {
  const ends = { 'data-testid': props.testId, className: props.className };
  return (
    <g ref={ref} {...ends} {...(turn === undefined ? {} : { transform: `rotate(${turn})` })}>
      <path d={`M${-half} 0L0 ${-length}L${half} 0Z`} className={props.north} />
      <path d={`M${-half} 0L0 ${tail}L${half} 0Z`} className={props.south} />
      {props.children}
    </g>
  );
}
