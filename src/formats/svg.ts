import { threeDigits } from '../core/angle';
import { missAtHome, way } from '../core/home';
import { fail, ok } from '../core/result';
import { solve, stationName, type Solution } from '../core/solve';
import { fileFault, type Format } from './format';
import { barMetres, fitted, legsPaths, marksOf, onScreen } from './sketch/geometry';
import { placedLabels, type PlacedLabel } from './sketch/label-places';
import { xmlText } from './xml-text';

const WIDTH = 520;
const LEAST_HEIGHT = 320;
const MOST_HEIGHT = 720;
/** Room above and below the route for names, scale and words. */
const EDGES = 150;
const LETTER = { magnetic: 'M', true: 'T', grid: 'G' } as const;

/** As high as the route asks for at this width, within reason. */
function sheetOf({ traverse }: Solution) {
  const { east, north, legs } = traverse;
  const span = (column: Float64Array) => {
    const used = column.subarray(0, legs + 1);
    return (
      used.reduce((most, each) => Math.max(most, each), 0) -
      used.reduce((least, each) => Math.min(least, each), 0)
    );
  };
  const wanted = (WIDTH * 0.67 * span(north)) / Math.max(1, span(east)) + EDGES;
  return {
    width: WIDTH,
    height: Math.round(Math.min(MOST_HEIGHT, Math.max(LEAST_HEIGHT, wanted))),
  };
}

/**
 * The route in black on white, the working north up, with the way home, its doubt, names, scale and north: a picture that
 * needs nothing else. Names are text and stay text, whatever they hold.
 */
export function sketchSvg(solution: Solution): string {
  const { outing, traverse, current } = solution;
  const sheet = sheetOf(solution);
  const { height } = sheet;
  const view = fitted(solution, sheet, null);
  const here = onScreen(view, traverse.east[current]!, traverse.north[current]!);
  const home = onScreen(view, 0, 0);
  const { way: legs, sideTrips } = legsPaths(solution);
  const box = { left: 0, top: 50, right: WIDTH, bottom: height - 50 };
  const labels = placedLabels(solution, marksOf(solution), view, [[here, home]], box);
  const bar = barMetres(view.k, 110);
  const pixels = (bar * view.k).toFixed(1);
  const words = homeWords(solution);
  const doubt = missAtHome(solution, current, 0);
  const thin = (d: string, width: number) =>
    `<path d="${d}" fill="none" stroke="#000" stroke-width="${width}" vector-effect="non-scaling-stroke"/>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}" role="img" font-family="sans-serif" font-size="14" stroke-linecap="round" stroke-linejoin="round">`,
    `<title>${xmlText(outing.name || 'Outing')}</title><desc>${xmlText(words)}</desc>`,
    `<rect width="${WIDTH}" height="${height}" fill="#fff"/>`,
    current === 0
      ? ''
      : `<ellipse rx="${(doubt.semiMajorMetres * view.k).toFixed(1)}" ry="${(doubt.semiMinorMetres * view.k).toFixed(1)}" transform="translate(${home.x.toFixed(1)} ${home.y.toFixed(1)}) rotate(${(doubt.azimuthDegrees - 90).toFixed(1)})" fill="#e4e4e4"/><path d="M${here.x.toFixed(1)} ${here.y.toFixed(1)}L${home.x.toFixed(1)} ${home.y.toFixed(1)}" fill="none" stroke="#000" stroke-width="3" stroke-dasharray="12 8"/>`,
    `<g transform="translate(${view.x.toFixed(2)} ${view.y.toFixed(2)}) scale(${view.k.toFixed(6)})">${thin(legs, 2)}${thin(sideTrips, 1)}</g>`,
    thin(
      `M20 ${height - 20}h${pixels}M20 ${height - 26}v12M${(20 + Number(pixels)).toFixed(1)} ${height - 26}v12M26 60V16M19 29L26 16L33 29`,
      1.5,
    ),
    `<g stroke="#fff" stroke-width="4" paint-order="stroke">`,
    ...labels.map(labelSvg),
    `<text x="20" y="${height - 32}">${bar} m</text><text x="40" y="30">${solution.working === 'true' ? 'true north' : 'needle'}</text><text x="${WIDTH - 16}" y="${height - 14}" text-anchor="end">${xmlText(words)}</text>`,
    '</g></svg>',
    '',
  ].join('\n');
}

function labelSvg({ mark, spot, x, y }: PlacedLabel): string {
  const [cx, cy] = [spot.x.toFixed(1), spot.y.toFixed(1)];
  const dot =
    mark.kind === 'seen'
      ? `<path d="M${cx} ${cy}m-5 4h10l-5 -9z" fill="none" stroke="#000" stroke-width="1.5"/>`
      : `<circle cx="${cx}" cy="${cy}" r="${mark.kind === 'start' ? 7 : 4}"/>`;
  return `${dot}<text x="${x.toFixed(1)}" y="${y.toFixed(1)}">${xmlText(mark.text)}</text>`;
}

function homeWords(solution: Solution): string {
  const home = way(solution, solution.current, 0);
  const place = stationName(solution, 0);
  if (home.distanceMetres < 1) return `At ${place}`;
  const { north } = solution.outing.show;
  const shown = home.bearing[north] === null ? 'magnetic' : north;
  return `To ${place}: ${threeDigits(home.bearing[shown]!)} ${LETTER[shown]}, ${Math.round(home.distanceMetres)} m`;
}

/** A picture of one outing. */
export const svgFormat: Format = {
  name: 'svg',
  mediaType: 'image/svg+xml',
  fileEnding: '.svg',
  write(logbook, models) {
    const [outing, second] = logbook.outings;
    if (!outing || second) {
      return fail([fileFault('A sketch shows one outing.', { path: 'outings' })]);
    }
    const solved = solve(outing, models);
    return solved.ok
      ? ok(sketchSvg(solved.value))
      : fail([{ fault: solved.fault.fault, path: 'outings[0]' }]);
  },
};
