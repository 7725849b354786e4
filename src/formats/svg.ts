import { besideLeg } from '../core/beside-leg';
import { threeDigits } from '../core/angle';
import { missAtHome, way } from '../core/home';
import { landmarks } from '../core/landmarks';
import { fail, ok } from '../core/result';
import { solve, stationName, type Solution } from '../core/solve';
import { fileFault, type Format } from './format';
import { xmlText } from './xml-text';

const WIDTH = 520;
const MARGIN = 60;
const LEAST_HEIGHT = 260;
const MOST_HEIGHT = 720;
const MOST_NAMES = 60;
const LETTER = { magnetic: 'M', true: 'T', grid: 'G' } as const;

interface Named {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly mark: 'start' | 'station' | 'seen';
}

/**
 * The route in black on white, the working north up, with the way home, its doubt, names, scale and north: a picture that
 * needs nothing else. Names are text and stay text, whatever they hold.
 */
export function sketchSvg(solution: Solution): string {
  const { outing, traverse, current } = solution;
  const { east, north, from, legs } = traverse;
  const names = namesOf(solution);
  let [west, right, south, top] = [0, 0, 0, 0];
  for (let k = 1; k <= legs; k++) {
    west = Math.min(west, east[k]!);
    right = Math.max(right, east[k]!);
    south = Math.min(south, north[k]!);
    top = Math.max(top, north[k]!);
  }
  const room = WIDTH - 2 * MARGIN;
  const k = Math.min(
    room / Math.max(1, right - west),
    (MOST_HEIGHT - 2 * MARGIN) / Math.max(1, top - south),
  );
  const height = Math.max(LEAST_HEIGHT, Math.round((top - south) * k + 2 * MARGIN));
  const x = (metres: number) => (WIDTH / 2 + (metres - (west + right) / 2) * k).toFixed(1);
  const y = (metres: number) => (height / 2 - (metres - (south + top) / 2) * k).toFixed(1);
  let path = '';
  for (let leg = 1; leg <= legs; leg++) {
    const origin = from[leg]!;
    if (leg === 1 || origin !== leg - 1) path += `M${x(east[origin]!)} ${y(north[origin]!)}`;
    path += `L${x(east[leg]!)} ${y(north[leg]!)}`;
  }
  const bar = roundBar(110 / k);
  const words = homeWords(solution);
  const doubt = missAtHome(solution, current, 0);
  const label = ({ text, x: e, y: n, mark }: Named) =>
    `${mark === 'seen' ? `<path d="M${x(e)} ${y(n)}m-5 4h10l-5 -9z" fill="none"/>` : `<circle cx="${x(e)}" cy="${y(n)}" r="${mark === 'start' ? 7 : 4}" fill="#000"/>`}<text x="${(Number(x(e)) + 9).toFixed(1)}" y="${(Number(y(n)) - 6).toFixed(1)}">${xmlText(text)}</text>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}" role="img" font-family="sans-serif" font-size="15" stroke-linecap="round" stroke-linejoin="round">`,
    `<title>${xmlText(outing.name || 'Outing')}</title><desc>${xmlText(words)}</desc>`,
    `<rect width="${WIDTH}" height="${height}" fill="#fff"/>`,
    current === 0
      ? ''
      : `<ellipse rx="${(doubt.semiMajorMetres * k).toFixed(1)}" ry="${(doubt.semiMinorMetres * k).toFixed(1)}" transform="translate(${x(0)} ${y(0)}) rotate(${(doubt.azimuthDegrees - 90).toFixed(1)})" fill="#e4e4e4"/><path d="M${x(east[current]!)} ${y(north[current]!)}L${x(0)} ${y(0)}" fill="none" stroke="#000" stroke-width="3" stroke-dasharray="12 8"/>`,
    `<path d="${path}" fill="none" stroke="#000" stroke-width="2"/>`,
    `<g stroke="#000" stroke-width="1.5" fill="none"><path d="M24 ${height - 24}h${(bar * k).toFixed(1)}M24 ${height - 30}v12M${(24 + bar * k).toFixed(1)} ${height - 30}v12M30 74V26M22 40L30 26L38 40"/></g>`,
    `<g fill="#000" stroke="#fff" stroke-width="4" paint-order="stroke"><text x="24" y="${height - 36}">${bar} m</text><text x="44" y="40">${solution.working === 'true' ? 'true north' : 'needle'}</text><text x="${WIDTH - 20}" y="${height - 20}" text-anchor="end">${xmlText(words)}</text></g>`,
    `<g stroke="#fff" stroke-width="4" paint-order="stroke">${names.map(label).join('').replaceAll('<path ', '<path stroke="#000" stroke-width="1.5" ')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}

function namesOf(solution: Solution): Named[] {
  const { outing, traverse, stationOfLeg, current } = solution;
  const { east, north } = traverse;
  const names: Named[] = [{ text: outing.start.name, x: 0, y: 0, mark: 'start' }];
  let leg = 0;
  for (const entry of outing.entries) {
    if (entry.kind === 'leg') leg++;
    if (entry.kind === 'leg' && stationOfLeg[leg] === leg && (entry.to || leg === current)) {
      const text = stationName(solution, leg);
      names.push({ text, x: east[leg]!, y: north[leg]!, mark: 'station' });
    }
    if (entry.kind === 'at' && leg > 0) {
      const spot = besideLeg(solution, leg, entry);
      names.push({ text: entry.what, x: spot.east, y: spot.north, mark: 'seen' });
    }
  }
  for (const { name, place } of landmarks(solution)) {
    if (place) names.push({ text: name, x: place.east, y: place.north, mark: 'seen' });
  }
  return names.slice(0, MOST_NAMES);
}

function homeWords(solution: Solution): string {
  const home = way(solution, solution.current, 0);
  const place = stationName(solution, 0);
  if (home.distanceMetres < 1) return `At ${place}`;
  const shown =
    home.bearing[solution.outing.show.north] === null ? 'magnetic' : solution.outing.show.north;
  return `To ${place}: ${threeDigits(home.bearing[shown]!)} ${LETTER[shown]}, ${Math.round(home.distanceMetres)} m`;
}

/** The largest of 1, 2, 5 times a power of ten that is at most this. */
function roundBar(most: number): number {
  const power = 10 ** Math.floor(Math.log10(most));
  return power * ([5, 2, 1].find((step) => step * power <= most) ?? 1);
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
