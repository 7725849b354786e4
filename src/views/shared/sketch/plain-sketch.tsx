import { useMemo } from 'react';
import type { Solution } from '@/core/survey/solution';
import { sketchSvg } from '@/formats/svg';

/** The route in black on white, as it is exported: for paper, where nothing can be zoomed. */
export function PlainSketch({ solution }: { solution: Solution }) {
  const svg = useMemo(() => sketchSvg(solution), [solution]);
  // The format writes every name as text.
  return <div dangerouslySetInnerHTML={{ __html: svg }} />;
}
