// Draws the demo's map as if it had been photographed on a table, and tells where four crossings of
// its grid are in the picture. Run by hand when the country or the drawing changes.
import { writeFileSync } from 'node:fs';
import { contours } from 'd3-contour';
import { fitPicture } from '../src/core/place/picture/fit';
import { toPixel } from '../src/core/place/picture/transform';
import { mapGrid } from '../src/core/place/map-grid';
import { smoothed } from '../src/core/terrain/smoothed';
import type { PlanePoint } from '../src/core/units/plane';
import { launch } from './browser.mjs';
import { heightAt, ISLAND, LAKE, LINES, NAMES, PONDS, SHEET } from './demo-map/country';

const SIZE = { width: 1800, height: 1860 };
const MARGIN = 260;
/** Where the corners of the paper are in the photograph: from above, a little from the south. */
const CORNERS = [
  { x: 118, y: 66 },
  { x: 1706, y: 92 },
  { x: 1768, y: 1796 },
  { x: 46, y: 1768 },
];

const { west, east, south, north } = SHEET;
const paper = [
  { east: west - MARGIN, north: north + MARGIN },
  { east: east + MARGIN, north: north + MARGIN },
  { east: east + MARGIN, north: south - MARGIN },
  { east: west - MARGIN, north: south - MARGIN },
];
const fit = fitPicture(paper.map((plane, index) => ({ plane, pixel: CORNERS[index]! })));
if (!fit.ok) throw new Error('the corners tie the paper');
const { toPicture } = fit.value;

const on = (point: PlanePoint) => toPixel(toPicture, point);
const path = (points: readonly PlanePoint[], close = false) =>
  points
    .map(on)
    .map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('') + (close ? 'Z' : '');

const STEP = 20;
function heights() {
  const columns = Math.round((east - west) / STEP) + 1;
  const rows = Math.round((north - south) / STEP) + 1;
  const values = Array.from({ length: rows * columns }, (_, index) =>
    heightAt({
      east: west + STEP * (index % columns),
      north: south + STEP * Math.floor(index / columns),
    }),
  );
  return { columns, rows, values };
}

function contourPaths(): string {
  const { columns, rows, values } = heights();
  const levels = Array.from({ length: 22 }, (_, index) => 440 + 10 * index);
  return contours()
    .size([columns, rows])
    .thresholds(levels)(values)
    .flatMap(({ value, coordinates }) =>
      coordinates.flat().map((ring) => {
        const points = ring.map(([x = 0, y = 0]) => ({
          east: Math.min(east, Math.max(west, west + STEP * (x - 0.5))),
          north: Math.min(north, Math.max(south, south + STEP * (y - 0.5))),
        }));
        const width = value % 50 === 0 ? 2.6 : 1.2;
        return insideParts(points)
          .map((part) => `<path class="contour" stroke-width="${width}" d="${path(part)}"/>`)
          .join('');
      }),
    )
    .join('');
}

/** The parts of a ring that don't run along the edge of the sheet, where it was closed. */
function insideParts(ring: readonly PlanePoint[]): PlanePoint[][] {
  const parts: PlanePoint[][] = [[]];
  for (const point of ring) {
    if (isOnEdge(point)) parts.push([]);
    else parts.at(-1)?.push(point);
  }
  return parts.filter((part) => part.length > 1);
}

const isOnEdge = ({ east: e, north: n }: PlanePoint) =>
  e <= west + STEP || e >= east - STEP || n <= south + STEP || n >= north - STEP;

const text = (point: PlanePoint, words: string, attributes = '') => {
  const { x, y } = on(point);
  return `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" ${attributes}>${words}</text>`;
};

function gridLines(): string {
  const parts: string[] = [];
  for (let e = Math.ceil(west / 500) * 500; e <= east; e += 500) {
    const weight = e % 1000 === 0 ? 2 : 1;
    const line = path([
      { east: e, north: south },
      { east: e, north },
    ]);
    parts.push(`<path class="grid" stroke-width="${weight}" d="${line}"/>`);
    const label = String(e);
    for (const n of [south - 70, north + 35]) {
      parts.push(text({ east: e, north: n }, label, 'text-anchor="middle" class="label"'));
    }
  }
  for (let n = Math.ceil(south / 500) * 500; n <= north; n += 500) {
    const weight = n % 1000 === 0 ? 2 : 1;
    const line = path([
      { east: west, north: n },
      { east, north: n },
    ]);
    parts.push(`<path class="grid" stroke-width="${weight}" d="${line}"/>`);
    for (const [e, anchor] of [
      [west - 12, 'end'],
      [east + 12, 'start'],
    ] as const) {
      parts.push(text({ east: e, north: n }, String(n), `text-anchor="${anchor}" class="label"`));
    }
  }
  return parts.join('');
}

