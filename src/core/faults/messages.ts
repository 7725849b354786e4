import { ABOVE_ZERO, MOST_MINUTES } from '../units/ranges';
import { bearingDigits } from '../units/angle';
import { nearestName } from './nearest-name';
import type { Expected, Fault, FaultOf, Ranged } from './fault';

/** What was expected, in words that follow "Expected". */
const EXPECTED: Readonly<Record<Expected, string>> = {
  line: 'a leg such as 220 65p, or a line that begins with a keyword of the log',
  header: 'cairn-back log 1',
  bearing: 'a bearing: 220, S40W, SSW, 3911mil or 244gon',
  distance: 'a distance: 65p, 100m, 0.5km, 328ft or 4min@3kmh',
  'distance-unit': 'a unit: p (paces), s (single steps), m, km, ft, yd, mi, ch, lk or min@…kmh',
  speed: 'a speed with its unit after the minutes, as in 4min@3kmh',
  'leg-part':
    'a ground (rough, snow, on NAME), back BEARING, up or down SLOPE, @HH:MM, > STATION, ' +
    'or ; before a note that holds a number or one of these words',
  'line-end': 'the end of the line, or ; before a note',
  'back-bearing': 'a back bearing, as in back 040',
  slope: 'a slope in degrees (up 12), as rise over run (up 1/5) or in per cent (up 20%)',
  ground: 'a ground in one word, as in on heather',
  spread: 'a spread in per cent, as in spread 4%',
  walks: 'a whole number of walks, as in spread 4% of 3 walks',
  'compass-name': 'the name of a compass, as in compass mirror',
  home: 'how the walk home will be made, as in home needle on rough, or home timed 4 kmh',
  sigma:
    'an error and its one sigma, as in errors needle 3, pace-length 5%: needle, landmark, ' +
    'sighted, compass, declination, iron, slope and slope-reader in degrees; paced, pace-length, ' +
    'measured, timed and speed in per cent',
  time: 'a time as HH:MM, 00:00 to 23:59',
  date: 'a day of the calendar as YYYY-MM-DD, or 14 August 2026',
  'station-name': 'the name of a station',
  'start-name': 'the name of the start',
  'outing-name': 'the name of the outing',
  'person-name': 'whose outing it is',
  method: 'a method: as-walked, compass-rule or least-squares',
  position: 'a latitude and a longitude, as in 54.2000 -63.5000 or N54.2 W63.5',
  declination: 'none, model, or an angle with its letter, as in 19.1 W or 2°18’ W',
  angle: 'an angle with its letter, as in 19.1 W or 2°18’ W',
  'margin-date': 'the year or month of the map, as in 2009-07 or July 2009',
  'margin-change': 'the annual change, as in change 9’ E a year',
  convergence:
    'model, an angle with its letter, as in 1.2 E, a national grid, as in british, or proj and a ' +
    'projection',
  projection: 'a projection, as in proj +proj=tmerc +lon_0=-63 +k=0.9996',
  correction: 'none, by-sum, compass-set, by-mark, left-out or magnetic-map',
  place:
    'a latitude and a longitude (54.2000 -63.5000 or 54°12’ N 63°30’ W), ' +
    'UTM (20U 467383 6005890), a grid square (20U MF 67382 05889) or a national grid (SD 805 660)',
  north: 'magnetic, true or grid',
  pace: 'a length of a pace: 65 per 100 m, 1.54 m, 154 cm or 5 ft',
  aim: 'needle, landmark or sighted',
  metres: 'a number of metres',
  side: 'left or right and metres, as in left 12',
  'what-seen': '; and what was seen',
  'compass-point': 'a rough direction such as NE',
  code: 'the code of a warning, as in right leg-short',
  struck: 'the time, a reason and the line as it was: struck 2026-08-14T10:20:00Z | why | 220 65p',
  halt: 'how long, as in halt 10min, or from when to when, as in halt 11:20-11:45',
  height: 'a height with its unit, as in height 412m, height 1350ft or height set 412m',
  box: 'a side, the way out and the way along, as in box right 20p along 40p',
  remark: 'a remark after the ;',
  note: 'a note',
  'route-line':
    'a line of a route: point, attack, ground, climb, expect, handrail, catch, aim, danger, ' +
    'tick, or one of its head such as date, declination, pace or speed',
  'route-header': 'cairn-back route 1',
  'route-id': 'the id of a route, in one word',
  point: 'a line such as point Dock at 54.2000 -63.5000 first',
  timing: 'naismith, langmuir or level',
  'aim-side': 'a side, the bearing of a line and what it is, as in aim left 040 the lake shore',
  'paper-length': 'a length on the map with its unit, as in 45mm, 4.5cm or 2in',
  scale: 'the scale of the map, as in 1:25000',
};

