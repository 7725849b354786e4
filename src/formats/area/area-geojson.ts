import { nameOf } from '../../core/survey/party/party';
import { positionOfStation } from '../../core/survey/positions';
import { fail, ok } from '../../core/units/result';
import { lineFeature, pointFeature } from '../geojson';
import { NO_POSITION, type AreaFormat } from './area-format';
import { areaPoints } from './area-points';
import { nth } from '../../core/units/nth';

/** GeoJSON: the adjusted points with their uncertainty, and each leg between them. */
export const areaGeoJson: AreaFormat = {
  name: 'geojson',
  mediaType: 'application/geo+json',
  fileEnding: '.geojson',
  write({ survey }) {
    const { party, places, method } = survey;
    if (!places.frame.origin) return fail(NO_POSITION);
    const points = areaPoints(survey).map(({ name, outings, ellipse, position }) =>
      pointFeature(position!, { kind: 'place', name, outings, method, ...ellipse }),
    );
    const legs = party.sources.flatMap(({ outing, leg }, index) => {
      if (leg === null) return [];
      const { from, to } = nth(party.network.lines, index);
      const ends = [positionOfStation(places, from)!, positionOfStation(places, to)!] as const;
      const names = { from: nth(party.nodes.all, from).name, to: nth(party.nodes.all, to).name };
      return [
        lineFeature(ends, { kind: 'leg', outing: nameOf(party, outing), number: leg, ...names }),
      ];
    });
    const collection = { type: 'FeatureCollection', features: [...points, ...legs] };
    return ok(`${JSON.stringify(collection, null, 1)}\n`);
  },
};