function names(): string {
  return NAMES.map(({ name, point, mark }) => {
    const { x, y } = on(point);
    const shape =
      mark === 'house'
        ? `<rect class="mark" x="${x - 7}" y="${y - 7}" width="14" height="14"/>`
        : mark === 'summit'
          ? `<path class="mark" d="M${x - 9} ${y + 7}L${x} ${y - 9}L${x + 9} ${y + 7}Z"/>`
          : '';
    const isWater = mark === 'water';
    const words = text(
      { east: point.east + (isWater ? 0 : 26), north: point.north + 12 },
      name,
      `class="${isWater ? 'waterName' : 'name'}"`,
    );
    return shape + words;
  }).join('');
}

const margin = [
  'Ormsay Lake · 1:10 000 · contours every 10 m · grid UTM 20 north, WGS 84',
  'Grid convergence 0°24′ W · Declination 19°15′ W in July 2025, annual change 8′ E',
  'An invented country: not for use on any ground',
]
  .map((words, index) =>
    text({ east: west, north: south - 125 - 42 * index }, words, 'class="margin"'),
  )
  .join('');

const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE.width}" height="${SIZE.height}">
<style>
  text { font-family: sans-serif; fill: #24323b; }
  .label { font-size: 17px; } .name { font-size: 25px; font-weight: 600; paint-order: stroke;
  stroke: #f4efe2; stroke-width: 5px; } .waterName { font-size: 34px; letter-spacing: 6px;
  fill: #3f6472; font-style: italic; } .margin { font-size: 17px; }
  .contour { fill: none; stroke: #a08a5f; } .grid { fill: none; stroke: #8d97a0; opacity: .75; }
  .water { fill: #c4d6d9; stroke: #4d7784; stroke-width: 2.5px; }
  .land { fill: #f0ebda; stroke: #4d7784; stroke-width: 2.5px; }
  .brook { fill: none; stroke: #4d7784; stroke-width: 4px; }
  .trail { fill: none; stroke: #5a4a35; stroke-width: 3px; stroke-dasharray: 14 8; }
  .mark { fill: #24323b; }
</style>
<defs><clipPath id="sheet"><path d="${path(
  [
    { east: west, north },
    { east, north },
    { east, north: south },
    { east: west, north: south },
  ],
  true,
)}"/></clipPath></defs>
<rect width="100%" height="100%" fill="#6d6152"/>
<path d="${path(paper, true)}" fill="#f4efe2"/>
<g clip-path="url(#sheet)">
  <rect width="100%" height="100%" fill="#edeedd"/>
  ${contourPaths()}
  <path class="brook" d="${path(smoothed(LINES.brook, 3))}"/>
  <path class="water" d="${path(smoothed(LAKE, 3), true)}"/>
  <path class="land" d="${path(ISLAND, true)}"/>
  ${PONDS.map((pond) => `<path class="water" d="${path(pond, true)}"/>`).join('')}
  <path class="trail" d="${path(smoothed(LINES.trail, 3))}"/>
  ${gridLines()}
</g>
${gridLines().replace(/<path[^>]*>/g, '')}
${names()}
<path d="${path(
  [
    { east: west, north },
    { east, north },
    { east, north: south },
    { east: west, north: south },
  ],
  true,
)}" fill="none" stroke="#24323b" stroke-width="2.5"/>
${margin}
</svg>`;

const grid = mapGrid({ latitude: 54.2, longitude: -63.5 });
if (!grid.ok) throw new Error('the demo has a grid');
const controls = [
  { east: 466_000, north: 6_007_500 },
  { east: 468_500, north: 6_007_500 },
  { east: 468_500, north: 6_005_000 },
  { east: 466_000, north: 6_005_000 },
].map((point) => {
  const { x, y } = on(point);
  const { latitude, longitude } = grid.value.inverse(point);
  const place = { latitude: Number(latitude.toFixed(8)), longitude: Number(longitude.toFixed(8)) };
  const label = `20U ${point.east} ${point.north}`;
  return { x: Number(x.toFixed(2)), y: Number(y.toFixed(2)), position: place, label };
});
writeFileSync('demo/ormsay-lake.controls.json', `${JSON.stringify(controls, null, 2)}\n`);

const browser = await launch();
const page = await browser.newPage();
await page.setViewport(SIZE);
await page.setContent(`<style>body{margin:0}svg{display:block}</style>${svg}`);
await page.screenshot({ path: 'demo/ormsay-lake.png' });
await browser.close();
