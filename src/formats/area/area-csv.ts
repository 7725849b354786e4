import Papa from 'papaparse';
import { nationalReference } from '../../core/place/national-text';
import { ok } from '../../core/units/result';
import type { AreaFormat } from './area-format';
import { areaPoints } from './area-points';

const rounded = (value: number, digits: number) => Number(value.toFixed(digits));

/** A table of the adjusted points, with how sure each is. Metres and degrees, unrounded enough. */
export const areaCsv: AreaFormat = {
  name: 'csv',
  mediaType: 'text/csv',
  fileEnding: '.csv',
  write({ survey }) {
    const { north } = survey.places.frame;
    const rows = areaPoints(survey).map(
      ({ name, outings, east, north: up, ellipse, position }) => ({
        name,
        outings: outings.join('; '),
        x: rounded(east, 3),
        y: rounded(up, 3),
        north,
        'semi-major': rounded(ellipse.semiMajorMetres, 2),
        'semi-minor': rounded(ellipse.semiMinorMetres, 2),
        azimuth: rounded(ellipse.azimuthDegrees, 1),
        latitude: position ? rounded(position.latitude, 9) : '',
        longitude: position ? rounded(position.longitude, 9) : '',
        reference: (position && nationalReference(position)) ?? '',
        method: survey.method,
      }),
    );
    return ok(`${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true })}\r\n`);
  },
};
