// Writes the heights of the demo's country as a file that the app reads: an ASCII grid in metres of
// the demo's map, as coarse as such files are. Run by hand when the country changes.
import { writeFileSync } from 'node:fs';
import { heightAt, LAKE_METRES, SHEET } from './country';

const CELL = 30;
const { west, east, south, north } = SHEET;
const columns = Math.floor((east - west) / CELL) + 1;
const rows = Math.floor((north - south) / CELL) + 1;

const lines = Array.from({ length: rows }, (_, row) =>
  Array.from({ length: columns }, (_unused, column) =>
    // Heights are measured from above: of a lake they are the water's.
    Math.max(
      LAKE_METRES,
      heightAt({ east: west + CELL * column, north: south + CELL * (rows - 1 - row) }),
    ).toFixed(0),
  ).join(' '),
);
const head = [
  ['ncols', columns],
  ['nrows', rows],
  ['xllcenter', west],
  ['yllcenter', south],
  ['cellsize', CELL],
  ['NODATA_value', -9999],
].map(([name, value]) => `${name} ${value}`);
writeFileSync('demo/ormsay-lake.asc', `${[...head, ...lines].join('\n')}\n`);