const RANGED: Readonly<Record<Ranged, string>> = {
  bearing: 'A bearing in degrees',
  mils: 'A bearing in mils',
  gon: 'A bearing in gon',
  quadrant: 'A quadrant bearing',
  distance: 'A distance',
  speed: 'A speed',
  slope: 'A slope in degrees',
  latitude: 'A latitude',
  longitude: 'A longitude',
  declination: 'An angle in degrees',
  'minutes-of-arc': 'Minutes of arc',
  pace: 'A pace',
  metres: 'A length in metres',
  month: 'A month',
  rise: 'Rise or run',
  spread: 'A spread in per cent',
  walks: 'A number of walks',
  sigma: 'One sigma of an error',
  halt: 'Minutes of a halt',
  height: 'A height in metres',
  'height-feet': 'A height in feet',
  easting: 'An easting in metres',
  northing: 'A northing in metres',
  zone: 'A zone of the grid',
  'seconds-of-arc': 'Seconds of arc',
  year: 'A year',
  'paper-length': 'A length on paper',
  scale: 'A scale of a map',
};

/** The ends of a range in words; an end that is open says so. */
function range(least: number, most: number): string {
  if (least === ABOVE_ZERO) return `more than 0, at most ${most}`;
  return most === MOST_MINUTES ? `${least} or more, less than 60` : `${least} to ${most}`;
}

const list = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** What was expected, for a fault that knows; undefined for the others. */
export function expectedText(fault: Fault): string | undefined {
  switch (fault.code) {
    case 'unexpected':
      return EXPECTED[fault.expected];
    case 'out-of-range':
      return range(fault.least, fault.most);
    case 'word-contradicts-number':
    case 'gon-or-grid':
    case 'day-or-month':
      return list(fault.readings);
    case 'wrong-band':
      return list(fault.nearest);
    default:
      return undefined;
  }
}

/** Readings that the person may have meant, ready to take the place of what was written. */
export function suggestedReadings(fault: Fault): readonly string[] {
  switch (fault.code) {
    case 'unexpected':
    case 'wrong-band':
      return fault.nearest ?? [];
    case 'word-contradicts-number':
    case 'gon-or-grid':
    case 'day-or-month':
      return fault.readings;
    case 'unknown-station':
      return nearestOf(fault);
    default:
      return [];
  }
}

/** The station that was probably meant, where one is named nearly so. */
function nearestOf({ name, among }: FaultOf<'unknown-station'>): readonly string[] {
  const nearest = nearestName(name, among);
  return nearest === undefined ? [] : [nearest];
}

const didYouMean = (readings: readonly string[] = []) =>
  readings.length === 0 ? '' : ` Did you mean ${list(readings)}?`;

