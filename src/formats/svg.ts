import { surveyTools } from '../core/survey/adjusted/survey-tools';
import { positionErrorEllipse } from '../core/navigation/position-error';
import { isThere, wayHome } from '../core/navigation/ways/way';
import { shownBearing, shownNorth, towardReference, type Norths } from '../core/north/norths';
import { solve } from '../core/survey/solve';
import { northShown, stationName, type Solution } from '../core/survey/solution';
import { angleText } from '../core/units/angle';
import { NORTH_LETTERS, NORTHS, type North } from '../core/units/bearing';
import type { Degrees } from '../core/units/units';
import { fail, ok } from '../core/units/result';
import { placeLabels, type Label } from '../sketch/labels';
import { legPaths } from '../sketch/paths';
import { namedIn, sceneBounds, sceneOf, sizeOf, type Scene } from '../sketch/scene';
import { fitView, onScreen, scaleBarMetres, type Size, type View } from '../sketch/view';
import { fileFault, type Format } from './format';
import {
  USUAL_FIGURES,
  type FigureUnits,
  bearingText,
  distanceText,
  forPlane,
  roundLengthText,
} from '../core/units/figures';
import { writeXml, xmlElement, xmlText, type XmlElement } from './xml';

export const WIDTH = 520;
const LEAST_HEIGHT = 320;
const MOST_HEIGHT = 720;
/** Share of the width that the route itself may take. */
const ROUTE_SHARE = 0.67;
/** Room above and below the route for names, scale and words. */
const EDGES = 150;
/** Names keep off the sheet's edges by so much. */
export const LABEL_EDGE = 50;
export const SCALE_BAR_PIXELS = 110;

/** As high as the route needs at this width, within limits. */
export function sheetOf(scene: Scene): Size {
  const { width, height } = sizeOf(sceneBounds(scene));
  const wanted = (WIDTH * ROUTE_SHARE * height) / Math.max(1, width) + EDGES;
  return {
    width: WIDTH,
    height: Math.round(Math.min(MOST_HEIGHT, Math.max(LEAST_HEIGHT, wanted))),
  };
}

/** A place on the sheet. */
export const pixels = (value: number) => value.toFixed(1);

/** A line in black. */
export const line = (
  d: string,
  width: number,
  more: Readonly<Record<string, string>> = {},
): XmlElement =>
  xmlElement('path', { d, fill: 'none', stroke: '#000', 'stroke-width': width, ...more });

/** The way home as a dashed line, and the uncertainty at its end. */
function homeElements(solution: Solution, view: View): XmlElement[] {
  const { places, current } = solution;
  if (current === 0) return [];
  const here = onScreen(view, places.at(current));
  const home = onScreen(view, places.at(0));
  const error = positionErrorEllipse(solution, current, 0);
  const transform =
    `translate(${pixels(home.x)} ${pixels(home.y)}) ` +
    `rotate(${pixels(error.azimuthDegrees - 90)})`;
  return [
    xmlElement('ellipse', {
      rx: pixels(error.semiMajorMetres * view.k),
      ry: pixels(error.semiMinorMetres * view.k),
      transform,
      fill: '#e4e4e4',
    }),
    line(`M${pixels(here.x)} ${pixels(here.y)}L${pixels(home.x)} ${pixels(home.y)}`, 3, {
      'stroke-dasharray': '12 8',
    }),
  ];
}

function legElements(scene: Scene, view: View): XmlElement {
  const { way, sideTrips } = legPaths(scene);
  const fixedWidth = { 'vector-effect': 'non-scaling-stroke' };
  const offset = `${view.x.toFixed(2)} ${view.y.toFixed(2)}`;
  const transform = `translate(${offset}) scale(${view.k.toFixed(6)})`;
  return xmlElement('g', { transform }, line(way, 2, fixedWidth), line(sideTrips, 1, fixedWidth));
}

/** The scale bar at the lower left. */
export function scaleBar({ k }: View, { height }: Size): XmlElement {
  const length = scaleBarMetres(k, SCALE_BAR_PIXELS) * k;
  const end = pixels(20 + length);
  return line(
    `M20 ${height - 20}h${pixels(length)}M20 ${height - 26}v12M${end} ${height - 26}v12`,
    1.5,
  );
}

/** How each north's arrow is drawn, to be distinguished in black on white. */
const NORTH_DASHES: Readonly<Record<North, string>> = {
  true: 'none',
  magnetic: '6 4',
  grid: '2 3',
};
const ARROW = { x: 44, y: 78, length: 52, head: 7 } as const;
const KEY = { x: 92, y: 30, line: 20, sample: 26 } as const;
/** Nearer to each other, two arrows would lie on each other: one has both names. */
const LEAST_APART = 0.5;

/** The norths that the readings and the way home are from. */
function northsUsed(solution: Solution): Set<North> {
  const { outing, places } = solution;
  const used = new Set<North>([places.frame.north, northShown(solution)]);
  for (const entry of outing.entries) {
    if ('bearing' in entry) used.add(entry.bearing.north);
    if (entry.kind === 'leg' && entry.back) used.add(entry.back.north);
  }
  return used;
}

