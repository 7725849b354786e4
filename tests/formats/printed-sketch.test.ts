import { DOMParser } from '@xmldom/xmldom';
import { describe, expect, it } from 'vitest';
import { sheetOfOuting, sketchSvg } from '@/formats/svg';
import { NO_LAYER, type Layer } from '@/sketch/layer';
import { onScreen } from '@/sketch/view';
import { solvedLog } from '../support/outings';

const { solution } = solvedLog('declination 19 W\n090 300m > Gauge 1\n000 400m\nsee 250 ; hill');

/** Straight contours from west to east, 50 m apart. */
const ground: Layer = {
  ...NO_LAYER,
  lines: [0, 1, 2, 3, 4, 5, 6, 7].map((line) => ({
    kind: line % 5 === 0 ? ('index-contour' as const) : ('contour' as const),
    points: [-200, 150, 500].map((east) => ({ east, north: 50 * line })),
    ...(line % 5 === 0 ? { heightMetres: 400 + 10 * line } : {}),
  })),
};

const parsed = (svg: string) => new DOMParser().parseFromString(svg, 'text/xml');
const all = (svg: string, tag: string) => Array.from(parsed(svg).getElementsByTagName(tag));

describe('the printed sketch', () => {
  const plain = sketchSvg(solution);
  const drawn = sketchSvg(solution, [ground]);

  it('has the ground below the log, and its heights on it', () => {
    const paths = all(drawn, 'path').map((path) => path.getAttribute('d') ?? '');
    const contour = paths.findIndex((d) => d.startsWith('M-200.00 -50.00L150.00 -50.00'));
    const legs = paths.findIndex((d) => /^M-?0\.00 -?0\.00L/.test(d));
    expect(contour).toBeGreaterThanOrEqual(0);
    expect(legs).toBeGreaterThan(contour);
    const words = (svg: string) => all(svg, 'text').map((text) => text.textContent);
    expect(words(drawn)).toEqual(expect.arrayContaining(['400', '450']));
    expect(words(plain)).not.toContain('400');
  });

  it('is drawn in the view in which the ground is asked for', () => {
    const { view, sheet } = sheetOfOuting(solution);
    const [ellipse] = all(drawn, 'ellipse');
    const home = onScreen(view, solution.places.at(0));
    expect(ellipse?.getAttribute('transform')).toContain(
      `translate(${home.x.toFixed(1)} ${home.y.toFixed(1)})`,
    );
    expect(parsed(drawn).documentElement?.getAttribute('viewBox')).toBe(
      `0 0 ${sheet.width} ${sheet.height}`,
    );
    expect(all(plain, 'ellipse')).toHaveLength(1);
  });
});
