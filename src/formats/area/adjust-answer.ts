import { USUAL_FIGURES } from '../../core/units/figures';
import { headerWarnings } from '../../core/checks';
import { writeBearing } from '../../core/readings/bearing';
import { writeDistance } from '../../core/readings/distance';
import { ellipse } from '../../core/errors/ellipse';
import type { LineSource, Party } from '../../core/survey/party/party';
import { suspectsOf, type Suspect } from '../../core/survey/blunder/suspects';
import { uncheckedOf } from '../../core/survey/party/unchecked';
import type { Survey } from '../../core/survey/party/survey';
import { positionOfStation } from '../../core/survey/positions';
import type { PlaneUnit } from '../../core/units/plane';
import { degrees } from '../../core/units/units';
import { ellipseFields } from '../home-answer';
import { nth } from '../../core/units/nth';

/** So many slips are named: a single loop is reported as one of these. */
const MOST_SUSPECTS = 3;

/**
 * The answer of the endpoint `adjust`: see docs/endpoints.md. `lineOf` gives the line of the text
 * that an entry of an outing is on, where there is one.
 */
export function adjustAnswer(survey: Survey, lineOf: (source: LineSource) => number | undefined) {
  const { party, places, asWalked, closures, test, estimates } = survey;
  const covariances = places.fromOrigin();
  const { unit } = places.frame;
  const frame = { north: party.north, origin: nth(party.nodes.all, 0).name };
  return {
    method: survey.method,
    frame,
    unit,
    stations: party.nodes.all.map(({ name, stations }, node) => {
      const { east, north } = places.at(node);
      const walked = asWalked.at(node);
      return {
        name,
        outings: [...new Set(stations.map(({ outing }) => outing))],
        x: east,
        y: north,
        ...positionOfStation(places, node),
        asWalked: { x: walked.east, y: walked.north },
        ellipse: ellipseFields(ellipse(nth(covariances, node))),
      };
    }),
    closures: closures.map(({ source, node, misclosure, metres, ofWalked }) => ({
      outing: source.outing,
      line: lineOf(source),
      station: nth(party.nodes.all, node).name,
      dx: misclosure.east,
      dy: misclosure.north,
      metres: unit === 'pace' ? null : metres,
      ofWalked,
    })),
    test,
    estimates: estimates.map(({ error, value, sigma }) => {
      const isBearing = error.of === 'bearing';
      return {
        source: error.source,
        about: error.about,
        unit: isBearing ? 'degrees' : 'of the length',
        value: isBearing ? degrees(value) : value,
        sigma: isBearing ? degrees(sigma) : sigma,
      };
    }),
    suspects: suspectsOf(survey)
      .slice(0, MOST_SUSPECTS)
      .map((suspect) => suspectFields(party, suspect, unit, lineOf)),
    warnings: party.members.flatMap(({ solution }, outing) =>
      headerWarnings(solution, USUAL_FIGURES).map(({ code, message }) => ({
        outing,
        code,
        message,
      })),
    ),
    unchecked: uncheckedOf(survey).map((source) => ({
      outing: source.outing,
      line: lineOf(source),
    })),
  };
}

function suspectFields(
  { members }: Party,
  suspect: Suspect,
  unit: PlaneUnit,
  lineOf: (source: LineSource) => number | undefined,
) {
  const { slip, source, instead, probability, metresLeft, message, second } = suspect;
  const read = nth(members, source.outing).solution.outing.show.north;
  const leg = instead.suggested;
  return {
    outing: source.outing,
    line: lineOf(source),
    slip,
    message,
    suggested: leg && `${writeBearing(leg.bearing, read)} ${writeDistance(leg.distance)}`,
    // The other one, where only two together explain it.
    second: second && {
      outing: second.source.outing,
      line: lineOf(second.source),
      slip: second.slip,
    },
    probability,
    metresLeft: unit === 'pace' ? null : metresLeft,
  };
}