/** Norths with their turn from the sheet's top; those that lie on each other are one arrow. */
function arrowsOf(used: ReadonlySet<North>, norths: Norths): { turn: Degrees; names: North[] }[] {
  const arrows: { turn: Degrees; names: North[] }[] = [];
  for (const north of NORTHS.filter((each) => used.has(shownNorth(each, norths)))) {
    const turn = towardReference(north, norths);
    if (turn === null) continue;
    const beside = arrows.find((arrow) => Math.abs(arrow.turn - turn) < LEAST_APART);
    if (beside) beside.names.push(north);
    else arrows.push({ turn, names: [north] });
  }
  return arrows;
}

/** Norths as arrows from one foot at the upper left, with what they are beside them. */
export function northElements(used: ReadonlySet<North>, norths: Norths): XmlElement[] {
  return arrowsOf(used, norths).flatMap(({ turn, names }, index) => {
    const dashes = { 'stroke-dasharray': NORTH_DASHES[names[0] ?? 'true'] };
    const y = KEY.y + index * KEY.line;
    const { x, y: foot, length, head } = ARROW;
    const angle = Math.abs(turn) < LEAST_APART ? '' : ` ${angleText(turn)}`;
    return [
      line(`M0 0V${-length}`, 1.5, {
        ...dashes,
        transform: `translate(${x} ${foot}) rotate(${pixels(turn)})`,
      }),
      line(`M${-head} ${head - length}L0 ${-length}L${head} ${head - length}`, 1.5, {
        transform: `translate(${x} ${foot}) rotate(${pixels(turn)})`,
      }),
      line(`M${KEY.x} ${y - 4}h${KEY.sample}`, 1.5, dashes),
      xmlElement('text', { x: KEY.x + KEY.sample + 8, y }, `${names.join(', ')} north${angle}`),
    ];
  });
}

/** A mark with its name. */
export function labelElements({ mark, pixel, x, y }: Label): XmlElement[] {
  const [cx, cy] = [pixels(pixel.x), pixels(pixel.y)];
  const symbol =
    mark.kind === 'seen'
      ? line(`M${cx} ${cy}m-5 4h10l-5 -9z`, 1.5)
      : xmlElement('circle', { cx, cy, r: mark.kind === 'start' ? 7 : 4 });
  return [symbol, xmlElement('text', { x: pixels(x), y: pixels(y) }, mark.text)];
}

function homeWords(solution: Solution, units: FigureUnits): string {
  const home = wayHome(solution);
  const place = stationName(solution, 0);
  if (isThere(home)) return `At ${place}`;
  const { degrees, north } = shownBearing(home.bearing, northShown(solution));
  const distance = distanceText(home.distanceMetres, units);
  return `To ${place}: ${bearingText(degrees, units)} ${NORTH_LETTERS[north]}, ${distance}`;
}

/** A white sheet with a title, what it shows in words, and a drawing. */
export function svgSheet(
  sheet: Size,
  title: string,
  words: string,
  elements: readonly (XmlElement | null)[],
): string {
  const svg = xmlElement(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      viewBox: `0 0 ${WIDTH} ${sheet.height}`,
      width: WIDTH,
      height: sheet.height,
      role: 'img',
      'font-family': 'sans-serif',
      'font-size': 14,
      'stroke-linecap': 'round',
      'stroke-linejoin': 'round',
    },
    xmlText('title', title),
    xmlText('desc', words),
    xmlElement('rect', { width: WIDTH, height: sheet.height, fill: '#fff' }),
    ...elements,
  );
  return writeXml(svg, { declaration: false });
}

/**
 * The route in black on white, the frame's north up, with the way home, its uncertainty, names,
 * scale and north. Names stay text, whatever they hold.
 */
export function sketchSvg(solution: Solution): string {
  const { outing, places, current } = solution;
  const units = forPlane(USUAL_FIGURES, places.frame.unit);
  const scene = sceneOf(solution, units);
  const sheet = sheetOf(scene);
  const view = fitView(scene, sheet, null);
  const homeLine = [onScreen(view, places.at(current)), onScreen(view, places.at(0))] as const;
  const bottom = sheet.height - LABEL_EDGE;
  const box = { left: 0, top: LABEL_EDGE, right: WIDTH, bottom };
  const labels = placeLabels(namedIn(scene), view, { lines: [homeLine], boxes: [] }, box);
  const words = homeWords(solution, units);
  const bar = roundLengthText(scaleBarMetres(view.k, SCALE_BAR_PIXELS), units);
  return svgSheet(sheet, outing.name || 'Outing', words, [
    ...homeElements(solution, view),
    legElements(scene, view),
    scaleBar(view, sheet),
    ...northElements(northsUsed(solution), places.frame.norths),
    xmlElement(
      'g',
      { stroke: '#fff', 'stroke-width': 4, 'paint-order': 'stroke' },
      ...labels.flatMap(labelElements),
      xmlElement('text', { x: 20, y: sheet.height - 32 }, bar),
      xmlElement('text', { x: WIDTH - 16, y: sheet.height - 14, 'text-anchor': 'end' }, words),
    ),
  ]);
}

/** A drawing of one outing. */
export const svgFormat: Format = {
  name: 'svg',
  mediaType: 'image/svg+xml',
  fileEnding: '.svg',
  write(logbook, models) {
    const [outing, second] = logbook.outings;
    if (!outing || second) {
      return fail([fileFault('A sketch shows one outing.', { path: 'outings' })]);
    }
    const solved = solve(outing, models, { tools: surveyTools });
    return solved.ok
      ? ok(sketchSvg(solved.value))
      : fail([{ fault: solved.fault.fault, path: 'outings[0]' }]);
  },
};
