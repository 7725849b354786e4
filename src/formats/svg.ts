import { surveyTools } from '../core/survey/adjusted/survey-tools';
import { isThere, wayHome } from '../core/navigation/ways/way';
import { shownBearing, shownNorth, towardReference, type Norths } from '../core/north/norths';
import { solve } from '../core/survey/solve';
import { northShown, stationName, type Solution } from '../core/survey/solution';
import { angleText } from '../core/units/angle';
import { NORTH_LETTERS, NORTHS, type North } from '../core/units/bearing';
import { boundsOf, ORIGIN } from '../core/units/plane';
import type { Degrees, Metres } from '../core/units/units';
import { fail, ok } from '../core/units/result';
import { placeLabels, type Label } from '../sketch/labels';
import { heightLabels } from '../sketch/height-labels';
import { layerPoints, namedIn, viewOfLayers, type Layer, type LayerLine } from '../sketch/layer';
import { homeLayer } from '../sketch/layers/home';
import { walkedLayer } from '../sketch/layers/walked';
import { linePaths } from '../sketch/paths';
import { onScreen, scaleBarMetres, sizeOf, type Size, type View } from '../sketch/view';
import { fileFault, type Format } from './format';
import {
  USUAL_FIGURES,
  type FigureUnits,
  bearingText,
  distanceText,
  forPlane,
  lengthFigure,
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

/** As high as the layers need at this width, within limits. */
export function sheetOf(layers: readonly Layer[]): Size {
  const { width, height } = sizeOf(boundsOf([ORIGIN, ...layers.flatMap(layerPoints)]));
  const wanted = (WIDTH * ROUTE_SHARE * height) / Math.max(1, width) + EDGES;
  return {
    width: WIDTH,
    height: Math.round(Math.min(MOST_HEIGHT, Math.max(LEAST_HEIGHT, wanted))),
  };
}

/** A place on the sheet. */
const pixels = (value: number) => value.toFixed(1);

/** A line in black. */
export const line = (
  d: string,
  width: number,
  more: Readonly<Record<string, string>> = {},
): XmlElement =>
  xmlElement('path', { d, fill: 'none', stroke: '#000', 'stroke-width': width, ...more });

interface Printed {
  readonly width: number;
  readonly dash?: string;
  /** Grey, for what is below all else. */
  readonly stroke?: string;
}

/** How lines are printed, in black on white, to be distinguished without a colour. */
const PRINTED: Readonly<Record<LayerLine['kind'], Printed>> = {
  contour: { width: 0.5, stroke: '#8a8a8a' },
  'index-contour': { width: 1, stroke: '#8a8a8a' },
  sight: { width: 0.75, dash: '2 5' },
  known: { width: 2, dash: '2 5' },
  barrier: { width: 5, dash: '3 4' },
  path: { width: 2, dash: '2 5' },
  'side-trip': { width: 1 },
  leg: { width: 2 },
  preview: { width: 2, dash: '2 6' },
  aim: { width: 2, dash: '3 6' },
  route: { width: 2.5 },
  walked: { width: 2, dash: '8 5' },
  logged: { width: 2, dash: '7 5' },
  home: { width: 3, dash: '12 8' },
};

/** Where one ends with 95 %, in grey. */
function ellipseElements({ ellipses }: Layer, view: View): XmlElement[] {
  return ellipses
    .filter(({ kind }) => kind === 'home' || kind === 'place')
    .map(({ ellipse, ...at }) => {
      const { x, y } = onScreen(view, at);
      return xmlElement('ellipse', {
        rx: pixels(ellipse.semiMajorMetres * view.k),
        ry: pixels(ellipse.semiMinorMetres * view.k),
        transform:
          `translate(${pixels(x)} ${pixels(y)}) ` +
          `rotate(${pixels(ellipse.azimuthDegrees - 90)})`,
        fill: '#e4e4e4',
      });
    });
}

/** The ellipses and lines of layers, the first below the others. */
export function layerElements(layers: readonly Layer[], view: View): XmlElement[] {
  const offset = `${view.x.toFixed(2)} ${view.y.toFixed(2)}`;
  const transform = `translate(${offset}) scale(${view.k.toFixed(6)})`;
  const lines = layers.flatMap((layer) =>
    linePaths(layer).map(({ kind, d }) => {
      const { width, dash = layer.dash, stroke = '#000' } = PRINTED[kind];
      return line(d, width, {
        stroke,
        'vector-effect': 'non-scaling-stroke',
        ...(dash === undefined ? {} : { 'stroke-dasharray': dash }),
      });
    }),
  );
  return [
    ...layers.flatMap((layer) => ellipseElements(layer, view)),
    xmlElement('g', { transform }, ...lines),
  ];
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

/** What is drawn of an outing, and the view that shows it. */
export function sheetOfOuting(solution: Solution) {
  const units = forPlane(USUAL_FIGURES, solution.places.frame.unit);
  const walked = walkedLayer(solution, units);
  const lines = walked.lines.filter(({ kind }) => kind !== 'sight');
  const layers = [homeLayer(solution), { ...walked, lines }];
  const sheet = sheetOf(layers);
  return { units, layers, sheet, view: viewOfLayers(layers, sheet) };
}

/**
 * The route in black on white, the frame's north up, with the way home, its uncertainty, names,
 * scale and north, over the ground where heights draw it. Names stay text, whatever they hold.
 */
export function sketchSvg(solution: Solution, ground: readonly Layer[] = []): string {
  const { outing, places } = solution;
  const { units, layers, sheet, view } = sheetOfOuting(solution);
  const bottom = sheet.height - LABEL_EDGE;
  const box = { left: 0, top: LABEL_EDGE, right: WIDTH, bottom };
  const [home, walked] = layers.map((layer) => namedIn(layer));
  const homeLines = (home?.stretches ?? []).map(
    ({ from, to }) => [onScreen(view, from), onScreen(view, to)] as const,
  );
  const obstacles = { lines: homeLines, boxes: [] };
  const labels = walked ? placeLabels(walked, view, obstacles, box) : [];
  const words = homeWords(solution, units);
  const height = (metres: Metres) => lengthFigure(metres, units);
  const bar = roundLengthText(scaleBarMetres(view.k, SCALE_BAR_PIXELS), units);
  return svgSheet(sheet, outing.name || 'Outing', words, [
    ...layerElements([...ground, ...layers], view),
    scaleBar(view, sheet),
    ...northElements(northsUsed(solution), places.frame.norths),
    xmlElement(
      'g',
      { stroke: '#fff', 'stroke-width': 4, 'paint-order': 'stroke' },
      ...heightLabels(ground, view, sheet).map(({ at, metres }) =>
        xmlElement('text', { x: pixels(at.x), y: pixels(at.y), 'font-size': 10 }, height(metres)),
      ),
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
