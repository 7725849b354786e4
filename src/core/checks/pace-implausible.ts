import type { Check, Warning } from './check';

/** Nobody walks across country faster or slower than this without a rest. Common practice, no source. */
const FASTEST_KMH = 7;
const SLOWEST_KMH = 0.3;

const minutesOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
const DAY_MINUTES = 24 * 60;
/** A clock that goes back by less than this is a slip; by more, midnight passed. */
const MIDNIGHT_MINUTES = 12 * 60;

/** `pace-implausible`: by the times noted, more than 7 km/h or less than 0.3 km/h. */
export const paceImplausible: Check = ({ outing, traverse }) => {
  const warnings: Warning[] = [];
  let time: string | undefined = outing.date?.time;
  let leg = 0;
  let walked = 0;
  outing.entries.forEach((entry, index) => {
    if (entry.kind === 'out' && entry.time) {
      time = entry.time;
      walked = 0;
    }
    if (entry.kind !== 'leg') return;
    walked += traverse.lengthMetres[++leg]!;
    if (entry.time === undefined) return;
    const before = time;
    const metres = walked;
    time = entry.time;
    walked = 0;
    if (before === undefined) return;
    const passed = minutesOf(entry.time) - minutesOf(before);
    const minutes = passed < -MIDNIGHT_MINUTES ? passed + DAY_MINUTES : passed;
    const at = { entry: index };
    if (minutes < 0) {
      const message = `The clock goes back, from ${before} to ${entry.time}: a slip in one of the two?`;
      return void warnings.push({ code: 'pace-implausible', at, message });
    }
    // A time is good to a minute, so that a minute more or less must not make the difference.
    const fastest = (metres / 1000 / (minutes + 1)) * 60;
    const slowest = minutes > 1 ? (metres / 1000 / (minutes - 1)) * 60 : Infinity;
    if (fastest <= FASTEST_KMH && slowest >= SLOWEST_KMH) return;
    const words =
      fastest > FASTEST_KMH
        ? `${Math.round(metres)} m in ${minutes} min is faster than anyone walks here: a count too many, or a time misread?`
        : `${Math.round(metres)} m in ${minutes} min is slower than walking: a rest? Then it is right. Else look at count and time.`;
    warnings.push({ code: 'pace-implausible', at, message: words });
  });
  return warnings;
};
