import { nameOf } from '../../core/survey/party/party';
import { positionOfStation } from '../../core/survey/positions';
import { fail, ok } from '../../core/units/result';
import { gpxDegrees, gpxFile } from '../gpx';
import { xmlElement, xmlText } from '../xml';
import { NO_POSITION, type AreaFormat } from './area-format';
import { areaPoints } from './area-points';

/** GPX 1.1: the adjusted points as waypoints, and a track for each outing. */
export const areaGpx: AreaFormat = {
  name: 'gpx',
  mediaType: 'application/gpx+xml',
  fileEnding: '.gpx',
  write({ name, writtenAt, survey }) {
    const { party, places } = survey;
    if (!places.frame.origin) return fail(NO_POSITION);
    const at = (outing: number, station: number) =>
      gpxDegrees(positionOfStation(places, party.nodes.of({ outing, station }))!);
    const points = areaPoints(survey).map((point) =>
      xmlElement(
        'wpt',
        gpxDegrees(point.position!),
        xmlText('name', point.name),
        xmlText('desc', `within ${Math.ceil(point.ellipse.semiMajorMetres)} m (95 %)`),
        xmlText('type', 'station'),
      ),
    );
    const tracks = party.members.map(({ solution }, outing) => {
      const segments: ReturnType<typeof at>[][] = [];
      let last = -1;
      for (const { from, to } of solution.legs) {
        if (from !== last) segments.push([at(outing, from)]);
        segments.at(-1)!.push(at(outing, to));
        last = to;
      }
      return xmlElement(
        'trk',
        {},
        xmlText('name', nameOf(party, outing)),
        ...segments.map((each) =>
          xmlElement('trkseg', {}, ...each.map((point) => xmlElement('trkpt', point))),
        ),
      );
    });
    return ok(gpxFile(name || 'Area', writtenAt, [...points, ...tracks]));
  },
};