/** The sentences of the faults: what was there, what was expected, what to do. Plain text. */
const MESSAGES: { readonly [Code in Fault['code']]: (fault: FaultOf<Code>) => string } = {
  unexpected: ({ found, expected, nearest }) => {
    const there = found === '' ? 'Something is missing here.' : `Can’t read “${found}”.`;
    return `${there} Expected ${EXPECTED[expected]}.${didYouMean(nearest)}`;
  },
  'out-of-range': ({ what, found, least, most }) =>
    `${RANGED[what]} must be ${range(least, most)}; this is ${found}.`,
  'word-contradicts-number': ({ degrees, word, readings }) =>
    `${bearingDigits(degrees)}° and ${word} contradict each other.${didYouMean(readings)}`,
  'gon-or-grid': ({ readings }) => `A small g can be gon or grid north.${didYouMean(readings)}`,
  'day-or-month': ({ readings }) =>
    `The day or the month may come first, so this date is not guessed.${didYouMean(readings)}`,
  twice: ({ what, firstLine }) =>
    `A log has only one “${what}” line; it is on line ${firstLine} already.`,
  'line-twice': ({ keyword, firstLine }) =>
    `“${keyword}” may be there once; it is on line ${firstLine} already.`,
  'part-twice': ({ part }) => `This leg has “${part}” twice.`,
  'too-long': ({ what, most }) => `This ${what} is longer than ${most} characters.`,
  'no-declination': ({ north }) =>
    `This outing has no declination, so a bearing from ${north} north can’t be used: mixing ` +
    'map and compass bearings would spoil the way home. Set the declination first, or write the ' +
    'magnetic bearing.',
  'no-pace': ({ unit }) =>
    `A distance in ${unit} needs the length of a pace first, as in: pace 65 per 100 m. ` +
    'Or write metres: 100m.',
  'metres-beside-paces': () =>
    'The lengths so far are in paces alone, and this one is not. Give the length of your pace ' +
    'first, as in: pace 65 per 100 m. All of them are metres too from then on.',
  'no-leg-yet': () => 'This line belongs to a leg, and there is no leg before it.',
  'unknown-station': (fault) =>
    `No station is called “${fault.name}” so far.${didYouMean(nearestOf(fault))}`,
  'name-taken': ({ name }) => `There is already a station called “${name}”.`,
  'number-taken': ({ name }) =>
    `This station would be called ${name} after its leg, but another one has that name. ` +
    'Give it a name: > NAME.',
  'station-in-use': ({ name, legs }) =>
    `Other lines lead to or from ${name}: ${list(legs.map((line) => `line ${line}`))}. ` +
    'Change those first.',
  'joins-another-leg': ({ line }) =>
    `“${line}” belongs to the leg it was seen or done on, and would come to belong to another. ` +
    'Strike it out first, or strike out the leg with all that belongs to it.',
  'invisible-name': () => 'This name holds nothing that can be seen: write another.',
  'bad-name': ({ name }) =>
    `“${name}” can’t be a station’s name: one line, no semicolon, and for the start no “at” ` +
    'before a number.',
  'model-needs': ({ what }) =>
    what === 'position'
      ? 'The model needs the position of the start: start NAME at LAT LON.'
      : 'The declination for a day needs the date of the outing: date YYYY-MM-DD.',
  'model-out-of-window': ({ model, from, until }) =>
    `The date is too far outside the years of the field model (${model}: ${from} to ${until}). ` +
    'Type the declination in.',
  'model-not-loaded': () => 'The model is still being loaded.',
  'convergence-unknown': () =>
    'The UTM grid ends at 80° south and 84° north: type the convergence in.',
  'bad-projection': ({ definition }) =>
    `The projection “${definition}” can’t be used at the start’s position, or is none of a map.`,
  'wrong-band': ({ latitude, band, nearest }) =>
    `That place is at latitude ${latitude.toFixed(2)}, outside band ${band}.${didYouMean(nearest)}`,
  'zone-missing': ({ found }) =>
    `“${found}” is an easting and a northing without the zone of their grid. Write it before ` +
    `them, as in 20U ${found}.`,
  'no-grid-there': () =>
    'UTM and its squares end at 80° south and 84° north: write the place in degrees.',
  'outside-grid': ({ grid, found }) =>
    `“${found}” isn’t in the country of the ${grid}. Look at its letters and figures again.`,
  'changed-elsewhere': () =>
    'This log was changed in another tab in the meantime. Look again, then repeat the change.',
  'too-large': ({ most, unit }) =>
    unit === 'bytes'
      ? `A file or log of more than ${most / 1_000_000} MB is not read.`
      : `A log of more than ${most.toLocaleString('en')} lines is not read.`,
  schema: ({ message }) => message,
};

/** The sentence for a fault: what was there, what was expected, what to do. Plain text. */
export const faultMessage = <Code extends Fault['code']>(fault: FaultOf<Code>): string =>
  // The compiler can't see that a fault's own code picks the message for its own type.
  (MESSAGES[fault.code] as (fault: Fault) => string)(fault);
