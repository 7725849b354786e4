/** Projections that maps on paper are drawn in, by their proj names. */
const PROJECTIONS = new Set(
  'utm tmerc etmerc lcc merc stere sterea somerc omerc laea aea cass poly krovak nzmg'.split(' '),
);

/** The range of each number that a definition may hold. */
const NUMBERS: Readonly<Record<string, readonly [least: number, most: number]>> = {
  zone: [1, 60],
  lat_0: [-90, 90],
  lat_1: [-90, 90],
  lat_2: [-90, 90],
  lat_ts: [-90, 90],
  lon_0: [-360, 360],
  lonc: [-360, 360],
  alpha: [-360, 360],
  gamma: [-360, 360],
  k: [0.5, 2],
  k_0: [0.5, 2],
  x_0: [-1e8, 1e8],
  y_0: [-1e8, 1e8],
  a: [6.3e6, 6.5e6],
  b: [6.3e6, 6.5e6],
  rf: [200, 400],
  to_meter: [0.01, 2000],
};
const NAMES = new Set(['ellps', 'datum', 'units', 'type', 'pm', 'axis']);
const FLAGS = new Set(['south', 'no_defs', 'no_off', 'no_uoff', 'approx']);

/** Shifts in metres, turns in seconds of arc and a scale: of a datum, three or all seven. */
const MOST_SHIFT = 10_000;
const isShift = (text: string) => {
  const shifts = text.split(',').map(Number);
  const whole = shifts.length === 3 || shifts.length === 7;
  return whole && shifts.every((shift) => Math.abs(shift) <= MOST_SHIFT);
};

function isFit(key: string, value: string | undefined): boolean {
  if (value === undefined) return FLAGS.has(key);
  if (NAMES.has(key)) return /^[\w-]{1,20}$/.test(value);
  if (key === 'towgs84') return isShift(value);
  const range = NUMBERS[key];
  const number = Number(value);
  return range !== undefined && value !== '' && number >= range[0] && number <= range[1];
}

/**
 * True for a definition that a map's grid can have. The projection library loops for ever on some
 * others, so that it is never given one: `+proj=moll +towgs84=0` hung the server.
 */
export function isMapProjection(definition: string): boolean {
  const [first = '', ...rest] = definition.trim().split(/\s+/);
  if (!PROJECTIONS.has(/^\+proj=(\w+)$/.exec(first)?.[1] ?? '')) return false;
  return rest.every((word) => {
    const [, key = '', value] = /^\+(\w+)(?:=(.*))?$/.exec(word) ?? [];
    return isFit(key, value);
  });
}
