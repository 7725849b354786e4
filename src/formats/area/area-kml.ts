import { nameOf } from '../../core/survey/party/party';
import { positionOfStation } from '../../core/survey/positions';
import { fail, ok } from '../../core/units/result';
import { kmlFile, lineOf, placemark, pointAt } from '../kml';
import { xmlElement, xmlText } from '../xml';
import { NO_POSITION, type AreaFormat } from './area-format';
import { areaPoints } from './area-points';
import { nth } from '../../core/units/nth';

/** KML: the adjusted points, and a folder with the legs of each outing. */
export const areaKml: AreaFormat = {
  name: 'kml',
  mediaType: 'application/vnd.google-earth.kml+xml',
  fileEnding: '.kml',
  write({ survey }) {
    const { party, places } = survey;
    if (!places.frame.origin) return fail(NO_POSITION);
    const points = areaPoints(survey).map(({ name, ellipse, position }) => {
      const words = `within ${Math.ceil(ellipse.semiMajorMetres)} m (95 %)`;
      return placemark(name, words, 'station', pointAt(position!));
    });
    const folders = party.members.map((_, outing) =>
      xmlElement(
        'Folder',
        {},
        xmlText('name', nameOf(party, outing)),
        ...party.sources.flatMap((source, index) => {
          if (source.outing !== outing || source.leg === null) return [];
          const { from, to } = nth(party.network.lines, index);
          const ends = [from, to].map((node) => positionOfStation(places, node)!);
          return [placemark(`Leg ${source.leg}`, undefined, 'leg', lineOf(ends))];
        }),
      ),
    );
    return ok(kmlFile([...points, ...folders]));
  },
};
