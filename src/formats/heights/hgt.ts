import { fail, ok } from '../../core/units/result';
import { fileFault } from '../format';
import { heightOrVoid, type HeightFormat } from './height-format';

/** Posts of a side: at every 3 and at every second of arc. */
const SIDES = [1201, 3601] as const;
const NAME = /([NS])(\d{1,2})([EW])(\d{1,3})[^/\\]*\.hgt$/i;

/**
 * The degree squares of the Shuttle Radar Topography Mission: signed 16-bit numbers, the high byte
 * first, row by row from the north, -32768 for a void; the name tells the south-west corner.
 * Source: SRTM Topography, U.S. Geological Survey, version 2.1 documentation (memory).
 */
export const hgt: HeightFormat = {
  name: 'HGT',
  reads: (name) => /\.hgt$/i.test(name),
  read(name, bytes) {
    const named = NAME.exec(name);
    const side = SIDES.find((each) => 2 * each * each === bytes.length);
    if (!named || !side) {
      const message = side
        ? 'The name of a square of heights tells its corner, as in N54W064.hgt.'
        : `A square of heights has 1201 or 3601 posts a side; this file has ${bytes.length} bytes.`;
      return fail([fileFault(message)]);
    }
    const [, northSouth = '', latitude, eastWest = '', longitude] = named;
    const south = Number(latitude) * (northSouth.toUpperCase() === 'N' ? 1 : -1);
    const west = Number(longitude) * (eastWest.toUpperCase() === 'E' ? 1 : -1);
    if (south < -90 || south > 89 || west < -180 || west > 179) {
      return fail([fileFault('There is no such square: its corner is beyond 90° or 180°.')]);
    }
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
    const metres = new Float32Array(side * side);
    for (let post = 0; post < metres.length; post++) {
      metres[post] = heightOrVoid(view.getInt16(2 * post));
    }
    const step = 1 / (side - 1);
    const steps = { stepEast: step, stepSouth: step };
    const size = { columns: side, rows: side };
    const grid = { projection: null, west, north: south + 1, ...steps, ...size, metres };
    return ok({ grid, isOfMap: false });
  },
};
