import { gpxDegrees, gpxFile } from '../gpx';
import { xmlElement, xmlText } from '../xml';
import { legAbout } from './leg-about';
import type { RouteFormat } from './route-format';
import { nth } from '../../core/units/nth';

/** GPX 1.1: one route whose points have their names, and what is planned for the leg to each. */
export const routeGpx: RouteFormat = {
  name: 'gpx',
  words: 'GPX',
  fileEnding: '.gpx',
  mediaType: 'application/gpx+xml',
  write: ({ route, positions, legs }, writtenAt) =>
    gpxFile(route.name || 'Route', writtenAt, [
      xmlElement(
        'rte',
        {},
        xmlText('name', route.name || 'Route'),
        ...route.points.map((point, index) => {
          const leg = legs[index - 1];
          return xmlElement(
            'rtept',
            gpxDegrees(nth(positions, index)),
            xmlText('name', point.name),
            xmlText('cmt', point.note),
            xmlText('desc', leg && legAbout(leg)),
          );
        }),
      ),
    ]),
};
