/**
 * Lines above the columns of a page: `No. Bearing Paces Notes`. They hold no reading, and what is
 * below is read as it stands: bearing first, and counted in paces where no unit is written.
 */
const BEARING = /^(?:bearings?|azimuths?|azm?|azi|brg|hdg|heading|course|direction)$/;
const COUNT = /^(?:paces?|count|pcs|distance|dist)$/;
const BESIDE =
  /^(?:no|nr|leg|line|remarks?|notes?|comments?|observations?|walked|deg|degrees|°|m|mag|magnetic|#)$/;

/** True for a line of nothing but the heads of a log's columns, in the order of a leg. */
export function isHeadingLine(line: string): boolean {
  const words = line
    .toLowerCase()
    .split(/[\s.,;:()|/[\]]+/)
    .filter(Boolean);
  const [bearing, count] = [BEARING, COUNT].map((one) => words.findIndex((word) => one.test(word)));
  if (bearing === undefined || count === undefined || bearing < 0 || count < bearing) return false;
  // After the count, `m` would be its unit.
  if (words.slice(count).includes('m')) return false;
  return words.every((word) => [BEARING, COUNT, BESIDE].some((one) => one.test(word)));
}
