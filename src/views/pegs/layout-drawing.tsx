import { useMemo } from 'react';
import type { GroundLayout } from '@/core/navigation/ground-layout';
import { ORIGIN } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { NO_LAYER, type Layer } from '@/sketch/layer';
import { StillDrawing } from '@/views/shared/sketch/still-drawing';
import styles from './pegs.module.css';
import { WORDS } from './words';

interface Props extends Pick<GroundLayout, 'pegs'> {
  /** What the first peg stands for. */
  start: string;
}

/** The layout from above, with the string that is the way home. */
export function LayoutDrawing({ pegs, start }: Props) {
  const layers = useMemo((): Layer[] => {
    const all = [{ name: start, ...ORIGIN }, ...pegs];
    const home = [...all.slice(-1), ...all.slice(0, 1)];
    return [
      {
        ...NO_LAYER,
        lines: [
          { kind: 'leg', points: all },
          { kind: 'home', points: home },
        ],
        dots: all,
        marks: all.map(({ name, east, north }, index) => {
          const place = { east, north };
          return { key: `${index}`, kind: 'station', text: visibleText(name), ...place };
        }),
      },
    ];
  }, [pegs, start]);
  return (
    <StillDrawing
      layers={layers}
      side={300}
      margin={34}
      label={WORDS.drawing}
      className={styles.drawing}
    />
  );
}
