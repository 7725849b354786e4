import { positionOfStation } from '../survey/positions';
import { stationName, type Solution } from '../survey/solution';
import { bearingDigits } from '../units/angle';
import type { Position } from '../readings/position';
import type { Degrees } from '../units/units';
import { placeOnMap, positionErrorEllipse } from './position-error';
import {
  type FigureUnits,
  bearingText,
  distanceText,
  lengthText,
  uncertaintyText,
  withDegrees,
  withMetres,
} from '../units/figures';
import { isThere, wayHome } from './ways/way';

/** The longest text of one short message over two parts; most phones and radios take it. */
const MOST_CHARACTERS = 300;
const MOST_NAME_CHARACTERS = 40;
const MOST_NEED_CHARACTERS = 60;

const shortened = (text: string, most: number) =>
  text.length <= most ? text : `${text.slice(0, most - 1)}…`;

/** What the log can't know of who sends a message; empty for what is left out. */
export interface Sender {
  readonly name: string;
  /** How many are with them, or who. */
  readonly party: string;
  readonly need: string;
}

const NO_SENDER: Sender = { name: '', party: '', need: '' };

/** Who sends it, and what they need, each as a sentence. */
function senderWords({ name, party, need }: Sender): { who: string; wants: string } {
  const who = [name, party].map((text) => shortened(text.trim(), MOST_NAME_CHARACTERS));
  const wanted = shortened(need.trim(), MOST_NEED_CHARACTERS);
  const given = who.filter((text) => text !== '').join(', ');
  return { who: given && `${given}. `, wants: wanted && ` Need: ${wanted}.` };
}

/** A place as the maps of its country have it; null where they have no grid of their own. */
type ReferenceOf = (position: Position) => string | null;

/** Where one is on the earth and how sure, in brackets; empty where that isn't known. */
function whereWords(solution: Solution, units: FigureUnits, referenceOf: ReferenceOf): string {
  const place = positionOfStation(solution.places, solution.current);
  if (!place) return '';
  const { latitude, longitude } = place;
  const degrees = `${latitude.toFixed(4)} ${longitude.toFixed(4)}`;
  const at = [degrees, referenceOf(place)].filter(Boolean).join(', ');
  if (solution.current === 0) return ` (${at})`;
  const { semiMajorMetres } = placeOnMap(solution, solution.current);
  return ` (${at}, within ${uncertaintyText(semiMajorMetres, units)})`;
}

/** Digits alone are degrees; anything else has its degrees with it. */
const bearingWords = (bearing: Degrees, units: FigureUnits) =>
  units.bearings === 'degrees'
    ? bearingDigits(bearing)
    : withDegrees(bearingText(bearing, units), bearing, units);

/**
 * A message to send or read out: who, where and how sure, the way home, how sure, what is needed,
 * and when; plain letters, under 300 characters. `time` is the clock as the person reads it, HH:MM.
 */
export function message(
  solution: Solution,
  time: string,
  units: FigureUnits,
  sender: Sender = NO_SENDER,
  referenceOf: ReferenceOf = () => null,
): string {
  const { current, legs, walkedMetres } = solution;
  const home = wayHome(solution);
  const at = shortened(stationName(solution, current), MOST_NAME_CHARACTERS);
  const to = shortened(stationName(solution, 0), MOST_NAME_CHARACTERS);
  const { who, wants } = senderWords(sender);
  // A reference beside the degrees goes where it has no room: the way home must stay whole.
  const [whole = '', plain = ''] = [referenceOf, () => null].map((each) =>
    whereWords(solution, units, each),
  );
  const fitting = (textWith: (where: string) => string) =>
    textWith(whole).length < MOST_CHARACTERS ? textWith(whole) : textWith(plain);
  if (isThere(home)) {
    const there = fitting((where) => `${time} ${who}At ${to}${where}.${wants}`);
    return shortened(there, MOST_CHARACTERS - 1);
  }
  const bearings = (['magnetic', 'true'] as const)
    .flatMap((north) => {
      const degrees = home.bearing[north];
      return degrees === null ? [] : [`${bearingWords(degrees, units)} ${north}`];
    })
    .join(' / ');
  const within = uncertaintyText(positionErrorEllipse(solution, current, 0).semiMajorMetres, units);
  const metres = home.distanceMetres;
  const walked = ` Walked ${lengthText(walkedMetres, units)} in ${legs.count} legs.`;
  const text = fitting(
    (where) =>
      `${time} ${who}At ${at}${where}.${wants} Going to ${to}: ${bearings}, ` +
      `${withMetres(distanceText(metres, units), metres, units)}, within ${within} (95%).`,
  );
  // What was walked is the first to go where there is no room.
  return shortened(
    text.length + walked.length < MOST_CHARACTERS ? text + walked : text,
    MOST_CHARACTERS - 1,
  );
}
