import { kmlFile, lineOf, placemark, pointAt } from '../kml';
import { xmlElement, xmlText } from '../xml';
import { legAbout } from './leg-about';
import type { RouteFormat } from './route-format';
import { nth } from '../../core/units/nth';

/** KML 2.3: a folder with the points in their order, and a line for each leg. */
export const routeKml: RouteFormat = {
  name: 'kml',
  words: 'KML',
  fileEnding: '.kml',
  mediaType: 'application/vnd.google-earth.kml+xml',
  write: ({ route, positions, legs }) =>
    kmlFile([
      xmlElement(
        'Folder',
        {},
        xmlText('name', route.name || 'Route'),
        ...route.points.map(({ name, note }, index) =>
          placemark(name, note, 'station', pointAt(nth(positions, index))),
        ),
        ...legs.map((leg) =>
          placemark(
            `Leg ${leg.number}`,
            legAbout(leg),
            'leg',
            lineOf([nth(positions, leg.number - 1), nth(positions, leg.number)]),
          ),
        ),
      ),
    ]),
};
