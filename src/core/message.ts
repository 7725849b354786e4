import { threeDigits } from './angle';
import { missAtHome, way } from './home';
import { positionOf } from './positions';
import { stationName, type Solution } from './solve';

/** The longest text of one short message over two parts; most phones and radios take it. */
const MOST_CHARACTERS = 300;

const shortened = (text: string, most: number) =>
  text.length <= most ? text : `${text.slice(0, most - 1)}…`;

/**
 * What to send or read out: where one is, the way home, how sure, and when; plain letters, under 300 characters.
 * `time` is the clock as the person reads it, HH:MM.
 */
export function message(solution: Solution, time: string): string {
  const home = way(solution, solution.current, 0);
  const at = shortened(stationName(solution, solution.current), 40);
  const to = shortened(stationName(solution, 0), 40);
  const place = positionOf(solution, solution.current);
  const doubt = 5 * Math.ceil(missAtHome(solution, solution.current, 0).semiMajorMetres / 5);
  const where = place ? ` (${place.latitude.toFixed(4)} ${place.longitude.toFixed(4)})` : '';
  const bearings = (['magnetic', 'true'] as const)
    .filter((north) => home.bearing[north] !== null)
    .map((north) => `${threeDigits(home.bearing[north]!).slice(0, 3)} ${north}`)
    .join(' / ');
  const there = home.distanceMetres < 1;
  const text = there
    ? `${time} At ${to}${where}.`
    : `${time} At ${at}${where}. Going to ${to}: ${bearings}, ${Math.round(home.distanceMetres)} m. 95% within ${doubt} m. Walked ${Math.round(solution.walkedMetres)} m in ${solution.traverse.legs} legs.`;
  return shortened(text, MOST_CHARACTERS - 1);
}
