import { lineFeature, pointFeature } from '../geojson';
import { legAbout } from './leg-about';
import type { RouteFormat } from './route-format';
import { nth } from '../../core/units/nth';

/** GeoJSON (RFC 7946): the points in their order, and a line for each leg. */
export const routeGeoJson: RouteFormat = {
  name: 'geojson',
  words: 'GeoJSON',
  fileEnding: '.geojson',
  mediaType: 'application/geo+json',
  write({ route, positions, legs }) {
    const about = { outing: route.name || 'Route', outingId: route.id };
    const features = [
      ...route.points.map(({ name, note }, index) =>
        pointFeature(nth(positions, index), { kind: 'route-point', number: index, name, note }),
      ),
      ...legs.map((leg) =>
        lineFeature([nth(positions, leg.number - 1), nth(positions, leg.number)], {
          ...about,
          kind: 'leg',
          number: leg.number,
          from: leg.from,
          to: leg.to,
          metres: leg.metres,
          trueDegrees: leg.bearing.true,
          note: legAbout(leg),
        }),
      ),
    ];
    return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
  },
};
