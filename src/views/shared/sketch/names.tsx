import { useMemo } from 'react';
import { placeLabels, type Label, type Obstacles } from '@/sketch/labels';
import type { Mark, Named } from '@/sketch/layer';
import { onScreen, type Pixel, type Size, type View } from '@/sketch/view';
import { CairnStones } from '@/ui/cairn-mark';
import { FeatureMark } from '@/ui/feature-mark';
import styles from './names.module.css';

interface Props {
  named: Named;
  view: View;
  /** What labels keep off: the way home with its plate, the scale bar, the arrows. */
  obstacles: Obstacles;
  size: Size;
  /** The entry that is selected. */
  selected?: number | null;
}

/** The keys of the marks that an entry of the log has made. */
const keysOf = (entry: number) => [`s${entry}`, `a${entry}`, `l${entry}`];

/** The start's cairn, the traveller, what was seen, and as many names as there is room for. */
export function Names({ named, view, obstacles, size, selected = null }: Props) {
  const { marks } = named;
  const labels = useMemo(() => {
    const keys = selected === null ? [] : keysOf(selected);
    const key = marks.find((mark) => keys.includes(mark.key))?.key ?? null;
    const sheet = { left: 0, top: 0, right: size.width, bottom: size.height };
    return placeLabels(named, view, obstacles, sheet, key);
  }, [marks, named, view, obstacles, size, selected]);
  return (
    <g data-testid="names">
      {marks.map((mark) => (
        <Symbol key={mark.key} mark={mark} pixel={onScreen(view, mark)} />
      ))}
      {labels.map(({ mark, x, y }: Label) => (
        <text key={mark.key} className={styles[mark.kind]} x={x} y={y} data-kind={mark.kind}>
          {mark.text}
        </text>
      ))}
    </g>
  );
}

/** Marks of a plan, a fix, the count and the ends of a way, about their point. */
const SYMBOLS: Readonly<Partial<Record<Mark['kind'], string>>> = {
  point: 'M-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0Z',
  attack: 'M-6 5H6L0 -6Z',
  known: 'M-6 5H6L0 -6Z',
  here: 'M-10 0H10M0 -10V10',
  hundred: 'M-2.5 0a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0Z',
  count: 'M-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0Z',
  end: 'M-11 0a11 11 0 1 0 22 0a11 11 0 1 0 -22 0Z',
};

interface SymbolProps {
  mark: Mark;
  pixel: Pixel;
}

/** What is drawn at a mark: a station has its pebble from the route. */
function Symbol({ mark, pixel }: SymbolProps) {
  if (mark.kind === 'you') {
    return <circle className={styles.you} cx={pixel.x} cy={pixel.y} r="8" />;
  }
  if (mark.kind === 'start') {
    return (
      <g className={styles.start} transform={`translate(${pixel.x} ${pixel.y + 4})`}>
        <CairnStones />
      </g>
    );
  }
  if (mark.kind === 'station') return null;
  if (mark.kind === 'number') {
    return (
      <g transform={`translate(${pixel.x} ${pixel.y})`}>
        <circle className={styles.badge} r="10" />
        <text className={styles.number} y="4.5" textAnchor="middle">
          {mark.text}
        </text>
      </g>
    );
  }
  const symbol = SYMBOLS[mark.kind];
  if (symbol) {
    const transform = `translate(${pixel.x} ${pixel.y})`;
    return <path className={styles[mark.kind]} transform={transform} d={symbol} />;
  }
  return (
    <g className={styles.seenMark} transform={`translate(${pixel.x} ${pixel.y})`}>
      <FeatureMark kind={mark.feature} />
    </g>
  );
}
